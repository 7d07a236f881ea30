<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/** The lift that a lobe asks of its valve over the crank angle. */
final readonly class ValveLift
{
    /**
     * @param float $lash at the valve, in metres
     * @param float $centre of the lobe, in crank degrees after top dead centre; before it below nothing
     */
    private function __construct(private LobeCurve $lobe, private float $ratio, private float $lash, private float $centre)
    {
    }

    public static function of(LobeCurve $lobe, float $ratio, float $lash, float $centre): self
    {
        return new self($lobe, $ratio, $lash, $centre);
    }

    /**
     * In metres.
     *
     * @param float $degree of the crank after top dead centre
     * @param float $early crank degrees that the cam stands early; late below nothing
     */
    public function at(float $degree, float $early): float
    {
        return $this->lobe->atValve(($degree - $this->centre + $early) / 2, $this->ratio, $this->lash);
    }
}
