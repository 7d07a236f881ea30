<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Formula;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Quantity\Dimension;

/** What becomes of a spring under load and over many turns. */
final class SpringCalculations
{
    /** From coil to coil of a spring that stands free, its ends closed and ground. */
    public static function pitch(): Formula
    {
        return Formula::of(
            'coil-pitch', 'Pitch of a free spring', Dimension::Length, '(free height − 2 × wire diameter) ÷ active coils',
            Source::published('squared and ground ends: Shigley; from memory'),
            static fn (float $free, float $wire, float $active): float => ($free - 2 * $wire) / $active,
        )
            ->input('free_height', 'free height', Dimension::Length)
            ->input('wire_diameter', 'wire diameter', Dimension::Length)
            ->input('active_coils', 'active coils', Dimension::Ratio);
    }

    /** How much wider a spring is when it is pressed together. */
    public static function growth(): Formula
    {
        return Formula::of(
            'coil-growth', 'Growth of a spring’s diameter under load', Dimension::Length, '0.1·(m² − 0.8·m·d − 0.2·d²) ÷ D',
            Source::published('EN 13906-1, from memory'),
            static fn (float $pitch, float $wire, float $mean): float => 0.1
                * ($pitch ** 2 - 0.8 * $pitch * $wire - 0.2 * $wire ** 2) / $mean,
        )
            ->input('pitch', 'from coil to coil while it stands free', Dimension::Length)
            ->input('wire_diameter', 'wire diameter', Dimension::Length)
            ->input('mean_diameter', 'mean coil diameter', Dimension::Length);
    }

    /** How much of what its wire endures for ever a spring uses: it is the range of stress that breaks it, not load alone. */
    public static function fatigueUse(): Formula
    {
        return Formula::of(
            'spring-fatigue-use', 'Share used of endless life', Dimension::Percent,
            'amplitude ÷ endurance + mean ÷ strength in shear, by the stresses at seat and full lift',
            Source::published('Goodman line: Shigley; from memory. Strengths are of the wire, its peening and its heat'),
            static function (float $seat, float $open, float $endurance, float $strength): float {
                if ($open < $seat) {
                    throw Contradiction::because('The stress at full lift is less than on the seat: check which is which.');
                }

                return 100 * (($open - $seat) / 2 / $endurance + ($open + $seat) / 2 / $strength);
            },
        )
            ->input('stress_seat', 'shear stress on the seat', Dimension::Stress)
            ->input('stress_open', 'shear stress at full lift', Dimension::Stress)
            ->input('endurance', 'amplitude of shear that the wire endures about nothing', Dimension::Stress)
            ->input('strength', 'strength of the wire in shear', Dimension::Stress);
    }
}
