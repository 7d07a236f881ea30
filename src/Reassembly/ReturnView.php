<?php

declare(strict_types=1);

namespace MuteTapper\App\Reassembly;

use MuteTapper\Core\Reassembly\Symptom;
use MuteTapper\Core\Timeline\RunUnit;
use OpenApi\Attributes as OA;

/** One return of the engine: what became of the complaint, with lash and pulls against the rebuild. */
#[OA\Schema]
final readonly class ReturnView
{
    /**
     * @param bool|null $held whether the call held so far; null where it cannot be told
     * @param list<ReturnedValueView> $values
     */
    public function __construct(
        public string $day,
        public float $amount,
        public RunUnit $unit,
        public Symptom $symptom,
        public string $symptomWords,
        public string $words,
        public string $by,
        public ?bool $held,
        public string $sentence,
        public array $values,
    ) {
    }
}
