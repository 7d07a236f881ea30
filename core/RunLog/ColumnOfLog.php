<?php

declare(strict_types=1);

namespace MuteTapper\Core\RunLog;

/** A column of a log file that holds a channel, in the unit it is written in. */
final readonly class ColumnOfLog
{
    public function __construct(public int $index, public Channel $channel, public string $unit)
    {
    }

    public function toKept(float $number): float
    {
        [$factor, $offset] = $this->channel->units()[$this->unit];

        return $number * $factor + $offset;
    }
}
