<?php

declare(strict_types=1);

namespace MuteTapper\App\Reassembly;

use MuteTapper\App\Sheet\MarginView;
use OpenApi\Attributes as OA;

/** Lash or pull of a valve at a return, against the rebuild. */
#[OA\Schema]
final readonly class ReturnedValueView
{
    /**
     * @param string|null $rebuild as measured for the rebuild
     * @param MarginView|null $moved how far it moved, where both are known
     */
    public function __construct(
        public string $place,
        public string $label,
        public string $name,
        public ?string $rebuild,
        public ?string $returned,
        public ?MarginView $moved,
        public bool $isOut,
    ) {
    }
}
