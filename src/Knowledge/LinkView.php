<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** How often something leads to something else, as the shop has it now. */
#[OA\Schema]
final readonly class LinkView
{
    public function __construct(
        public string $code,
        #[OA\Property(description: 'code of the cause or mechanism that it comes from')]
        public string $from,
        #[OA\Property(description: 'code of the mechanism or sign that it leads to')]
        public string $to,
        #[OA\Property(description: 'in which form of the cause, or at which kind of valve; empty where always')]
        public string $when,
        public string $word,
        public string $reason,
        #[OA\Property(description: 'whose word it is: published, common practice, own')]
        public string $mark,
        public bool $isShops,
        #[OA\Property(description: 'the word that came with the program')]
        public string $shippedWord,
    ) {
    }
}
