<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** A limit as the shop has it now, and as it is shipped. */
#[OA\Schema]
final readonly class LimitView
{
    /**
     * @param string $part that a maker’s own figure of it stands at
     * @param list<LimitFigureView> $figures by school, for all valves and for kinds of valve apart
     */
    public function __construct(
        public string $code,
        public string $title,
        public string $part,
        public string $side,
        public string $unit,
        public array $figures,
        public string $ruling,
        public string $mark,
        public string $source,
        public bool $isShops,
    ) {
    }
}
