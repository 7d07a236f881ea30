<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Entry\EntryKind;

/** In which respect a value is an input of another. */
enum Respect
{
    case Value;
    case Measured;
    case Claim;
    case Height;
    case ClaimedHeight;
    case Peers;
    case Every;
    case Oldest;
    case Newest;
    /** Under the index of the cam that moves the valve. */
    case OfItsCam;
    /** The heights of the sweep of a spring, the greatest first. */
    case SweptHeights;
    /** The loads of the sweep of a spring, by height. */
    case SweptLoads;
    /** The cam degrees at which a lobe was measured, rising. */
    case MeasuredDegrees;
    /** The lifts of a lobe, by degree. */
    case MeasuredLifts;

    /** What a person records that has it: a curve, not a figure. */
    public function curve(): ?EntryKind
    {
        return match ($this) {
            self::SweptHeights, self::SweptLoads => EntryKind::Sweep,
            self::MeasuredDegrees, self::MeasuredLifts => EntryKind::Lift,
            default => null,
        };
    }
}
