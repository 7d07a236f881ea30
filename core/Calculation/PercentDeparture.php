<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Signed departure from a reference, in per cent of the reference. */
final readonly class PercentDeparture implements Calculation
{
    public function __construct(
        private string $name,
        private string $title,
        private Dimension $dimension,
        private string $input,
        private string $meaning,
        private string $reference,
        private Source $source,
    ) {
    }

    public function name(): string
    {
        return $this->name;
    }

    public function title(): string
    {
        return $this->title;
    }

    public function inputs(): array
    {
        return [
            Input::scalar($this->input, $this->meaning, $this->dimension), Input::scalar('reference', $this->reference, $this->dimension),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Percent;
    }

    public function formula(): string
    {
        return sprintf('100 × (%1$s − reference) ÷ reference', str_replace('_', ' ', $this->input));
    }

    public function source(): Source
    {
        return $this->source;
    }

    public function compute(Values $values): Uncertain
    {
        $reference = $values->one('reference');
        if ($reference->base <= 0.0) {
            throw Contradiction::because(sprintf('The %s is nought or less: nothing can be compared with it.', $this->reference));
        }

        return $values->one($this->input)->minus($reference)->dividedBy($reference, Dimension::Percent)->scaled(100);
    }
}
