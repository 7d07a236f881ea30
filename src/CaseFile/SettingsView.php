<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use MuteTapper\Core\Quantity\UnitSystem;
use OpenApi\Attributes as OA;

/** How the case is shown and judged. */
#[OA\Schema]
final readonly class SettingsView
{
    public function __construct(
        #[OA\Property(type: 'string', enum: UnitSystem::class)]
        public UnitSystem $units,
        #[OA\Property]
        public string $school,
    ) {
    }
}
