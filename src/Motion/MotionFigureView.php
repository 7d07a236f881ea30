<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Value;
use OpenApi\Attributes as OA;

/** A figure that a train or a lobe is made of: how much, and how well it is known. */
#[OA\Schema]
final readonly class MotionFigureView
{
    private function __construct(
        public string $name,
        public string $label,
        public QuantityView $value,
        public string $origin,
        #[OA\Property(description: 'nobody weighed, read or stated it')]
        public bool $isGuess,
    ) {
    }

    public static function of(Value $value, Given $given, UnitSystem $units): self
    {
        return new self(
            $value->name, $value->title, QuantityView::uncertain($given->value, $units, $value->fineness), $given->origin,
            $given->basis === Basis::Assumed,
        );
    }
}
