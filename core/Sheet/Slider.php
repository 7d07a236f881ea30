<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;

/** How something is tried in place of what was found: as far as it can be bought or cut, in steps that can be measured. */
final readonly class Slider
{
    /** @param bool $isAround whether its ends are told from what was found, or stand by themselves */
    private function __construct(private Quantity $least, private Quantity $most, public Quantity $step, private bool $isAround)
    {
    }

    public static function between(float $least, float $most, float $step = 0.001, Unit $unit = Unit::Inch): self
    {
        return new self(Quantity::of($least, $unit), Quantity::of($most, $unit), Quantity::of($step, $unit), false);
    }

    /** So much less and so much more than what was found. */
    public static function around(float $less, float $more, float $step = 0.001, Unit $unit = Unit::Inch): self
    {
        return new self(Quantity::of(-$less, $unit), Quantity::of($more, $unit), Quantity::of($step, $unit), true);
    }

    /** Its lower end, in the base unit, for what was found; never above that. */
    public function from(float $found): float
    {
        if (!$this->isAround) {
            return min($this->least->base, $found);
        }
        // What is more than nothing is not tried as less than nothing.
        $least = $found >= 0.0 ? min($found, $this->step->base) : -INF;

        return max($least, $this->onStep($found + $this->least->base));
    }

    /** Its upper end, in the base unit, for what was found; never below that. */
    public function to(float $found): float
    {
        return $this->isAround ? $this->onStep($found + $this->most->base) : max($this->most->base, $found);
    }

    private function onStep(float $base): float
    {
        return round($base / $this->step->base) * $this->step->base;
    }
}
