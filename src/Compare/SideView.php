<?php

declare(strict_types=1);

namespace MuteTapper\App\Compare;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Compare\Side;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\UnitSystem;
use OpenApi\Attributes as OA;

/** One side of a mismatch. */
#[OA\Schema]
final readonly class SideView
{
    /** @param string $shown middle value, or the words */
    private function __construct(
        public string $name,
        public string $shown,
        public ?string $least,
        public ?string $most,
        public int $count,
    ) {
    }

    public static function of(Side $side, UnitSystem $units, Fineness $fineness): self
    {
        return new self(
            $side->name, $side->middle === null ? $side->words : QuantityView::exact($side->middle->quantity(), $units, $fineness)->figure,
            $side->least === null ? null : $units->figure($side->least->quantity(), 0, $fineness),
            $side->most === null ? null : $units->figure($side->most->quantity(), 0, $fineness), $side->count,
        );
    }
}
