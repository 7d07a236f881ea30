<?php

declare(strict_types=1);

namespace MuteTapper\Core\Verdict;

use MuteTapper\Core\Quantity\Normal;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;

/** Where the good values end: below, above, or on both sides. Invariant: at least one end; the least is below the most. */
final readonly class Bound
{
    public function __construct(public ?Quantity $least, public ?Quantity $most)
    {
        if ($least === null && $most === null) {
            throw new \LogicException('A bound needs an end.');
        }
        if ($least !== null && $most !== null && $least->base >= $most->base) {
            throw new \LogicException('A bound needs its least below its most.');
        }
    }

    /** Probability that the true value lies between the ends. */
    public function probabilityGood(Uncertain $value): float
    {
        $u = $value->standard();
        if ($u <= 0.0) {
            return $this->distanceInside($value->base) >= 0.0 ? 1.0 : 0.0;
        }
        $below = static fn (Quantity $end): float => Normal::below(($end->base - $value->base) / $u);
        $good = match (true) {
            $this->most === null => 1.0,
            default => $below($this->most),
        };

        return match (true) {
            $this->least === null => $good,
            $this->most === null => Normal::below(($value->base - $this->least->base) / $u),
            default => $good - $below($this->least),
        };
    }

    /** How far a value lies on the good side of the nearer end, in the base unit; negative when it is outside. */
    public function distanceInside(float $base): float
    {
        return min($this->least === null ? \INF : $base - $this->least->base, $this->most === null ? \INF : $this->most->base - $base);
    }

    /** The end that a value is nearest to going past. */
    public function nearestEnd(float $base): Quantity
    {
        return match (true) {
            $this->least === null => $this->most ?? throw new \LogicException('A bound without ends.'),
            $this->most === null => $this->least,
            default => $base - $this->least->base < $this->most->base - $base ? $this->least : $this->most,
        };
    }
}
