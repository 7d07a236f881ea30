<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;

/** What a long calculation came to for its figures: the value, how it moves with each of them, and what the method itself leaves open. */
final readonly class Solution
{
    /**
     * @param float $value in the base unit
     * @param array<string, float> $slopes change of the value with a single input, by its name
     * @param array<string, float> $own half-widths of what the method does not know, by what that is
     */
    private function __construct(public float $value, public array $slopes, public array $own)
    {
    }

    /**
     * @param array<string, float> $slopes
     * @param array<string, float> $own
     */
    public static function of(float $value, array $slopes, array $own): self
    {
        return new self($value, $slopes, $own);
    }

    /** The value with what is not known of its inputs, and of the method. */
    public function with(Values $values, Dimension $dimension): Uncertain
    {
        $contributions = array_map(Uncertain::fromHalfWidth(...), $this->own);
        foreach ($this->slopes as $name => $slope) {
            foreach ($values->one($name)->contributions as $source => $u) {
                $contributions[$source] = ($contributions[$source] ?? 0.0) + $slope * $u;
            }
        }

        return Uncertain::of(Quantity::base($this->value, $dimension), $contributions);
    }
}
