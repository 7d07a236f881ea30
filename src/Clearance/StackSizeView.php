<?php

declare(strict_types=1);

namespace MuteTapper\App\Clearance;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\UnitSystem;
use OpenApi\Attributes as OA;

/** A size of a stack: to draw it by, and to write beside it. */
#[OA\Schema]
final readonly class StackSizeView
{
    private const MILLIMETRES = 1000;

    /**
     * @param float $at in millimetres; of an angle in degrees
     * @param bool $isMeasured whether a reading is among what it rests on
     * @param string|null $claimed what the card says, where that is known and the size was measured
     */
    private function __construct(public float $at, public QuantityView $value, public bool $isMeasured, public ?string $claimed)
    {
    }

    public static function of(Given $given, ?Given $claim, UnitSystem $units): self
    {
        $quantity = $given->value->quantity();

        $inMillimetres = $quantity->base * ($quantity->dimension === Dimension::Length ? self::MILLIMETRES : 1);

        return new self(
            round($inMillimetres, 4), QuantityView::uncertain($given->value, $units),
            $given->basis->isMeasured(),
            $claim === null || $given->basis === Basis::Claimed ? null : $units->figure($claim->value->quantity()),
        );
    }
}
