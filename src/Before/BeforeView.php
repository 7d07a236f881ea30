<?php

declare(strict_types=1);

namespace MuteTapper\App\Before;

use MuteTapper\App\Spring\MarginView;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Before\LashChange;
use MuteTapper\Core\Before\LashOrder;
use MuteTapper\Core\Engine\Station;
use OpenApi\Attributes as OA;

/** What the tests before the teardown tell, and the order in which lash and pulls are taken. */
#[OA\Schema]
final readonly class BeforeView
{
    /**
     * @param list<MarginView> $margins
     * @param list<string> $remarks
     * @param list<string> $wantThird
     * @param list<LashChangeView> $changes
     * @param list<string> $dates
     * @param list<LashStopView> $order
     */
    private function __construct(
        #[OA\Property]
        public int $revision,
        #[OA\Property(items: new OA\Items(ref: MarginView::class))]
        public array $margins,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $remarks,
        #[OA\Property(description: 'stations whose two pulls disagree', items: new OA\Items(type: 'string'))]
        public array $wantThird,
        #[OA\Property(items: new OA\Items(ref: LashChangeView::class))]
        public array $changes,
        #[OA\Property(description: 'dates of earlier sheets', items: new OA\Items(type: 'string'))]
        public array $dates,
        #[OA\Property(items: new OA\Items(ref: LashStopView::class))]
        public array $order,
        #[OA\Property]
        public bool $fromFiringOrder,
        #[OA\Property(description: 'station to be pulled next, or null when all are done')]
        public ?string $nextPull,
    ) {
    }

    public static function of(Assessment $assessment, int $revision): self
    {
        $case = $assessment->case;
        $order = LashOrder::of($case->engine);
        $stops = [];
        foreach ($order->stops as $stop) {
            $stops[] = new LashStopView(
                $stop['cylinder']->code(), $stop['cylinder']->number,
                array_map(static fn (Station $station): string => $station->code(), $stop['stations']),
                sprintf('Cylinder %d at firing top dead centre, both valves shut%s.', $stop['cylinder']->number, $stop['overlap'] === null ? '' : sprintf(': cylinder %d rocks at overlap', $stop['overlap']->number)),
            );
        }

        return new self(
            $revision,
            array_map(static fn ($margin): MarginView => MarginView::of($margin, $case), $assessment->before->margins),
            $assessment->before->remarks, $assessment->before->wantThird,
            array_map(static fn (LashChange $change): LashChangeView => new LashChangeView(MarginView::of($change->margin, $case), $change->since, $change->isDrift(), $change->meaning()), $assessment->before->changes),
            $assessment->before->dates, $stops, $order->fromFiringOrder, $assessment->before->nextPull,
        );
    }
}
