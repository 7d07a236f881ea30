<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use MuteTapper\Core\Knowledge\RequirementKind;
use OpenApi\Attributes as OA;

/** Something to be recorded before a step, and where it is still missing. */
#[OA\Schema]
final readonly class RequirementView
{
    public function __construct(
        public RequirementKind $kind,
        public string $code,
        public string $label,
        public bool $recorded,
        #[OA\Property(description: 'how much is there, in words')]
        public string $known,
        #[OA\Property(description: 'the first place without it')]
        public ?string $place,
    ) {
    }
}
