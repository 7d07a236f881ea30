<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/** How finely a figure is shown: as the trade reads it from its usual gauge, not as the computer could. [practice] */
enum Fineness: string
{
    /** Heights and clearances: 0.001 in, 0.01 mm. */
    case Usual = 'usual';
    /** Diameters of what runs in a bore: 0.0001 in, 0.001 mm. */
    case Fine = 'fine';
    /** Clearances of what runs in a bore: whole tenths of a thou, 0.001 mm. */
    case Tenths = 'tenths';
    /** What is counted: no decimals. */
    case Counted = 'counted';
}
