<?php

declare(strict_types=1);

namespace MuteTapper\Core\CaseFile;

/** The ten steps of the work, in order. */
enum Step: string
{
    case Story = 'story';
    case Before = 'before';
    case Teardown = 'teardown';
    case Bench = 'bench';
    case Clearances = 'clearances';
    case Motion = 'motion';
    case Compare = 'compare';
    case Cause = 'cause';
    case Remedy = 'remedy';
    case Report = 'report';

    public function label(): string
    {
        return $this === self::Before ? 'Before teardown' : ucfirst($this->value);
    }
}
