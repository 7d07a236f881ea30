<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Remedy\PartAdvice;
use MuteTapper\Core\Remedy\ReuseDecision;
use MuteTapper\Core\Timeline\RunUnit;
use OpenApi\Attributes as OA;

/** What the rules and measurements say of a part, and what was decided. */
#[OA\Schema]
final readonly class PartAdviceView
{
    /**
     * @param string $where in words: a valve, or all that are not named apart
     * @param list<string> $reasons
     */
    private function __construct(
        public Part $part,
        public string $label,
        public string $place,
        public string $where,
        public int $count,
        public ReuseDecision $advised,
        public array $reasons,
        public ?float $left,
        public RunUnit $unit,
        public ?ReuseDecision $decided,
        public ?float $amount,
        public ?RunUnit $amountUnit,
        public string $words,
    ) {
    }

    public static function of(PartAdvice $one, Engine $engine): self
    {
        $isAll = count($one->places) === count($engine->sites($one->part->site()));

        return new self(
            $one->part, $one->part->label($engine), $one->place,
            match (true) {
                !$one->isOfAllOthers() => $engine->placeLabel($one->place) ?? $one->place,
                $isAll => 'all',
                default => 'all others',
            },
            count($one->places), $one->advised, $one->reasons, $one->left, $one->unit, $one->decided?->decision, $one->decided?->amount,
            $one->decided?->unit, $one->decided->words ?? '',
        );
    }
}
