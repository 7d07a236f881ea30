<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/**
 * Weighs none, every cause in every form and place, all pairs and "something not listed" on the evidence, and reduces them to
 * what is needed. [own].
 */
final class Explanations
{
    public const NONE = 1.0;
    /** Of an engine with a mark that one with nothing wrong does not have. */
    public const NONE_ON_DAMAGE = 0.25;
    public const SINGLES = 0.77;
    public const PAIRS = 0.25;
    public const OTHER = 0.08;
    /** A member that does not raise the likelihood by this much is dropped from an explanation. */
    public const WORTH_KEEPING = 1.5;
    /** A pair of less than this share of the greatest single is not summed exactly. */
    public const WORTH_SUMMING = 1e-4;
    /** The second best place of a member takes part in pairs from this share of its best. */
    public const OTHER_PLACE = 1e-3;
    /** A sign that is so seldom there by itself is a mark of damage. */
    private const DAMAGE_LEAK = 0.015;
    private const DAMAGE_CONFIDENCE = 0.9;

    /** @var list<Explanation> likeliest first */
    public readonly array $reduced;
    public readonly float $unexplained;
    /** @var array<string, float> probability by cause */
    public readonly array $ofCause;
    /** @var array<string, PlacedCause> where each cause explains most */
    public readonly array $best;
    /** How many pairs were summed exactly. */
    public readonly int $exactPairs;
    private readonly float $none;

    public function __construct(private readonly Model $model)
    {
        $this->none = $model->likelihood();
        $mass = [];
        $reduced = [];
        $best = $other = $strongest = $singles = [];
        foreach (array_keys($model->network->causes) as $code) {
            [$best[$code], $other[$code], $strongest[$code], $singles[$code]] = $this->single($code, $mass, $reduced);
        }
        $this->best = array_filter($best);
        $least = self::WORTH_SUMMING * max([$this->startOfNone() * $this->none, ...array_values($singles)]);
        $this->exactPairs = $this->pairs($other, $strongest, $least, $mass, $reduced);
        $none = $this->startOfNone() * $this->none + ($mass[''] ?? 0.0) + self::OTHER * $model->likelihoodOfOther();
        unset($mass['']);
        $total = $none + array_sum($mass);
        arsort($mass);
        $explanations = $ofCause = [];
        foreach ($mass as $key => $weight) {
            [$members] = $reduced[$key];
            if ($members === []) {
                continue; // nothing is needed: it counts as none
            }
            $explanations[] = $explanation = new Explanation($members, $weight / $total);
            foreach ($explanation->causes() as $cause) {
                $ofCause[$cause] = ($ofCause[$cause] ?? 0.0) + $explanation->probability;
            }
        }
        $this->reduced = $explanations;
        $this->ofCause = $ofCause;
        $this->unexplained = $none / $total;
    }

    /** What "nothing wrong" starts with: less once there is damage, or a station was reported failed. */
    public function startOfNone(): float
    {
        if ($this->model->failed !== []) {
            return self::NONE_ON_DAMAGE;
        }
        foreach ($this->model->items as $laid) {
            $item = $laid->item;
            $isDamage = $item->leak <= self::DAMAGE_LEAK && !$item->isReport && $item->confidence >= self::DAMAGE_CONFIDENCE;
            if ($item->isPresent && ($item->isGross || $isDamage)) {
                return self::NONE_ON_DAMAGE;
            }
        }

        return self::NONE;
    }

    /**
     * How much likelier the evidence is with these at work than with nothing, in decibans; what went from failure to failure
     * counts too.
     */
    public function gain(PlacedCause ...$members): float
    {
        return 10 * log10($this->model->likelihood(...$members) * self::carried($members) / $this->none);
    }

    /** @return array<string, float> weight of each other cause in the explanations that hold it and nothing of this one */
    public function rivalsOf(Explanation $one): array
    {
        $rivals = array_fill_keys(array_keys($this->best), 0.0);
        foreach ($one->members as $member) {
            unset($rivals[$member->cause]);
        }
        foreach ($this->reduced as $explanation) {
            foreach ($explanation->sharesWith($one) ? [] : $explanation->members as $member) {
                $rivals[$member->cause] += $explanation->probability;
            }
        }

        return $rivals;
    }

    /**
     * @param array<string, float> $mass by the causes of reduced explanations
     * @param array<string, array{list<PlacedCause>, float}> $reduced members and the weight of their best place
     *
     * @return array{PlacedCause|null, list<PlacedCause>, float, float} best place, those that take part in pairs, greatest likelihood
     *                                                                  over "none", weight of the cause alone
     */
    private function single(string $code, array &$mass, array &$reduced): array
    {
        $byForm = [];
        $strongest = 0.0;
        foreach ($this->model->placed($code) as $placed) {
            $likelihood = $this->model->likelihood($placed);
            $strongest = max($strongest, $likelihood / $this->none);
            $key = $placed->extent->scope->value.' '.$placed->form;
            if (!isset($byForm[$key]) || $placed->share * $likelihood > $byForm[$key][1]) {
                $byForm[$key] = [$placed, $placed->share * $likelihood];
            }
        }
        $sum = 0.0;
        foreach ($byForm as [$placed, $weight]) {
            $sum += $weight = self::SINGLES * $this->model->priors[$code] * $weight;
            $this->keep([$placed], $weight, $mass, $reduced);
        }
        usort($byForm, static fn (array $a, array $b): int => $b[1] <=> $a[1]);
        if ($byForm === []) {
            return [null, [], 0.0, 0.0];
        }
        [$best, $most] = $byForm[0];
        $taking = [$best->id => $best];
        foreach ([
            static fn (PlacedCause $one): bool => $one->extent->scope->isLocal() !== $best->extent->scope->isLocal(),
            static fn (PlacedCause $one): bool => $one->form !== $best->form,
        ] as $isOther) {
            foreach ($byForm as [$placed, $weight]) {
                if ($isOther($placed) && $weight >= self::OTHER_PLACE * $most) {
                    $taking[$placed->id] = $placed;
                    break;
                }
            }
        }

        return [$best, array_values($taking), $strongest, $sum];
    }

    /**
     * @param array<string, list<PlacedCause>> $places best place of each cause, then others that take part
     * @param array<string, float> $strongest greatest likelihood of each cause over "none"
     * @param array<string, float> $mass
     * @param array<string, array{list<PlacedCause>, float}> $reduced
     */
    private function pairs(array $places, array $strongest, float $least, array &$mass, array &$reduced): int
    {
        $priors = $this->model->priors;
        $together = (array_sum($priors) ** 2 - array_sum(array_map(static fn (float $prior): float => $prior ** 2, $priors))) / 2;
        $codes = array_keys(array_filter($places));
        $weights = $isKept = $isWeak = [];
        foreach ($codes as $code) {
            $weights[$code] = $priors[$code] * $this->weightOf($places[$code][0]);
            $isKept[$code] = $this->model->likelihood($places[$code][0]) >= self::WORTH_KEEPING * $this->none;
            $isWeak[$code] = $strongest[$code] < self::WORTH_KEEPING;
        }
        $exact = 0;
        $apart = 0.0; // of two neither of which explains anything
        foreach ($codes as $i => $a) {
            $share = self::PAIRS / $together * $weights[$a] / $this->none;
            for ($j = $i + 1, $n = count($codes); $j < $n; ++$j) {
                $b = $codes[$j];
                $short = $share * $weights[$b];
                if ($isWeak[$a] || $isWeak[$b] || $short < $least) {
                    // It counts as two that have nothing to do with each other.
                    if ($isKept[$a] && $isKept[$b]) {
                        $both = [$places[$a][0], $places[$b][0]];
                        self::add($both, $short * self::carried($both), $mass, $reduced);
                    } elseif ($isKept[$a]) {
                        $mass[$a] = ($mass[$a] ?? 0.0) + $short * $places[$a][0]->carried;
                    } elseif ($isKept[$b]) {
                        $mass[$b] = ($mass[$b] ?? 0.0) + $short * $places[$b][0]->carried;
                    } else {
                        $apart += $short;
                    }
                    continue;
                }
                ++$exact;
                [$pair, $most] = $this->bestPair($places[$a], $places[$b]);
                $this->keep($pair, self::PAIRS * $priors[$a] * $priors[$b] / $together * $most, $mass, $reduced);
            }
        }
        $mass[''] = ($mass[''] ?? 0.0) + $apart;

        return $exact;
    }

    /**
     * Of the best places of two causes, and of either one's others with the best of the other, those that weigh most.
     *
     * @param list<PlacedCause> $ofFirst
     * @param list<PlacedCause> $ofSecond
     *
     * @return array{list<PlacedCause>, float}
     */
    private function bestPair(array $ofFirst, array $ofSecond): array
    {
        [$pair, $most] = [[], 0.0];
        foreach ($ofFirst as $i => $first) {
            foreach ($i === 0 ? $ofSecond : [$ofSecond[0]] as $second) {
                $weight = $this->weightOf($first, $second);
                if ($weight > $most) {
                    [$pair, $most] = [[$first, $second], $weight];
                }
            }
        }

        return [$pair, $most];
    }

    /** @param array<PlacedCause> $members */
    private static function carried(array $members): float
    {
        $carried = 1.0;
        foreach ($members as $member) {
            $carried *= $member->carried;
        }

        return $carried;
    }

    private function weightOf(PlacedCause ...$members): float
    {
        $weight = $this->model->likelihood(...$members);
        foreach ($members as $member) {
            $weight *= $member->share;
        }

        return $weight;
    }

    /**
     * Drops, one at a time, the member that adds least, until every member is worth keeping.
     *
     * @param list<PlacedCause> $members up to two
     * @param array<string, float> $mass
     * @param array<string, array{list<PlacedCause>, float}> $reduced
     */
    private function keep(array $members, float $weight, array &$mass, array &$reduced): void
    {
        if (count($members) === 2) {
            [$first, $second] = $members;
            $ofFirst = $this->model->likelihood($first);
            $ofSecond = $this->model->likelihood($second);
            if ($this->model->likelihood($first, $second) < self::WORTH_KEEPING * max($ofFirst, $ofSecond)) {
                $members = $ofFirst > $ofSecond ? [$first] : [$second];
            }
        }
        if (count($members) === 1 && $this->model->likelihood($members[0]) < self::WORTH_KEEPING * $this->none) {
            $members = [];
        }
        // What was carried is suspect only where it explains something.
        self::add($members, $weight * self::carried($members), $mass, $reduced);
    }

    /**
     * @param list<PlacedCause> $members
     * @param array<string, float> $mass
     * @param array<string, array{list<PlacedCause>, float}> $reduced
     */
    private static function add(array $members, float $weight, array &$mass, array &$reduced): void
    {
        $key = count($members) === 2 ? $members[0]->cause.' '.$members[1]->cause : $members[0]->cause ?? '';
        $mass[$key] = ($mass[$key] ?? 0.0) + $weight;
        if (!isset($reduced[$key]) || $weight > $reduced[$key][1]) {
            $reduced[$key] = [$members, $weight];
        }
    }
}
