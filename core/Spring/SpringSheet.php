<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Verdict\Margin;

/** What the spring sheet tells: per station the derived values and margins, per set its middle value. */
final readonly class SpringSheet
{
    /**
     * @param array<string, array<string, Trace>> $derived by station, then name: net_lift, rate.outer, seat_load.outer …
     * @param list<Margin> $margins
     * @param array<string, MiddleValueOfSet> $middles by set
     */
    public function __construct(public array $derived, public array $margins, public array $middles)
    {
    }

    public function margin(string $place, string $quantity, ?string $coil = null): ?Margin
    {
        foreach ($this->margins as $margin) {
            if ($margin->place === $place && $margin->limit->quantity === $quantity && ($coil === null || $margin->coil === $coil)) {
                return $margin;
            }
        }

        return null;
    }
}
