<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\Core\Quantity\UnitSystem;
use OpenApi\Attributes as OA;

/** How the case is shown and judged. */
#[OA\Schema]
final readonly class SettingsView
{
    /** @param object $schools school by limit, where another than its default was chosen */
    public function __construct(
        public UnitSystem $units,
        public string $school,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public object $schools,
    ) {
    }
}
