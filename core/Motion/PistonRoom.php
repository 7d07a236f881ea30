<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/**
 * The room between a valve and its piston about overlap: slider and crank against the lift of the lobe. The level is as good as what is
 * known of deck, gasket and relief; one measured clearance fixes it, and the curve then says how it moves with phase. [own].
 */
final readonly class PistonRoom
{
    /** Crank degrees about top dead centre within which the nearest place is looked for. */
    public const WITHIN = 42;
    private const STEP = 2.0;
    private const GOLDEN = 0.6180339887498949;
    private const NEAR = 1e-6;

    /**
     * @param float $drop from the valve’s face, shut, to the piston at top dead centre, along the cylinder, in metres
     * @param float $lean of the valve from the cylinder, in degrees
     * @param float $lash at the valve, in metres
     * @param float $centre of the lobe, in crank degrees after top dead centre; before it below nothing
     * @param float $level added to every clearance, in metres: what a measured one says beyond the computed
     */
    private function __construct(
        private LobeCurve $lobe,
        private CrankSlider $crank,
        private float $drop,
        private float $lean,
        private float $ratio,
        private float $lash,
        private float $centre,
        private float $level,
    ) {
    }

    public static function of(
        LobeCurve $lobe,
        CrankSlider $crank,
        float $drop,
        float $lean,
        float $ratio,
        float $lash,
        float $centre,
    ): self {
        return new self($lobe, $crank, $drop, $lean, $ratio, $lash, $centre, 0.0);
    }

    /** The same with its level fixed by a clearance measured while the cam stood so early. */
    public function measured(float $clearance, float $early): self
    {
        return new self(
            $this->lobe, $this->crank, $this->drop, $this->lean, $this->ratio, $this->lash, $this->centre,
            $this->level + $clearance - $this->nearest($early)[1],
        );
    }

    /**
     * Normal to the valve’s face, in metres.
     *
     * @param float $degree of the crank after top dead centre
     * @param float $early crank degrees that the cam stands early; late below nothing
     */
    public function at(float $degree, float $early = 0.0): float
    {
        $lift = $this->lobe->atValve(($degree - $this->centre + $early) / 2, $this->ratio, $this->lash);

        return ($this->crank->below($degree) + $this->drop) * cos(deg2rad($this->lean)) - $lift + $this->level;
    }

    /** @return array{float, float} crank degrees after top dead centre at which it is nearest, and the clearance there in metres */
    public function nearest(float $early = 0.0): array
    {
        $best = 0.0;
        for ($degree = -self::WITHIN; $degree <= self::WITHIN; $degree += self::STEP) {
            $best = $this->at($degree, $early) < $this->at($best, $early) ? $degree : $best;
        }
        [$from, $to] = [$best - self::STEP, $best + self::STEP];
        while ($to - $from > self::NEAR) {
            [$left, $right] = [$to - self::GOLDEN * ($to - $from), $from + self::GOLDEN * ($to - $from)];
            [$from, $to] = $this->at($left, $early) < $this->at($right, $early) ? [$from, $right] : [$left, $to];
        }

        return [($from + $to) / 2, $this->at(($from + $to) / 2, $early)];
    }
}
