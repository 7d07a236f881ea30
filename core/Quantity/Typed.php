<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/** A quantity as a person entered it: the number in the unit they meant, and what one step of its last digit is worth. */
final readonly class Typed
{
    public function __construct(public float $number, public Unit $unit, public int $decimals)
    {
    }

    public function quantity(): Quantity
    {
        return Quantity::of($this->number, $this->unit);
    }

    /** Half a step of the last digit typed, in the base unit: all that is known of the precision of a figure quoted from paper. */
    public function halfLastDigit(): float
    {
        return 0.5 * 10 ** -$this->decimals * $this->unit->baseFactor();
    }
}
