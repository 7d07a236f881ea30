<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Site;
use OpenApi\Attributes as OA;

/** A column of a measurement sheet. */
#[OA\Schema]
final readonly class ColumnView
{
    /**
     * @param Site $site what has one such reading each
     * @param string $sheet code of the sheet that declares it
     * @param Step $step of the work in which it is measured
     * @param list<string> $units unit in which it is typed where none is given, inch and metric
     * @param bool $ofPair can be stated of outer and inner spring together
     * @param string $gaugeStated what the gauge is worth
     */
    public function __construct(
        public string $code,
        public string $label,
        public string $short,
        public string $part,
        public Site $site,
        public string $sheet,
        public Step $step,
        public array $units,
        public string $dimension,
        public bool $byCoil,
        public bool $ofPair,
        public bool $atHeight,
        public bool $claimable,
        public bool $readable,
        public string $gauge,
        public string $gaugeLabel,
        public string $gaugeStated,
    ) {
    }
}
