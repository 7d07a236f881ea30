<?php

declare(strict_types=1);

namespace MuteTapper\App\Door;

use OpenApi\Attributes as OA;

/** Whether this device may come in, and who else can. */
#[OA\Schema]
final readonly class DoorView
{
    public function __construct(
        public bool $open,
        #[OA\Property(description: 'address at which the network reaches the shop; empty when only this computer does')]
        public string $network,
    ) {
    }
}
