<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

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
    /** The heights of the sweep of a spring, the greatest first. */
    case SweptHeights;
    /** The loads of the sweep of a spring, by height. */
    case SweptLoads;
}
