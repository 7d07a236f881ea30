<?php

declare(strict_types=1);

namespace MuteTapper\App\Before;

use MuteTapper\Core\Before\LashOrder;
use MuteTapper\Core\Before\PullSheet;
use MuteTapper\Core\Engine\Cylinder;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Sheet\Bench;
use OpenApi\Attributes as OA;

/** The order in which lash and pulls are taken, which valve is next, and the days of earlier sheets. */
#[OA\Schema]
final readonly class LashOrderView
{
    /**
     * @param list<LashStopView> $order
     * @param list<string> $wantThird stations whose two pulls disagree
     * @param list<string> $dates days of earlier sheets, oldest first
     * @param string|null $nextPull station to be pulled next, or null when all are done
     */
    private function __construct(
        public array $order,
        public bool $fromFiringOrder,
        public array $wantThird,
        public array $dates,
        public ?string $nextPull,
    ) {
    }

    public static function of(Bench $bench): self
    {
        $order = LashOrder::of($bench->case->engine);
        $stops = array_map(static fn (array $stop): LashStopView => new LashStopView(
            $stop['cylinder']->code(), $stop['cylinder']->number, self::codes($stop['stations']),
            self::words($stop['cylinder'], $stop['overlap'], $order->isEven),
        ), $order->stops);
        $third = array_filter(
            self::codes($order->stations()), static fn (string $station): bool => PullSheet::wantsThird($bench, $station),
        );

        return new self($stops, $order->fromFiringOrder, array_values($third), $bench->dates(), PullSheet::next($bench));
    }

    /**
     * @param list<Station> $stations
     *
     * @return list<string>
     */
    private static function codes(array $stations): array
    {
        return array_map(static fn (Station $station): string => $station->code(), $stations);
    }

    private static function words(Cylinder $cylinder, ?Cylinder $overlap, ?bool $isEven): string
    {
        $at = sprintf('Cylinder %d at firing top dead centre, both valves shut', $cylinder->number);

        return match (true) {
            $overlap === null => $at.': both its lobes point away from their followers.',
            $isEven === true => sprintf('%s: cylinder %d rocks at overlap.', $at, $overlap->number),
            default => sprintf(
                '%s: both its lobes point away from their followers. If the engine fires evenly, cylinder %d rocks at overlap.', $at,
                $overlap->number,
            ),
        };
    }
}
