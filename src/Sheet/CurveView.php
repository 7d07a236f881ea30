<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Curve;
use OpenApi\Attributes as OA;

/** A line to be drawn with its like, in the units of the case. */
#[OA\Schema]
final readonly class CurveView
{
    /**
     * @param string|null $face page of the sheet that it is drawn on
     * @param list<CurvePointView> $points that were read
     * @param CurvePointView|null $beyond where it goes on to by computation alone
     */
    private function __construct(
        public string $name,
        public ?string $face,
        public string $unitAlong,
        public string $unitUp,
        public array $points,
        public ?CurvePointView $beyond,
    ) {
    }

    public static function of(Curve $curve, UnitSystem $units): self
    {
        $unit = static fn (int $which): string => $units->unitOf($curve->points[0][$which]->dimension)->value;

        return new self(
            $curve->name, $curve->key, $unit(0), $unit(1),
            array_map(static fn (array $point): CurvePointView => self::point($point, $units), $curve->points),
            $curve->beyond === null ? null : self::point($curve->beyond, $units),
        );
    }

    /** @param array{Quantity, Quantity} $point */
    private static function point(array $point, UnitSystem $units): CurvePointView
    {
        return new CurvePointView(...array_map(
            static fn (Quantity $one): float => round($one->in($units->unitOf($one->dimension)), 5), $point,
        ));
    }
}
