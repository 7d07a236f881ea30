<?php

declare(strict_types=1);

namespace MuteTapper\App\Clearance;

use MuteTapper\App\Sheet\MarginColumnView;
use MuteTapper\App\Sheet\MarginView;
use MuteTapper\App\Tried\PartChoiceView;
use OpenApi\Attributes as OA;

/** What fits into what: as the parts stand, or with one spring tried at every valve. */
#[OA\Schema]
final readonly class FitView
{
    /**
     * @param list<MarginColumnView> $columns
     * @param list<MarginView> $margins
     * @param list<PartChoiceView> $springs that can be tried
     */
    public function __construct(public array $columns, public array $margins, public array $springs)
    {
    }
}
