<?php

declare(strict_types=1);

namespace MuteTapper\Core\Guide;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;
use MuteTapper\Core\Verdict\Margin;

/**
 * How much is to be cut off a guide so that the retainer clears it and its seal by their limits at full lift, and what stands then.
 * Practitioners disagree whether a guide may be cut at all: less guide holds the valve less. [practice].
 */
final readonly class CutTarget
{
    /** Rooms that a lower guide widens; the seal goes down with it. */
    private const WIDENED = ['retainer_to_guide', 'retainer_to_seal'];

    /**
     * @param Uncertain $top of the guide above the spring's face, as found
     * @param Quantity $cut at least; nothing where there is room enough
     * @param list<Margin> $before
     * @param list<Margin> $after
     * @param Uncertain|null $seatedLeft what is left of the guide for the seal, less what the seal takes; null where that is unknown
     */
    private function __construct(
        public string $place,
        public Uncertain $top,
        public Quantity $cut,
        public Uncertain $topAfter,
        public array $before,
        public array $after,
        public ?Uncertain $seatedLeft,
    ) {
    }

    /**
     * @param Quantity $more lift than now that the guides are cut for
     *
     * @return list<self> of each valve of which the room over the guide or the seal is known
     */
    public static function on(Bench $found, Quantity $more): array
    {
        $cuts = $rooms = [];
        $places = array_map(static fn (Station $station): string => $station->code(), $found->case->engine->stations);
        $change = Change::none()->adding($places, 'net_lift', $more);
        $bench = $found->with($change);
        foreach ($places as $place) {
            $rooms[$place] = self::rooms($place, $bench);
            if ($rooms[$place] !== [] && $bench->value($place, 'guide_height') instanceof Given) {
                $short = array_map(
                    static fn (Margin $margin): float => -$margin->limit->distanceInside((float) $margin->value()?->base), $rooms[$place],
                );
                $cuts[$place] = Quantity::difference(max(0.0, ...$short), Dimension::Length);
                $change = $change->adding([$place], 'guide_cut', $cuts[$place]);
            }
        }
        $cut = $found->with($change);

        return array_map(
            static fn (string $place): self => self::at($place, $cuts[$place], $rooms[$place], $bench, $cut), array_keys($cuts),
        );
    }

    /** @param list<Margin> $before */
    private static function at(string $place, Quantity $by, array $before, Bench $bench, Bench $cut): self
    {
        [$top, $after, $seated, $shims] = [
            $bench->value($place, 'guide_height'), $cut->value($place, 'guide_height'), $bench->value($place, 'seal_depth'),
            $bench->value($place, 'shims_under_spring'),
        ];
        if (!$top instanceof Given || !$after instanceof Given) {
            throw new \LogicException('Without a guide there is nothing to cut.');
        }

        return new self(
            $place, $top->value, $by, $after->value, $before, self::rooms($place, $cut),
            $seated instanceof Given && $shims instanceof Given ? $after->value->plus($shims->value)->minus($seated->value) : null,
        );
    }

    /** @return list<Margin> */
    private static function rooms(string $place, Bench $bench): array
    {
        $rooms = [];
        foreach (self::WIDENED as $name) {
            $margin = $bench->margin($place, $name);
            if ($margin !== null && $margin->value() !== null) {
                $rooms[] = $margin;
            }
        }

        return $rooms;
    }
}
