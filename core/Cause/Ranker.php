<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Knowledge\Strength;

/** Weighs none, all single causes, all pairs and "something not listed", and says how far the evidence goes. [own] */
final class Ranker
{
    /** An event of this probability is established, if nothing denies it. */
    public const ESTABLISHED = 0.9;
    /** A looked-for mark that weighs less than this where the others are denies its mechanism. */
    public const DENIED_BELOW = 0.1;
    public const NONE = 1.0;
    public const SINGLES = 0.77;
    public const PAIRS = 0.25;
    public const OTHER = 0.08;
    /** A member that does not raise the likelihood by this much is dropped from an explanation. */
    public const WORTH_KEEPING = 1.5;
    public const LEADER_GAIN = 10.0;
    public const LEADER_PROBABILITY = 0.5;
    public const TIMES_THE_RIVAL = 2.0;
    public const LEADER_UNEXPLAINED = 0.3;
    public const OPEN_UNEXPLAINED = 0.4;
    public const OPEN_PROBABILITY = 0.05;
    public const PAIR_PROBABILITY = 0.25;
    /** A sign that an explanation brought about with less than this is left over by it. */
    public const BROUGHT_ABOUT = 0.5;
    /** How many of the likeliest explanations the events are weighed over. */
    public const WEIGHED = 12;

    /** @var array<int, float> likelihood by the causes at work */
    private array $likelihoods = [];

    public function __construct(private readonly Model $model)
    {
    }

    public function rank(): Ranking
    {
        $hypotheses = $this->hypotheses();
        [$explanations, $unexplained, $byCause] = $this->reduce($hypotheses);
        $none = $this->likelihood(AtWork::NONE);
        $causes = [];
        foreach ($this->model->causes as $code) {
            $gain = 10 * log10($this->likelihood($this->model->atWork($code)) / $none);
            $causes[] = new RankedCause($this->model->network->causes[$code], $byCause[$code] ?? 0.0, $gain, 'engine');
        }
        usort(
            $causes,
            static fn (RankedCause $a, RankedCause $b): int => [$b->probability, $b->gain, $a->cause->code] <=> [
                $a->probability, $a->gain, $b->cause->code,
            ],
        );
        [$standing, $leading] = $this->judge($causes, $explanations, $unexplained, $none);

        $mechanisms = $this->mechanisms($explanations, $unexplained);

        return new Ranking(
            $causes, $standing, $leading, $explanations, $unexplained, $mechanisms, $this->established($mechanisms), $this->model->excluded,
            $this->unexplainedSigns($standing, $leading),
        );
    }

    private function likelihood(int $atWork): float
    {
        return $this->likelihoods[$atWork] ??= $this->likelihoodOfPair($atWork) ?? $this->model->elimination->likelihood($atWork);
    }

    /**
     * The short form of a pair, L(a)·L(b)/L(none), where either alone is not worth keeping: such a pair is reduced in any case,
     * and the exact sum would cost most of a ranking's time. Null where the sum must be exact.
     */
    private function likelihoodOfPair(int $atWork): ?float
    {
        $causes = AtWork::numbers($atWork);
        if (count($causes) < 2) {
            return null;
        }
        $none = $this->likelihood(AtWork::NONE);
        [$one, $other] = [$this->likelihood(AtWork::one($causes[0])), $this->likelihood(AtWork::one($causes[1]))];

        return min($one, $other) < self::WORTH_KEEPING * $none ? $one * $other / $none : null;
    }

    /** @return list<Hypothesis> */
    private function hypotheses(): array
    {
        $causes = $this->model->causes;
        $priors = $this->model->priors;
        $pairTotal = (array_sum($priors) ** 2 - array_sum(array_map(static fn (float $p): float => $p * $p, $priors))) / 2;
        $weighed = [[[], false, AtWork::NONE, self::NONE], [[], true, $this->model->other(), self::OTHER]];
        foreach ($causes as $i => $a) {
            $weighed[] = [[$a], false, AtWork::one($i), self::SINGLES * $priors[$a]];
            foreach (array_slice($causes, $i + 1, null, true) as $j => $b) {
                $weighed[] = [[$a, $b], false, AtWork::two($i, $j), self::PAIRS * $priors[$a] * $priors[$b] / $pairTotal];
            }
        }
        $total = 0.0;
        foreach ($weighed as [, , $atWork, $weight]) {
            $total += $weight * $this->likelihood($atWork);
        }

        return array_map(
            fn (array $one): Hypothesis => new Hypothesis(
                $one[0], $one[1], $one[2], $this->likelihood($one[2]), $one[3] * $this->likelihood($one[2]) / $total,
            ),
            $weighed,
        );
    }

    /**
     * Drops from each explanation, one at a time, the member that adds least, until every member is worth keeping.
     *
     * @param list<Hypothesis> $hypotheses
     *
     * @return array{list<array{causes: list<string>, probability: float}>, float, array<string, float>} explanations, unexplained,
     *                                                                                                   probability by cause
     */
    private function reduce(array $hypotheses): array
    {
        $mass = [];
        $unexplained = 0.0;
        $byCause = [];
        foreach ($hypotheses as $hypothesis) {
            $kept = $hypothesis->causes;
            while ($kept !== []) {
                $worth = [];
                foreach ($kept as $cause) {
                    $worth[$cause] = $this->likelihood($this->model->atWork(...$kept)) / $this->likelihood(
                        $this->model->atWork(...array_diff($kept, [$cause])),
                    );
                }
                asort($worth);
                $least = (string) array_key_first($worth);
                if ($worth[$least] >= self::WORTH_KEEPING) {
                    break;
                }
                $kept = array_values(array_diff($kept, [$least]));
            }
            if ($kept === []) {
                $unexplained += $hypothesis->mass;
                continue;
            }
            $key = implode("\0", $kept);
            $mass[$key] = ($mass[$key] ?? 0.0) + $hypothesis->mass;
            foreach ($kept as $cause) {
                $byCause[$cause] = ($byCause[$cause] ?? 0.0) + $hypothesis->mass;
            }
        }
        arsort($mass);
        $explanations = [];
        foreach ($mass as $key => $probability) {
            $explanations[] = ['causes' => explode("\0", $key), 'probability' => $probability];
        }

        return [$explanations, $unexplained, $byCause];
    }

    /**
     * @param list<RankedCause> $causes
     * @param list<array{causes: list<string>, probability: float}> $explanations
     *
     * @return array{Standing, list<string>}
     */
    private function judge(array $causes, array $explanations, float $unexplained, float $none): array
    {
        if ($explanations === []) {
            return [Standing::NotEnough, []];
        }
        $best = $this->bestExplanation($explanations);
        $probability = [];
        foreach ($causes as $ranked) {
            $probability[$ranked->cause->code] = $ranked->probability;
        }
        $gain = 10 * log10($this->likelihood($this->model->atWork(...$best)) / $none);
        $inside = min(array_map(static fn (string $code): float => $probability[$code], $best));
        $outside = max([0.0, ...array_values(array_diff_key($probability, array_flip($best)))]);
        if (
            $gain >= self::LEADER_GAIN
            && $inside >= self::LEADER_PROBABILITY
            && $inside >= self::TIMES_THE_RIVAL * $outside
            && $unexplained < self::LEADER_UNEXPLAINED
        ) {
            return [Standing::Leader, $best];
        }
        $top = array_slice($causes, 0, 3);
        $together = array_sum(array_map(static fn (RankedCause $c): float => $c->probability, $top));
        if ($gain >= self::LEADER_GAIN && $together >= self::LEADER_PROBABILITY && $unexplained < self::OPEN_UNEXPLAINED) {
            $open = array_filter($top, static fn (RankedCause $c): bool => $c->probability >= self::OPEN_PROBABILITY);

            return [Standing::OpenBetween, array_values(array_map(static fn (RankedCause $c): string => $c->cause->code, $open))];
        }

        return [Standing::NotEnough, []];
    }

    /**
     * The likeliest explanation; a pair only when it beats the best single and exceeds a quarter.
     *
     * @param non-empty-list<array{causes: list<string>, probability: float}> $explanations
     *
     * @return non-empty-list<string>
     */
    private function bestExplanation(array $explanations): array
    {
        $best = $explanations[0];
        if (count($best['causes']) > 1 && $best['probability'] <= self::PAIR_PROBABILITY) {
            foreach ($explanations as $explanation) {
                if (count($explanation['causes']) === 1) {
                    $best = $explanation;
                    break;
                }
            }
        }

        return $best['causes'] === [] ? throw new \LogicException('An explanation without a cause.') : $best['causes'];
    }

    /**
     * Events, weighed over the reduced explanations; what stays unexplained counts as "none".
     *
     * @param list<array{causes: list<string>, probability: float}> $explanations
     *
     * @return array<string, float>
     */
    private function mechanisms(array $explanations, float $unexplained): array
    {
        $weighed = [[AtWork::NONE, $unexplained]];
        foreach (array_slice($explanations, 0, self::WEIGHED) as $explanation) {
            $weighed[] = [$this->model->atWork(...$explanation['causes']), $explanation['probability']];
        }
        $total = array_sum(array_column($weighed, 1));
        $mechanisms = [];
        foreach ($this->model->events as $event) {
            $sum = 0.0;
            foreach ($weighed as [$atWork, $share]) {
                $sum += $share * $this->model->eventProbability($event, $atWork);
            }
            $mechanisms[$event] = $sum / $total;
        }
        arsort($mechanisms);

        return $mechanisms;
    }

    /**
     * @param list<string> $leading
     *
     * @return list<string>
     */
    private function unexplainedSigns(Standing $standing, array $leading): array
    {
        if ($standing === Standing::NotEnough) {
            return [];
        }
        $atWork = $this->model->atWork(...($standing === Standing::Leader ? $leading : [$leading[0]]));
        $present = array_filter($this->model->items, static fn (Item $item): bool => $item->isPresent && $item->ratio > 1);

        return array_keys(
            array_filter($present, fn (Item $item): bool => $this->model->broughtAbout($item->sign, $atWork) < self::BROUGHT_ABOUT),
        );
    }

    /**
     * Events that are established whichever of their roots it was: likely enough, with a mark of their own seen or measured,
     * and not denied by a mark that they would nearly always leave.
     *
     * @param array<string, float> $mechanisms
     *
     * @return list<string>
     */
    private function established(array $mechanisms): array
    {
        $likely = array_keys(array_filter($mechanisms, static fn (float $p): bool => $p >= self::ESTABLISHED));

        return array_values(array_filter($likely, fn (string $event): bool => $this->hasOwnMark($event) && !$this->isDenied($event)));
    }

    private function hasOwnMark(string $event): bool
    {
        foreach ($this->marks($event) as [$item, $strength]) {
            $isSure = $item->kind !== ItemKind::Bench || max([0.0, ...array_values($item->sites)]) >= self::ESTABLISHED;
            if ($item->isPresent && !$item->isReport && $isSure && $strength->probability() >= Strength::Often->probability()) {
                return true;
            }
        }

        return false;
    }

    private function isDenied(string $event): bool
    {
        $places = [];
        foreach ($this->marks($event) as [$item]) {
            $places = [...$places, ...($item->isPresent ? $item->places : [])];
        }
        foreach ($this->marks($event) as [$item, $strength]) {
            if ($strength !== Strength::NearlyAlways || $item->isPresent || $item->accusesOnly || $item->kind === ItemKind::Unanswered) {
                continue;
            }
            foreach ($item->sites as $site => $confidence) {
                $isThere = array_filter(
                    $places,
                    static fn (string $place): bool => $site === Place::ENGINE || $place === $site || str_starts_with(
                        $place, $site.'-',
                    ) || str_starts_with($site, $place.'-'),
                );
                if ($isThere !== [] && Item::ratioAt($confidence, $item->leak) < self::DENIED_BELOW) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<array{Item, Strength}> what was recorded of the signs that an event itself brings about */
    private function marks(string $event): array
    {
        $marks = [];
        foreach ($this->model->items as $sign => $item) {
            foreach ($this->model->network->signLinks[$sign] ?? [] as $link) {
                if ($link->parent === $event) {
                    $marks[] = [$item, $link->strength];
                }
            }
        }

        return $marks;
    }
}
