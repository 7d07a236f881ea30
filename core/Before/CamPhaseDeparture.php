<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Phase of a cam against its card, in degrees of the crankshaft: positive is late. */
final class CamPhaseDeparture implements Calculation
{
    public function name(): string
    {
        return 'cam-phase-departure';
    }

    public function title(): string
    {
        return 'Cam phase against the card';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('found', 'centre line as found', Dimension::CrankAngle),
            Input::scalar('card', 'centre line on the card', Dimension::CrankAngle),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::CrankAngle;
    }

    public function formula(): string
    {
        return 'found − card';
    }

    public function source(): Source
    {
        return Source::practice('more than 2 crank degrees off the card is a finding');
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('found')->minus($values->one('card'));
    }
}
