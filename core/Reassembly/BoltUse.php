<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

/** Whether bolts go in again. */
enum BoltUse: string
{
    case Once = 'once';
    case Again = 'again';
    case Measured = 'measured';

    public function words(): string
    {
        return match ($this) {
            self::Once => 'new ones: tightened past yield, once only',
            self::Again => 'used again: tightened within the elastic range',
            self::Measured => 'used again if thread and shank are not necked, measured one by one',
        };
    }
}
