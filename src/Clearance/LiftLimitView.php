<?php

declare(strict_types=1);

namespace MuteTapper\App\Clearance;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Head\HighestLift;
use MuteTapper\Core\Quantity\UnitSystem;
use OpenApi\Attributes as OA;

/** The lift at which a limit is met. */
#[OA\Schema]
final readonly class LiftLimitView
{
    /** @param float $at in the unit of the case */
    private function __construct(public string $quantity, public string $title, public float $at, public QuantityView $lift)
    {
    }

    public static function of(HighestLift $one, string $title, UnitSystem $units): self
    {
        $lift = $one->lift->quantity();

        return new self(
            $one->margin->quantity(), $title, round($lift->in($units->unitOf($lift->dimension)), 6),
            QuantityView::uncertain($one->lift, $units),
        );
    }
}
