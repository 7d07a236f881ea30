<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Remedy\OrderLine;
use MuteTapper\Core\Remedy\ReuseDecision;
use OpenApi\Attributes as OA;

/** Something to buy, or to give out as work. */
#[OA\Schema]
final readonly class OrderLineView
{
    private function __construct(
        public Part $part,
        public ReuseDecision $what,
        public int $count,
        public string $label,
        public string $where,
        public bool $isDecided,
    ) {
    }

    public static function of(OrderLine $line, Engine $engine): self
    {
        $labels = array_map(static fn (string $place): string => $engine->placeLabel($place) ?? $place, $line->places);
        $isAll = count($line->places) === count($engine->sites($line->part->site()));

        return new self(
            $line->part, $line->what, count($line->places), $line->part->label($engine),
            $isAll ? 'all' : implode(', ', $labels), $line->isDecided,
        );
    }
}
