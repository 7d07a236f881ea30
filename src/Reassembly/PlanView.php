<?php

declare(strict_types=1);

namespace MuteTapper\App\Reassembly;

use OpenApi\Attributes as OA;

/** The plan by which one engine goes back together. */
#[OA\Schema]
final readonly class PlanView
{
    /**
     * @param list<string> $taken names of the remedies that are taken
     * @param list<PlanLineView> $lines
     * @param list<JointView> $joints what is tightened by the maker's figures
     */
    public function __construct(
        public array $taken,
        public array $lines,
        public array $joints,
        public int $done,
        public int $total,
    ) {
    }
}
