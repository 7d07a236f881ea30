<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/**
 * The room between a valve and its piston about overlap: slider and crank against the lift of the lobe. The level is as good as what is
 * known of deck, gasket and relief; one measured clearance fixes it, and the curve then says how it moves with phase. [own].
 */
final readonly class PistonRoom
{
    /**
     * @param float $drop from the valve’s face, shut, to the piston at top dead centre, along the cylinder, in metres
     * @param float $lean of the valve from the cylinder, in degrees
     * @param float $level added to every clearance, in metres: what a measured one says beyond the computed
     */
    private function __construct(
        private ValveLift $lift,
        private CrankSlider $crank,
        private float $drop,
        private float $lean,
        private float $level,
    ) {
    }

    public static function of(ValveLift $lift, CrankSlider $crank, float $drop, float $lean): self
    {
        return new self($lift, $crank, $drop, $lean, 0.0);
    }

    /** The same with its level fixed by a clearance measured while the cam stood so early. */
    public function measured(float $clearance, float $early): self
    {
        return new self($this->lift, $this->crank, $this->drop, $this->lean, $this->level + $clearance - $this->nearest($early)[1]);
    }

    /** The same at the level of another: where something is tried, what was measured keeps its say of what was found. */
    public function levelledAs(self $other): self
    {
        return new self($this->lift, $this->crank, $this->drop, $this->lean, $other->level);
    }

    /** The same over a relief cut deeper along the cylinder. */
    public function deepened(float $by): self
    {
        return new self($this->lift, $this->crank, $this->drop + $by, $this->lean, $this->level);
    }

    /**
     * Normal to the valve’s face, in metres.
     *
     * @param float $degree of the crank after top dead centre
     * @param float $early crank degrees that the cam stands early; late below nothing
     */
    public function at(float $degree, float $early = 0.0): float
    {
        return ($this->crank->below($degree) + $this->drop) * cos(deg2rad($this->lean)) - $this->lift->at($degree, $early) + $this->level;
    }

    /** @return array{float, float} crank degrees after top dead centre at which it is nearest, and the clearance there in metres */
    public function nearest(float $early = 0.0): array
    {
        return AboutOverlap::nearest(fn (float $degree): float => $this->at($degree, $early));
    }
}
