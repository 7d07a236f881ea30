<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** A smooth function of single values, declared: everything that is more than a sum and has no rule of its own. */
final readonly class Formula implements Calculation
{
    use Declared;

    /**
     * @param \Closure $function of one float an input
     * @param list<Input> $inputs
     */
    private function __construct(
        private string $name,
        private string $title,
        private Dimension $dimension,
        private string $formula,
        private Source $source,
        private \Closure $function,
        private array $inputs,
    ) {
    }

    /**
     * @param \Closure $function of one float an input, in their order and base units, giving a float in the base unit of the result; it
     *                           throws a Contradiction where they cannot all be right
     */
    public static function of(
        string $name,
        string $title,
        Dimension $dimension,
        string $formula,
        Source $source,
        \Closure $function,
    ): self {
        return new self($name, $title, $dimension, $formula, $source, $function, []);
    }

    public function input(string $name, string $meaning, Dimension $dimension): self
    {
        return new self(
            $this->name, $this->title, $this->dimension, $this->formula, $this->source, $this->function,
            [...$this->inputs, Input::scalar($name, $meaning, $dimension)],
        );
    }

    public function inputs(): array
    {
        return $this->inputs === [] ? throw new \LogicException('A function of nothing: '.$this->name) : $this->inputs;
    }

    public function compute(Values $values): Uncertain
    {
        return Uncertain::ofFunction(
            $this->at(...), $this->dimension,
            ...array_map(static fn (Input $input): Uncertain => $values->one($input->name), $this->inputs),
        );
    }

    private function at(float ...$inputs): float
    {
        $value = ($this->function)(...$inputs);

        return is_float($value) ? $value : throw new \LogicException($this->name.' gives no number');
    }
}
