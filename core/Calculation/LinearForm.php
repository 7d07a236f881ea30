<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** A sum and difference of values of one dimension, declared: a clearance is one. */
final readonly class LinearForm implements Calculation
{
    use Declared;

    /** @var list<Input> */
    private array $inputs;

    /** @param array<string, array{int, string}> $terms sign and meaning, by the name of the input */
    private function __construct(
        private string $name,
        private string $title,
        private Dimension $dimension,
        private string $formula,
        private Source $source,
        private array $terms,
    ) {
        $this->inputs = array_map(
            fn (string $input, array $term): Input => Input::scalar($input, $term[1], $this->dimension), array_keys($terms), $terms,
        );
    }

    public static function of(string $name, string $title, Dimension $dimension, string $formula, Source $source): self
    {
        return new self($name, $title, $dimension, $formula, $source, []);
    }

    public function plus(string $input, string $meaning): self
    {
        return $this->with($input, 1, $meaning);
    }

    public function minus(string $input, string $meaning): self
    {
        return $this->with($input, -1, $meaning);
    }

    public function inputs(): array
    {
        return $this->inputs === [] ? throw new \LogicException('A sum of nothing: '.$this->name) : $this->inputs;
    }

    public function compute(Values $values): Uncertain
    {
        $sum = null;
        foreach ($this->terms as $name => [$sign]) {
            $value = $values->one($name);
            if ($sum === null) {
                $sum = $sign > 0 ? $value : $value->scaled(-1);
            } else {
                $sum = $sign > 0 ? $sum->plus($value) : $sum->minus($value);
            }
        }

        return $sum ?? throw new \LogicException('A sum of nothing: '.$this->name);
    }

    private function with(string $input, int $sign, string $meaning): self
    {
        return new self(
            $this->name, $this->title, $this->dimension, $this->formula, $this->source, $this->terms + [$input => [$sign, $meaning]],
        );
    }
}
