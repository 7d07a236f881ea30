<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use OpenApi\Attributes as OA;

/** One margin or figure over all remedies. */
#[OA\Schema]
final readonly class EffectRowView
{
    /**
     * @param string $limit in words; empty of a figure that nothing limits
     * @param list<EffectView> $effects one for each remedy, in their order; none of a remedy that cannot be laid on this engine
     */
    public function __construct(public string $name, public string $title, public string $limit, public array $effects)
    {
    }
}
