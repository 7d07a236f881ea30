<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/** A finite number with its dimension, held in SI. */
final readonly class Quantity
{
    private function __construct(public float $si, public Dimension $dimension)
    {
    }

    /** @throws \DomainException when the number is not finite */
    public static function of(float $number, Unit $unit): self
    {
        if (!is_finite($number)) {
            throw new \DomainException('A quantity needs a finite number.');
        }

        return new self($number * $unit->siFactor() + $unit->siOffset(), $unit->dimension());
    }

    public static function si(float $si, Dimension $dimension): self
    {
        return self::of($si, $dimension->siUnit());
    }

    /** @throws \DomainException when the unit measures something else */
    public function in(Unit $unit): float
    {
        if ($unit->dimension() !== $this->dimension) {
            throw new \DomainException(sprintf('A %s cannot be shown in %s.', $this->dimension->value, $unit->value));
        }

        return ($this->si - $unit->siOffset()) / $unit->siFactor();
    }
}
