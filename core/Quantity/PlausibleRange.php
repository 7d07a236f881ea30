<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/** The range outside which a reading is refused as a slip of the hand. Bounds belong to it. [own] */
final readonly class PlausibleRange
{
    public function __construct(public Quantity $least, public Quantity $most)
    {
        if ($least->dimension !== $most->dimension || $least->base >= $most->base) {
            throw new \DomainException('A plausible range needs two bounds of one dimension, the lesser first.');
        }
    }

    public function holds(Quantity $quantity): bool
    {
        return $quantity->dimension === $this->least->dimension && $quantity->base >= $this->least->base && $quantity->base <= $this->most->base;
    }

    public function dimension(): Dimension
    {
        return $this->least->dimension;
    }
}
