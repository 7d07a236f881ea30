<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/** The range outside which a reading is refused as a slip of the hand. Bounds belong to it. [own] */
final readonly class PlausibleRange
{
    /** In base units: beyond anything of this trade. */
    private const ANY = 1e15;

    /** @param Quantity|null $usual a figure such as one meets */
    public function __construct(public Quantity $least, public Quantity $most, private ?Quantity $usual = null)
    {
        if ($least->dimension !== $most->dimension || $least->base >= $most->base) {
            throw new \DomainException('A plausible range needs two bounds of one dimension, the lesser first.');
        }
    }

    /** Any figure of a dimension, where nothing is known of what is usual. */
    public static function any(Dimension $dimension, ?Quantity $usual = null): self
    {
        return new self(Quantity::base(-self::ANY, $dimension), Quantity::base(self::ANY, $dimension), $usual);
    }

    /** Any figure of its dimension, with the same example. */
    public function unbounded(): self
    {
        return self::any($this->dimension(), $this->example());
    }

    public function holds(Quantity $quantity): bool
    {
        return $quantity->dimension === $this->least->dimension
            && $quantity->base >= $this->least->base
            && $quantity->base <= $this->most->base;
    }

    /** The figure that examples are made of. */
    public function example(): Quantity
    {
        return $this->usual ?? Quantity::base(($this->least->base + $this->most->base) / 2, $this->dimension());
    }

    public function dimension(): Dimension
    {
        return $this->least->dimension;
    }
}
