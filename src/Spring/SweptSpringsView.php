<?php

declare(strict_types=1);

namespace MuteTapper\App\Spring;

use OpenApi\Attributes as OA;

/** Swept springs, drawn over each other and told apart. */
#[OA\Schema]
final readonly class SweptSpringsView
{
    /**
     * @param list<SweptSpringView> $springs
     * @param string|null $against place of the one that the others are held against
     * @param float|null $installed height at which they are compared, in the unit of the case
     * @param float|null $open height at full lift
     */
    public function __construct(
        public array $springs,
        public ?string $against,
        public ?float $installed,
        public ?float $open,
        public string $installedShown,
        public string $openShown,
        public string $unitHeight,
        public string $unitLoad,
        public string $unitRate,
    ) {
    }
}
