<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Quantity\Quantity;

/** The middle seat load of all springs of one kind and coil that were tested at one height. */
final readonly class MiddleValueOfSet
{
    public function __construct(public ValveKind $kind, public string $coil, public Quantity $height, public Trace $trace)
    {
    }
}
