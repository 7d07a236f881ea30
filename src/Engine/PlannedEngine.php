<?php

declare(strict_types=1);

namespace MuteTapper\App\Engine;

use OpenApi\Attributes as OA;

/** An engine with its drawing. */
#[OA\Schema]
final readonly class PlannedEngine
{
    public function __construct(
        #[OA\Property]
        public EngineView $engine,
        #[OA\Property]
        public HeadPlanView $plan,
    ) {
    }
}
