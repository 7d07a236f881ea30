<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/**
 * Ledger lines as path integrals: each record is let in gradually, all together, and credited with what it adds on the
 * way. Lines add up to the total, do not depend on order, and share credit among marks that say the same
 * [pub: Aumann & Shapley 1974, from memory].
 */
final class LedgerMaker
{
    /** Eight-point Gauss–Legendre on [0, 1]: node, weight. [pub: any numerical analysis text; checked against NumPy] */
    private const QUADRATURE = [
        [0.019855071751231912, 0.050614268145188344],
        [0.10166676129318664, 0.11119051722668717],
        [0.23723379504183550, 0.15685332293894352],
        [0.40828267875217510, 0.18134189168918088],
        [0.59171732124782490, 0.18134189168918088],
        [0.76276620495816450, 0.15685332293894352],
        [0.89833323870681336, 0.11119051722668717],
        [0.98014492824876810, 0.050614268145188344],
    ];

    /** @var list<Elimination> the plan at each node of the quadrature */
    private array $paths = [];
    /** @var list<array<string, float>> E_t[log f] with no listed cause at work, by node and sign */
    private array $baselines = [];

    public function __construct(private readonly Model $model)
    {
        foreach (self::QUADRATURE as [$t]) {
            $this->paths[] = $path = $model->elimination->powered($t);
            $this->baselines[] = array_map(fn (int $factor): float => $this->slope($path, $factor, $t, AtWork::NONE), $model->factorOfSign);
        }
    }

    public function of(string $cause): Ledger
    {
        $lines = $this->lines($this->model->atWork($cause));
        arsort($lines);

        return new Ledger($cause, 10 * log10(Ranker::SINGLES * $this->model->priors[$cause] / Ranker::NONE), $lines);
    }

    /** @return array<string, float> decibans by sign, against "none listed" */
    public function lines(int $causes): array
    {
        $lines = array_fill_keys(array_keys($this->model->items), 0.0);
        foreach (self::QUADRATURE as $node => [$t, $weight]) {
            foreach ($this->model->factorOfSign as $sign => $factor) {
                $slope = $this->slope($this->paths[$node], $factor, $t, $causes);
                $lines[$sign] += $weight * 10 / M_LN10 * ($slope - $this->baselines[$node][$sign]);
            }
        }

        return $lines;
    }

    /** E_t[log f] for one sign: the likelihood with f^t replaced by f^t·log f, over the likelihood. */
    private function slope(Elimination $path, int $factor, float $t, int $causes): float
    {
        return $path->likelihoodWith(
            $causes, $factor, 'slope',
            static fn (array $table): array => array_map(static fn (float $f): float => $f ** $t * log($f), $table),
        ) / $path->likelihood($causes);
    }
}
