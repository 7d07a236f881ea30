<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use OpenApi\Attributes as OA;

/** Between which the lift of a lobe and what follows from it may lie, as far as its card leaves that open: at the degrees of the lobe. */
#[OA\Schema]
final readonly class LiftBandView
{
    /**
     * @param list<list<float>> $lift least and most at each degree
     * @param list<list<float>> $velocity
     * @param list<list<float>> $acceleration
     * @param list<list<float>> $jerk
     */
    private function __construct(public array $lift, public array $velocity, public array $acceleration, public array $jerk)
    {
    }

    /** @param non-empty-list<LiftCurveView> $others what the lobe may be as well */
    public static function about(LiftCurveView $lobe, array $others): self
    {
        return new self(
            self::between($lobe, $others, static fn (LiftCurveView $curve): array => $curve->lift),
            self::between($lobe, $others, static fn (LiftCurveView $curve): array => $curve->velocity),
            self::between($lobe, $others, static fn (LiftCurveView $curve): array => $curve->acceleration),
            self::between($lobe, $others, static fn (LiftCurveView $curve): array => $curve->jerk),
        );
    }

    /**
     * @param non-empty-list<LiftCurveView> $others
     * @param \Closure(LiftCurveView): list<float> $of
     *
     * @return list<list<float>>
     */
    private static function between(LiftCurveView $lobe, array $others, \Closure $of): array
    {
        $band = [];
        foreach ($of($lobe) as $i => $here) {
            $least = $most = $here;
            foreach ($others as $other) {
                $there = $of($other)[$lobe->first + $i - $other->first] ?? 0.0; // off its ends it is the base circle
                $least = min($least, $there);
                $most = max($most, $there);
            }
            $band[] = [$least, $most];
        }

        return $band;
    }
}
