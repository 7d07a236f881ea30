<?php

declare(strict_types=1);

namespace MuteTapper\Core\Likeness;

/** How much a past case is like one: the weight of the signs that both have, of all that either has. */
final readonly class Likeness
{
    /** A shared sign that lies otherwise counts so much; so does everything on another kind of drive. [own] */
    private const OTHERWISE = 0.6;
    /** Less alike than this is not alike. [own] */
    public const LEAST = 0.15;

    /**
     * @param string $case the key under which it was given
     * @param list<string> $shared signs that both have, those that tell most first
     * @param list<string> $alike of these, those that lie alike in both
     */
    private function __construct(public string $case, public float $degree, public array $shared, public array $alike)
    {
    }

    /**
     * Past cases that are like one, likest first. A sign that many cases have tells little.
     *
     * @param array<string, CaseTraits> $past
     *
     * @return list<self>
     */
    public static function among(CaseTraits $one, array $past): array
    {
        $count = [];
        foreach ([$one, ...array_values($past)] as $traits) {
            foreach (array_keys($traits->signs) as $sign) {
                $count[$sign] = ($count[$sign] ?? 0) + 1;
            }
        }
        $weights = array_map(static fn (int $with): float => log(1 + (count($past) + 1) / $with), $count);
        $found = [];
        foreach ($past as $case => $traits) {
            $likeness = self::of($one, $traits, (string) $case, $weights);
            if ($likeness->degree >= self::LEAST) {
                $found[] = $likeness;
            }
        }
        usort($found, static fn (self $a, self $b): int => [$b->degree, $a->case] <=> [$a->degree, $b->case]);

        return $found;
    }

    /** @param array<string, float> $weights */
    private static function of(CaseTraits $one, CaseTraits $other, string $case, array $weights): self
    {
        $shared = array_keys(array_intersect_key($one->signs, $other->signs));
        usort($shared, static fn (string $a, string $b): int => [$weights[$b], $a] <=> [$weights[$a], $b]);
        $alike = array_values(array_filter(
            $shared, static fn (string $sign): bool => $one->signs[$sign] === $other->signs[$sign]
                || array_intersect($one->signs[$sign], $other->signs[$sign]) !== [],
        ));
        $both = 0.0;
        foreach ($shared as $sign) {
            $both += $weights[$sign] * (in_array($sign, $alike, true) ? 1.0 : self::OTHERWISE);
        }
        $either = array_sum(array_intersect_key($weights, $one->signs + $other->signs));
        $drive = $one->drive === $other->drive && $one->lash === $other->lash ? 1.0 : self::OTHERWISE;

        return new self($case, $either > 0.0 ? $drive * $both / $either : 0.0, $shared, $alike);
    }
}
