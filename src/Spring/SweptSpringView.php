<?php

declare(strict_types=1);

namespace MuteTapper\App\Spring;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Spring\ToldApart;
use OpenApi\Attributes as OA;

/** One swept spring: its curve in the units of the case, and how it differs from the one that it is held against. */
#[OA\Schema]
final readonly class SweptSpringView
{
    /**
     * @param list<list<float>> $points height and load, the greatest height first
     * @param list<list<float>> $rates height and rate
     * @param float|null $bind height at which it is solid
     * @param float|null $bindHalf its expanded uncertainty
     * @param float|null $closesBelow height below which coils close one after the other
     * @param QuantityView|null $loadFrom departure of its load at the installed height, in per cent
     * @param QuantityView|null $rateFrom departure of its rate
     * @param string $said in words; empty for the one that the others are held against
     */
    public function __construct(
        public string $place,
        public string $label,
        public array $points,
        public array $rates,
        public ?float $bind,
        public ?float $bindHalf,
        public ?QuantityView $bindHeight,
        public ?float $closesBelow,
        public bool $isProgressive,
        public ?QuantityView $seatLoad,
        public ?QuantityView $openLoad,
        public ?QuantityView $rate,
        public ?QuantityView $loadFrom,
        public ?QuantityView $rateFrom,
        public bool $loadIsOutside,
        public bool $rateIsOutside,
        public ?ToldApart $told,
        public string $said,
    ) {
    }
}
