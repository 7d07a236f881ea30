<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** One value that stands for a set: its middle, its least, its greatest, or how far these two lie apart. */
final readonly class OfSet implements Calculation
{
    use Declared;

    /** @param \Closure(non-empty-list<Uncertain>): Uncertain $compute */
    private function __construct(
        private string $name,
        private string $title,
        private string $input,
        private string $meaning,
        private Dimension $dimension,
        private string $formula,
        private Source $source,
        private \Closure $compute,
    ) {
    }

    public static function middle(string $name, string $title, string $input, string $meaning, Dimension $dimension): self
    {
        return new self(
            $name, $title, $input, $meaning, $dimension, 'median of the set', Source::published('median; any text on statistics'),
            Uncertain::median(...),
        );
    }

    public static function least(string $name, string $title, string $input, string $meaning, Dimension $dimension, Source $source): self
    {
        return new self(
            $name, $title, $input, $meaning, $dimension, 'least of the set', $source,
            static fn (array $values): Uncertain => self::sorted($values)[0],
        );
    }

    public static function greatest(string $name, string $title, string $input, string $meaning, Dimension $dimension, Source $source): self
    {
        return new self(
            $name, $title, $input, $meaning, $dimension, 'greatest of the set', $source,
            static fn (array $values): Uncertain => self::sorted($values)[count($values) - 1],
        );
    }

    public static function spread(string $name, string $title, string $input, string $meaning, Dimension $dimension, Source $source): self
    {
        return new self(
            $name, $title, $input, $meaning, $dimension, 'greatest − least', $source, static function (array $values): Uncertain {
                $sorted = self::sorted($values);

                return $sorted[count($sorted) - 1]->minus($sorted[0]);
            });
    }

    public function inputs(): array
    {
        return [Input::list($this->input, $this->meaning, $this->dimension)];
    }

    public function compute(Values $values): Uncertain
    {
        return ($this->compute)($values->all($this->input));
    }

    /**
     * @param non-empty-list<Uncertain> $values
     *
     * @return non-empty-list<Uncertain>
     */
    private static function sorted(array $values): array
    {
        usort($values, static fn (Uncertain $a, Uncertain $b): int => $a->base <=> $b->base);

        return $values;
    }
}
