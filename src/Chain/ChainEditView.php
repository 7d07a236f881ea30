<?php

declare(strict_types=1);

namespace MuteTapper\App\Chain;

use MuteTapper\Core\Chain\EditKind;
use OpenApi\Attributes as OA;

/** A change of the chain by a person. */
#[OA\Schema]
final readonly class ChainEditView
{
    public function __construct(
        public EditKind $edit,
        public string $event,
        public ?string $to,
        #[OA\Property(description: 'what was changed')]
        public string $label,
        #[OA\Property(description: 'why')]
        public string $words,
        public string $by,
        public string $at,
        #[OA\Property(description: 'whether it does not fit the chain as it is now')]
        public bool $isAdrift,
    ) {
    }
}
