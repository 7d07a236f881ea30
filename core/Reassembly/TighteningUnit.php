<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

/** Units of a pass, as the maker states it: a torque, or an angle from where the pass before ended. */
enum TighteningUnit: string
{
    case NewtonMetre = 'N·m';
    case PoundFoot = 'lbf·ft';
    case PoundInch = 'lbf·in';
    case Degree = '°';

    /** No bolt of a valvetrain or head is given more in one pass. [practice] */
    public function most(): float
    {
        return match ($this) {
            self::NewtonMetre => 300,
            self::PoundFoot => 220,
            self::PoundInch => 2640,
            self::Degree => 270,
        };
    }
}
