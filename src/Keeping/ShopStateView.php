<?php

declare(strict_types=1);

namespace MuteTapper\App\Keeping;

use OpenApi\Attributes as OA;

/** What is wrong with the shop's computer, in words; empty when nothing is. */
#[OA\Schema]
final readonly class ShopStateView
{
    /** @param list<string> $troubles */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $troubles,
        #[OA\Property(description: 'pictures, logs and papers that wait to be worked on')]
        public int $waiting,
    ) {
    }
}
