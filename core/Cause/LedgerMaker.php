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
    /** @var array<int|string, list<array<string, float>>> E_t[log f] by what is at work, node and sign */
    private array $slopes = [];

    public function __construct(private readonly Model $model, private readonly Explanations $explanations)
    {
        foreach (self::QUADRATURE as [$t]) {
            $this->paths[] = $model->elimination->powered($t);
        }
    }

    /** @param PlacedCause|null $against what it is held against; nothing wrong, where null */
    public function of(PlacedCause $placed, ?PlacedCause $against = null): Ledger
    {
        $base = $against === null ? [] : [$against];
        [$lines, $spread] = [$this->lines([$placed], $base), $this->spread($placed, $against)];
        foreach ($spread as $sign => $decibans) {
            $lines[$sign] -= $decibans;
        }
        arsort($lines);
        $start = 10 * log10($this->startOf($placed) / ($against === null ? $this->explanations->startOfNone() : $this->startOf($against)));

        $carried = 10 * log10($placed->carried / ($against->carried ?? 1.0));

        return new Ledger($placed, $against, $start, $lines, $spread, $carried);
    }

    /**
     * @param list<PlacedCause> $members
     * @param list<PlacedCause> $against
     *
     * @return array<string, float> decibans by sign
     */
    public function lines(array $members, array $against): array
    {
        $lines = array_fill_keys(array_keys($this->model->numberOf), 0.0);
        [$with, $without] = [$this->slopesOf($members), $this->slopesOf($against)];
        foreach (self::QUADRATURE as $node => [, $weight]) {
            foreach (array_keys($lines) as $sign) {
                $lines[$sign] += $weight * 10 / M_LN10 * ($with[$node][$sign] - $without[$node][$sign]);
            }
        }

        return $lines;
    }

    private function startOf(PlacedCause $placed): float
    {
        return Explanations::SINGLES * $this->model->priors[$placed->cause] * $placed->share;
    }

    /**
     * How much of each line is how the marks lie: their spread's weight, as far as the cause brought the sign about.
     *
     * @return array<string, float> decibans by sign
     */
    private function spread(PlacedCause $placed, ?PlacedCause $against): array
    {
        $spread = [];
        foreach ($this->model->presentSigns() as $sign) {
            $decibans = 0.0;
            foreach ([[1, $placed], [-1, $against]] as [$side, $one]) {
                if ($one !== null) {
                    $decibans += $side * 10 * log10($this->model->spread($sign, $one)) * $this->model->broughtAbout($sign, $one);
                }
            }
            if ($decibans !== 0.0) {
                $spread[$sign] = $decibans;
            }
        }

        return $spread;
    }

    /**
     * @param list<PlacedCause> $members
     *
     * @return list<array<string, float>> by node and sign
     */
    private function slopesOf(array $members): array
    {
        $key = implode(' ', array_map(static fn (PlacedCause $one): int => $one->id, $members));
        if (!isset($this->slopes[$key])) {
            $found = [];
            foreach (self::QUADRATURE as $node => [$t]) {
                $found[] = $this->model->slopes($this->paths[$node], $t, $members);
            }
            $this->slopes[$key] = $found;
        }

        return $this->slopes[$key];
    }
}
