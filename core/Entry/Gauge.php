<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;

/**
 * What a gauge is worth. Half-widths, each rectangular: zero and gain are common to all its readings, repeat is
 * independent. A known offset, shown less true, is taken off each reading. Defaults [practice]; the figures used are stored with each
 * reading.
 */
final readonly class Gauge
{
    private function __construct(
        public string $code,
        public string $label,
        public Unit $unit,
        public float $zero,
        public float $gain,
        public float $gainFloor,
        public float $repeat,
        public float $repeatRelative,
        public string $stated,
        public bool $isOnCable,
        public float $offset,
    ) {
    }

    public static function fromNode(Node $node): self
    {
        $number = static fn (string $key): float => $node->maybe($key)?->number() ?? 0.0;

        return new self(
            $node->get('code')->word(),
            $node->get('label')->word(),
            $node->get('unit')->choice(Unit::class),
            $number('zero'),
            $number('gain'),
            $number('gain_floor'),
            $number('repeat'),
            $number('repeat_relative'),
            $node->get('stated')->word(),
            $node->maybe('cable')?->flag() ?? false,
            $number('offset'),
        );
    }

    /** @return array<string, mixed> what it is worth, in the shape that fromNode reads: stored with each reading */
    public function toArray(): array
    {
        return [
            'code' => $this->code, 'label' => $this->label, 'unit' => $this->unit->value, 'zero' => $this->zero, 'gain' => $this->gain,
            'gain_floor' => $this->gainFloor, 'repeat' => $this->repeat, 'repeat_relative' => $this->repeatRelative,
            'stated' => $this->stated,
        ] + ($this->offset === 0.0 ? [] : ['offset' => $this->offset]);
    }

    /** Half-width within which two readings of one thing agree, in the base unit. */
    public function repeatInBaseUnit(): float
    {
        return $this->repeat * $this->unit->baseFactor();
    }

    /** A reading of this gauge with the uncertainty that comes with it. */
    public function reading(Quantity $quantity, string $readingId): Uncertain
    {
        $base = $this->unit->baseFactor();
        $common = max($this->gain * abs($quantity->base), $this->gainFloor * $base);
        $repeat = max($this->repeat * $base, $this->repeatRelative * abs($quantity->base));

        return Uncertain::of(Quantity::base($quantity->base - $this->offset * $base, $quantity->dimension), [
            'gauge '.$this->code.' zero' => Uncertain::fromHalfWidth($this->zero * $base),
            'gauge '.$this->code.' gain' => Uncertain::fromHalfWidth($common),
            'reading '.$readingId => Uncertain::fromHalfWidth($repeat),
        ]);
    }
}
