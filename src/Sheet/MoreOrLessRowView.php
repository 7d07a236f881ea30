<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Engine\ValveKind;
use OpenApi\Attributes as OA;

/** The valves of a kind with so much more load: middle values of the loads, and each margin at the station where it is worst. */
#[OA\Schema]
final readonly class MoreOrLessRowView
{
    /**
     * @param int $percent of load more than now
     * @param list<MarginView> $margins
     */
    public function __construct(
        public ValveKind $kind,
        public int $percent,
        public QuantityView $seatLoad,
        public QuantityView $openLoad,
        public array $margins,
    ) {
    }
}
