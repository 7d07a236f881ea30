<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\App\Knowledge\CheckView;
use OpenApi\Attributes as OA;

/** A check not made yet, with what either result would do. */
#[OA\Schema]
final readonly class NextCheckView
{
    /**
     * @param list<string> $stations where it would tell most; empty where in no place in particular
     * @param list<CheckEntryView> $ifFound findings that record that it was there; empty where a figure or an answer is needed
     * @param list<CheckEntryView> $ifClear findings that record that there was none of it; empty likewise
     */
    public function __construct(
        public CheckView $check,
        #[OA\Property(description: 'expected gain of information')]
        public float $bits,
        public array $stations,
        public string $where,
        #[OA\Property(description: 'the sign that tells most, in words')]
        public string $sign,
        public OutlookView $found,
        public OutlookView $clear,
        #[OA\Property(description: 'where its result is recorded: story, before, teardown, bench, clearances, motion')]
        public string $step,
        public array $ifFound,
        public array $ifClear,
    ) {
    }
}
