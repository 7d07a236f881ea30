<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;

/** The straight line of least squares through loads over heights. Whatever is read off it is a weighted sum of the loads. */
final readonly class FittedLine
{
    /**
     * @param non-empty-list<float> $heights
     * @param non-empty-list<Uncertain> $loads
     */
    private function __construct(private array $heights, private array $loads, private float $middle, private float $spread)
    {
    }

    /**
     * @param list<float> $heights in metres
     * @param list<Uncertain> $loads by height
     *
     * @throws Contradiction where they all have one height
     */
    public static function through(array $heights, array $loads): self
    {
        if ($heights === [] || $loads === []) {
            throw Contradiction::because('There is no point to lay a line through.');
        }
        $middle = array_sum($heights) / count($heights);
        $spread = array_sum(array_map(static fn (float $height): float => ($height - $middle) ** 2, $heights));

        return $spread > 0.0 ? new self($heights, $loads, $middle, $spread) : throw Contradiction::because(
            'The points of the sweep lie at one height.',
        );
    }

    public function at(float $height): Uncertain
    {
        $count = count($this->heights);

        return $this->weighted(
            fn (float $one): float => 1.0 / $count + ($height - $this->middle) * ($one - $this->middle) / $this->spread,
        );
    }

    /** Load gained for each unit of height lost. */
    public function rate(): Uncertain
    {
        $slope = $this->weighted(fn (float $one): float => -($one - $this->middle) / $this->spread);

        return $slope->dividedBy(Uncertain::exact(Quantity::base(1.0, Dimension::Length)), Dimension::Stiffness);
    }

    /** In newtons a metre: below nothing, as a load falls with height. */
    public function slope(): float
    {
        return -$this->rate()->base;
    }

    /** In newtons, at no height at all. */
    public function level(): float
    {
        return $this->at(0.0)->base;
    }

    /** @param \Closure(float): float $weight of a load, by its height */
    private function weighted(\Closure $weight): Uncertain
    {
        $sum = $this->loads[0]->scaled($weight($this->heights[0]));
        for ($i = 1, $count = count($this->heights); $i < $count; ++$i) {
            $sum = $sum->plus($this->loads[$i]->scaled($weight($this->heights[$i])));
        }

        return $sum;
    }
}
