<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Quantity\Dimension;

/** What a helical spring of round wire is told by. */
final class WireGeometry
{
    /** @return non-empty-list<Input> */
    public static function inputs(): array
    {
        return [
            Input::scalar('shear_modulus', 'shear modulus of the wire', Dimension::Stress),
            Input::scalar('wire_diameter', 'wire diameter', Dimension::Length),
            Input::scalar('mean_diameter', 'mean coil diameter', Dimension::Length),
            Input::scalar('active_coils', 'active coils', Dimension::Ratio),
        ];
    }
}
