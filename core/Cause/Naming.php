<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/**
 * Whether the likeliest explanation may be named: it must explain a good deal more than nothing does, more than each rival
 * does, and not by what was told alone. [own].
 */
final class Naming
{
    public const LEADER_GAIN = 10.0;
    public const LEADER_PROBABILITY = 0.5;
    public const TIMES_THE_RIVAL = 2.0;
    public const LEADER_UNEXPLAINED = 0.3;
    public const PAIR_PROBABILITY = 0.25;
    /** What the evidence alone must tell it from a rival by, in decibans; nought from a rival that is a quarter as likely. */
    public const OVER_A_RIVAL = 3.0;
    public const RIVAL = 0.02;
    public const LESSER_RIVAL = 0.25;
    /** What it must gain without what was told. */
    public const NOT_BY_HEARSAY = 3.0;
    public const OPEN_UNEXPLAINED = 0.4;
    public const OPEN_PROBABILITY = 0.05;
    public const OPEN_SHARE_OF_FIRST = 0.2;
    public const OPEN_TOGETHER = 0.5;
    public const OPEN_AMONG = 3;

    private ?Model $seen = null;

    public function __construct(private readonly Model $model, private readonly Explanations $explanations)
    {
    }

    /** @param bool $isEstablished whether a mechanism is, whatever its root */
    public function name(bool $isEstablished): Named
    {
        $best = $this->likeliest();
        if ($best === null) {
            return new Named($isEstablished ? Standing::OpenBetween : Standing::NotEnough, [], [], []);
        }
        if ($this->mayBeNamed($best)) {
            $hearsay = $this->byHearsay($best);

            return new Named(Standing::Leader, array_values(array_udiff($best->members, $hearsay, self::order(...))), [], $hearsay);
        }
        $single = $this->likelierMember($best);
        if ($single !== null && $this->mayBeNamed($single)) {
            return new Named(Standing::LeaderAndOpen, $single->members, $this->companions($single), []);
        }
        $open = $this->openBetween($isEstablished);

        return new Named($open !== [] || $isEstablished ? Standing::OpenBetween : Standing::NotEnough, [], $open, []);
    }

    /** @return list<string> causes by what their explanations weigh, likeliest first */
    public function ranked(): array
    {
        $causes = $this->explanations->ofCause;
        uksort($causes, static fn (string $a, string $b): int => [$causes[$b], $a] <=> [$causes[$a], $b]);

        return array_keys($causes);
    }

    /** The likeliest explanation; a pair only when it exceeds a quarter. */
    private function likeliest(): ?Explanation
    {
        foreach ($this->explanations->reduced as $explanation) {
            if (count($explanation->members) === 1 || $explanation->probability > self::PAIR_PROBABILITY) {
                return $explanation;
            }
        }

        return null;
    }

    private function mayBeNamed(Explanation $explanation): bool
    {
        $rivals = $this->explanations->rivalsOf($explanation);
        $inside = min(array_map(fn (string $cause): float => $this->explanations->ofCause[$cause] ?? 0.0, $explanation->causes()));

        return $this->explanations->gain(...$explanation->members) >= self::LEADER_GAIN
            && $inside >= self::LEADER_PROBABILITY
            && $inside >= self::TIMES_THE_RIVAL * max([0.0, ...array_values($rivals)])
            && $this->explanations->unexplained < self::LEADER_UNEXPLAINED
            && $this->isToldFrom($explanation, $inside, $rivals)
            && $this->gainSeen($explanation->members) >= self::NOT_BY_HEARSAY;
    }

    /**
     * The starting weights alone name nobody: with any member replaced by a rival, the evidence must be less likely.
     *
     * @param array<string, float> $rivals
     */
    private function isToldFrom(Explanation $explanation, float $probability, array $rivals): bool
    {
        $own = $this->explanations->gain(...$explanation->members);
        foreach ($rivals as $cause => $rivalry) {
            if ($rivalry < self::RIVAL) {
                continue;
            }
            $over = $rivalry <= self::LESSER_RIVAL * $probability ? 0.0 : self::OVER_A_RIVAL;
            foreach (array_keys($explanation->members) as $m) {
                $with = $explanation->members;
                $with[$m] = $this->explanations->best[$cause];
                if ($own - $this->explanations->gain(...$with) < $over) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @param list<PlacedCause> $members */
    private function gainSeen(array $members): float
    {
        $seen = $this->withoutReports();

        return 10 * log10($seen->likelihood(...array_map($seen->like(...), $members)) / $seen->likelihood());
    }

    /** @return list<PlacedCause> members of a pair that without what was told add too little to be kept */
    private function byHearsay(Explanation $explanation): array
    {
        if (count($explanation->members) < 2) {
            return [];
        }
        $seen = $this->withoutReports();
        $all = array_map($seen->like(...), $explanation->members);
        $hearsay = [];
        foreach ($explanation->members as $m => $member) {
            $others = array_diff_key($all, [$m => true]);
            if ($seen->likelihood(...$all) < Explanations::WORTH_KEEPING * $seen->likelihood(...$others)) {
                $hearsay[] = $member;
            }
        }

        return count($hearsay) < count($explanation->members) ? $hearsay : [];
    }

    private function withoutReports(): Model
    {
        return $this->seen ??= $this->model->without(static fn (Item $item): bool => $item->isReport);
    }

    private function likelierMember(Explanation $pair): ?Explanation
    {
        if (count($pair->members) < 2) {
            return null;
        }
        [$first, $second] = $pair->members;
        $of = $this->explanations->ofCause;
        $likelier = $of[$first->cause] >= $of[$second->cause] ? $first : $second;

        return new Explanation([$this->explanations->best[$likelier->cause] ?? $likelier], $of[$likelier->cause]);
    }

    /** @return list<PlacedCause> those that stand beside it in pairs, as far as they are worth speaking of */
    private function companions(Explanation $single): array
    {
        $weights = [];
        foreach ($this->explanations->reduced as $explanation) {
            foreach ($explanation->holds($single->members[0]->cause) ? $explanation->members : [] as $member) {
                if ($member->cause !== $single->members[0]->cause) {
                    $weights[$member->cause] = ($weights[$member->cause] ?? 0.0) + $explanation->probability;
                }
            }
        }
        arsort($weights);

        return $this->worthSpeakingOf($weights);
    }

    /** @return list<PlacedCause> */
    private function openBetween(bool $isEstablished): array
    {
        $ranked = $this->ranked();
        $first = $this->explanations->best[$ranked[0]];
        $of = $this->explanations->ofCause;
        $open = $this->worthSpeakingOf(array_combine($ranked, array_map(static fn (string $cause): float => $of[$cause], $ranked)));
        if ($isEstablished) {
            return $open;
        }
        $causes = array_map(static fn (PlacedCause $one): string => $one->cause, $open);
        $together = 0.0;
        foreach ($this->explanations->reduced as $explanation) {
            $together += array_intersect($explanation->causes(), $causes) === [] ? 0.0 : $explanation->probability;
        }
        $isSeen = array_filter($open, fn (PlacedCause $one): bool => $this->gainSeen([$one]) >= self::NOT_BY_HEARSAY) !== [];

        return $this->explanations->gain($first) >= self::LEADER_GAIN && $isSeen && $together >= self::OPEN_TOGETHER
            && $this->explanations->unexplained < self::OPEN_UNEXPLAINED ? $open : [];
    }

    /**
     * @param array<string, float> $weights by cause, greatest first
     *
     * @return list<PlacedCause>
     */
    private function worthSpeakingOf(array $weights): array
    {
        $least = max(self::OPEN_PROBABILITY, self::OPEN_SHARE_OF_FIRST * (float) reset($weights));
        $enough = array_filter(array_slice($weights, 0, self::OPEN_AMONG), static fn (float $weight): bool => $weight >= $least);

        return array_map(fn (string $cause): PlacedCause => $this->explanations->best[$cause], array_keys($enough));
    }

    private static function order(PlacedCause $a, PlacedCause $b): int
    {
        return $a->id <=> $b->id;
    }
}
