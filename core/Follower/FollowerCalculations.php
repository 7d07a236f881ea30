<?php

declare(strict_types=1);

namespace MuteTapper\Core\Follower;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Formula;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Quantity\Dimension;

/** The face that the lobe runs on. */
final class FollowerCalculations
{
    /** Radius of a face from how far its middle stands out. */
    public static function crownRadius(): Formula
    {
        return Formula::of(
            'crown-radius', 'Radius of a follower’s crown', Dimension::Length, 'face diameter² ÷ (8 × crown) + crown ÷ 2',
            Source::published('height of a circle’s segment; any text'),
            static function (float $diameter, float $crown): float {
                return $crown > 0.0 ? $diameter ** 2 / (8 * $crown) + $crown / 2
                    : throw Contradiction::because('A flat or dished face has no crown: its radius is without end.');
            },
        )
            ->input('face_diameter', 'diameter over which the crown was read', Dimension::Length)
            ->input('crown', 'how far the middle of the face stands out', Dimension::Length);
    }
}
