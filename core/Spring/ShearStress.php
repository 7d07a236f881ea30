<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;

/** Greatest shear stress of round wire with the Wahl factor for curvature. */
final class ShearStress implements Calculation
{
    public function name(): string
    {
        return 'spring-shear-stress';
    }

    public function title(): string
    {
        return 'Shear stress in the wire';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('load', 'load on the spring', Dimension::Force),
            Input::scalar('wire_diameter', 'wire diameter', Dimension::Length),
            Input::scalar('mean_diameter', 'mean coil diameter', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Stress;
    }

    public function formula(): string
    {
        return 'K·8·F·D ÷ (π·d³), K = (4C − 1) ÷ (4C − 4) + 0.615 ÷ C, C = D ÷ d';
    }

    public function source(): Source
    {
        return Source::published('Wahl; Shigley; from memory');
    }

    public function compute(Values $values): Uncertain
    {
        $wire = $values->one('wire_diameter');
        $index = $values->one('mean_diameter')->dividedBy($wire, Dimension::Ratio);
        if ($index->base <= 1.5) {
            throw Contradiction::because('The mean coil diameter must be well above the wire diameter.');
        }
        $one = Uncertain::exact(Quantity::base(1, Dimension::Ratio));
        $wahl = $index->scaled(4)->minus($one)->dividedBy($index->scaled(4)->minus($one->scaled(4)), Dimension::Ratio)
            ->plus($one->scaled(0.615)->dividedBy($index, Dimension::Ratio));

        return $wahl->times($values->one('load'), Dimension::Ratio)
            ->times($values->one('mean_diameter'), Dimension::Ratio)->scaled(8 / M_PI)
            ->dividedBy($wire->toThe(3, Dimension::Ratio), Dimension::Stress);
    }
}
