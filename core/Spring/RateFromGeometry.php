<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Rate of a helical compression spring of round wire. */
final class RateFromGeometry implements Calculation
{
    public function name(): string
    {
        return 'spring-rate-from-geometry';
    }

    public function title(): string
    {
        return 'Spring rate from its wire';
    }

    public function inputs(): array
    {
        return WireGeometry::inputs();
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Stiffness;
    }

    public function formula(): string
    {
        return 'G·d⁴ ÷ (8·D³·n)';
    }

    public function source(): Source
    {
        return Source::published('Wahl; Shigley; EN 13906-1; from memory');
    }

    public function compute(Values $values): Uncertain
    {
        $force = $values->one('shear_modulus')->times($values->one('wire_diameter')->toThe(4, Dimension::Ratio), Dimension::Ratio);

        return $force->dividedBy(
            $values->one('mean_diameter')->toThe(3, Dimension::Ratio)->times($values->one('active_coils'), Dimension::Ratio)->scaled(8),
            Dimension::Stiffness,
        );
    }
}
