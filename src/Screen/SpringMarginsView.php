<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\App\Sheet\MarginView;
use OpenApi\Attributes as OA;

/** Margins of springs and heights together. */
#[OA\Schema]
final readonly class SpringMarginsView
{
    /** @param list<MarginView> $margins */
    public function __construct(public int $revision, public array $margins)
    {
    }
}
