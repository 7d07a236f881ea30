<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;

/** A crank, its rod and the piston that they move [pub: any text on mechanisms]. Metres; crank degrees from top dead centre. */
final readonly class CrankSlider
{
    private function __construct(private float $throw, private float $rod, private float $offset, private float $top)
    {
    }

    /** @throws Contradiction */
    public static function of(float $stroke, float $rod, float $offset = 0.0): self
    {
        if ($rod <= $stroke / 2 + abs($offset)) {
            throw Contradiction::because('The rod is shorter than half the stroke: the crank cannot turn.');
        }

        return new self($stroke / 2, $rod, $offset, sqrt(($stroke / 2 + $rod) ** 2 - $offset ** 2));
    }

    /** How far the piston stands below its highest place. */
    public function below(float $degree): float
    {
        $angle = deg2rad($degree);

        return $this->top - ($this->throw * cos($angle) + sqrt($this->rod ** 2 - ($this->throw * sin($angle) - $this->offset) ** 2));
    }
}
