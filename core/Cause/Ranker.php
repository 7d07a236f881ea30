<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** Weighs none, all single causes, all pairs and "something not listed", and says how far the evidence goes. [own] */
final class Ranker
{
    public const ESTABLISHED = 0.8;
    public const NONE = 1.0;
    public const SINGLES = 0.77;
    private const PAIRS = 0.25;
    private const OTHER = 0.08;
    /** A member that does not raise the likelihood by this much is dropped from an explanation. */
    private const WORTH_KEEPING = 1.5;
    private const LEADER_GAIN = 10.0;
    /** How many of the likeliest explanations the events are weighed over. */
    private const WEIGHED = 12;

    /** @var array<int, float> likelihood by mask */
    private array $likelihoods = [];

    /** @var array<string, int> */
    private readonly array $masks;

    public function __construct(private readonly Model $model)
    {
        $this->masks = array_combine($model->causes, array_map($model->mask(...), $model->causes));
    }

    public function rank(): Ranking
    {
        $hypotheses = $this->hypotheses();
        [$explanations, $unexplained, $byCause] = $this->reduce($hypotheses);
        $none = $this->likelihood(0);
        $causes = [];
        foreach ($this->model->causes as $code) {
            $gain = 10 * log10($this->likelihood($this->model->mask($code)) / $none);
            $causes[] = new RankedCause($this->model->network->causes[$code], $byCause[$code] ?? 0.0, $gain, 'engine');
        }
        usort($causes, static fn (RankedCause $a, RankedCause $b): int => [$b->probability, $b->gain, $a->cause->code] <=> [$a->probability, $a->gain, $b->cause->code]);
        [$standing, $leading] = $this->judge($causes, $explanations, $unexplained, $none);

        return new Ranking($causes, $standing, $leading, $explanations, $unexplained, $this->mechanisms($explanations, $unexplained), $this->model->excluded, $this->unexplainedSigns($standing, $leading));
    }

    private function likelihood(int $mask): float
    {
        return $this->likelihoods[$mask] ??= $this->model->elimination->likelihood($mask);
    }

    /** @return list<Hypothesis> */
    private function hypotheses(): array
    {
        $causes = $this->model->causes;
        $priors = $this->model->priors;
        $pairTotal = (array_sum($priors) ** 2 - array_sum(array_map(static fn (float $p): float => $p * $p, $priors))) / 2;
        $weighed = [[[], false, 0, self::NONE], [[], true, $this->model->other(), self::OTHER]];
        foreach ($causes as $i => $a) {
            $weighed[] = [[$a], false, 1 << $i, self::SINGLES * $priors[$a]];
            foreach (array_slice($causes, $i + 1, null, true) as $j => $b) {
                $weighed[] = [[$a, $b], false, 1 << $i | 1 << $j, self::PAIRS * $priors[$a] * $priors[$b] / $pairTotal];
            }
        }
        $total = 0.0;
        foreach ($weighed as [, , $mask, $weight]) {
            $total += $weight * $this->likelihood($mask);
        }

        return array_map(
            fn (array $one): Hypothesis => new Hypothesis($one[0], $one[1], $one[2], $this->likelihood($one[2]), $one[3] * $this->likelihood($one[2]) / $total),
            $weighed,
        );
    }

    /**
     * Drops from each explanation, one at a time, the member that adds least, until every member is worth keeping.
     *
     * @param list<Hypothesis> $hypotheses
     *
     * @return array{list<array{causes: list<string>, probability: float}>, float, array<string, float>} explanations, unexplained, probability by cause
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
                    $worth[$cause] = $this->likelihood($this->maskOf($kept)) / $this->likelihood($this->maskOf(array_values(array_diff($kept, [$cause]))));
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

    /** @param list<string> $causes */
    private function maskOf(array $causes): int
    {
        return array_sum(array_map(fn (string $cause): int => $this->masks[$cause], $causes));
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
        $gain = 10 * log10($this->likelihood($this->maskOf($best)) / $none);
        $inside = min(array_map(static fn (string $code): float => $probability[$code], $best));
        $outside = max([0.0, ...array_values(array_diff_key($probability, array_flip($best)))]);
        if ($gain >= self::LEADER_GAIN && $inside >= 0.5 && $inside >= 2 * $outside && $unexplained < 0.3) {
            return [Standing::Leader, $best];
        }
        $top = array_slice($causes, 0, 3);
        if ($gain >= self::LEADER_GAIN && array_sum(array_map(static fn (RankedCause $c): float => $c->probability, $top)) >= 0.5 && $unexplained < 0.4) {
            $open = array_filter($top, static fn (RankedCause $c): bool => $c->probability >= 0.05);

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
        if (count($best['causes']) > 1 && $best['probability'] <= 0.25) {
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
        $weighed = [[0, $unexplained]];
        foreach (array_slice($explanations, 0, self::WEIGHED) as $explanation) {
            $weighed[] = [$this->maskOf($explanation['causes']), $explanation['probability']];
        }
        $total = array_sum(array_column($weighed, 1));
        $mechanisms = [];
        foreach ($this->model->events as $event) {
            $sum = 0.0;
            foreach ($weighed as [$mask, $share]) {
                $sum += $share * $this->model->eventProbability($event, $mask);
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
        $mask = $this->maskOf($standing === Standing::Leader ? $leading : [$leading[0]]);
        $left = [];
        foreach ((new LedgerMaker($this->model))->lines($mask) as $sign => $weight) {
            if ($this->model->items[$sign]->isPresent && $this->model->items[$sign]->ratio > 1 && $weight < Ledger::SILENT) {
                $left[] = $sign;
            }
        }

        return $left;
    }
}
