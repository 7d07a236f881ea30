<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** First frequency at which a spring of round steel wire swings in itself, both ends held. */
final class SurgeFrequency implements Calculation
{
    /** Density of steel in kg/m³ [pub: any handbook; from memory]. */
    private const DENSITY = 7850.0;

    public function name(): string
    {
        return 'spring-surge-frequency';
    }

    public function title(): string
    {
        return 'Surge frequency of a spring';
    }

    public function inputs(): array
    {
        return WireGeometry::inputs();
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Frequency;
    }

    public function formula(): string
    {
        return 'd ÷ (2π·n·D²) · √(G ÷ 2ρ), which is ½·√(rate ÷ active mass)';
    }

    public function source(): Source
    {
        return Source::published('both ends held: Wahl; the same as 3560·d ÷ (n·D²)·√(G ÷ ρ) of EN 13906-1; from memory');
    }

    public function compute(Values $values): Uncertain
    {
        $mean = $values->one('mean_diameter');

        return $values->one('shear_modulus')->scaled(1 / (2 * self::DENSITY))->root(Dimension::Ratio)
            ->times($values->one('wire_diameter'), Dimension::Ratio)->scaled(1 / (2 * M_PI))
            ->dividedBy($values->one('active_coils')->times($mean->toThe(2, Dimension::Ratio), Dimension::Ratio), Dimension::Frequency);
    }
}
