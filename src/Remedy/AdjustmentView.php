<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use MuteTapper\Core\Engine\Site;
use OpenApi\Attributes as OA;

/** Something of an engine that a remedy can change. */
#[OA\Schema]
final readonly class AdjustmentView
{
    /**
     * @param string $of what it belongs to
     * @param list<string> $indexes where one place has several of it, which
     * @param string|null $lasting what can no longer be fitted once it is done
     * @param list<AdjustmentKindView> $kinds ways to do it; none where there is but one
     */
    public function __construct(
        public string $name,
        public string $label,
        public string $of,
        public string $unit,
        public Site $site,
        public array $indexes,
        public ?string $lasting,
        public array $kinds,
    ) {
    }
}
