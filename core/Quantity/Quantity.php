<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/** A finite number with its dimension, held in the dimension's base unit. */
final readonly class Quantity
{
    private function __construct(public float $base, public Dimension $dimension, private bool $isDifference = false)
    {
    }

    /** @throws \DomainException when the number is not finite */
    public static function of(float $number, Unit $unit): self
    {
        return self::base($number * $unit->baseFactor() + $unit->baseOffset(), $unit->dimension());
    }

    public static function base(float $base, Dimension $dimension): self
    {
        return is_finite($base) ? new self($base, $dimension) : throw new \DomainException('A quantity needs a finite number.');
    }

    /** How far two quantities lie apart. Of temperatures it has no zero of the scale: 5 K are 9 °F. */
    public static function difference(float $base, Dimension $dimension): self
    {
        return new self($base, $dimension, true);
    }

    /** @throws WrongDimension when the unit measures something else */
    public function in(Unit $unit): float
    {
        if ($unit->dimension() !== $this->dimension) {
            throw WrongDimension::shown($this->dimension, $unit);
        }

        return ($this->base - ($this->isDifference ? 0.0 : $unit->baseOffset())) / $unit->baseFactor();
    }
}
