<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\PlausibleRange;

/** A quantity of a measurement sheet: what may be typed into it, and the gauge it usually comes from. Implemented by enums. */
interface Column
{
    /** Stable code; also the item of the slots it fills. */
    public function code(): string;

    public function label(): string;

    /** The head of its column. */
    public function short(): string;

    public function part(): Part;

    /** What has one such reading each. */
    public function site(): Site;

    /** Whether outer and inner springs each have this reading. */
    public function isByCoil(): bool;

    /** Whether each reading carries the height at which it was taken. */
    public function isAtHeight(): bool;

    public function range(): PlausibleRange;

    /** Code of the gauge that usually reads it. */
    public function gauge(): string;

    /** Whether the build as claimed can state it. */
    public function isClaimable(): bool;
}
