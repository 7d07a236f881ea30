<?php

declare(strict_types=1);

namespace MuteTapper\App\Engine;

use OpenApi\Attributes as OA;

/** An engine with its drawing. */
#[OA\Schema]
final readonly class PlannedEngine
{
    public function __construct(
        public EngineView $engine,
        public HeadPlanView $plan,
    ) {
    }
}
