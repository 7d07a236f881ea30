<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use OpenApi\Attributes as OA;

/** What more spring load, or less, would do, kind by kind: the risks of too little beside those of too much. */
#[OA\Schema]
final readonly class MoreOrLessView
{
    /**
     * @param list<MarginColumnView> $tooLittle
     * @param list<MarginColumnView> $tooMuch
     * @param list<MoreOrLessRowView> $rows
     * @param list<string> $missing readings that would tell it, where nothing is told
     */
    public function __construct(public array $tooLittle, public array $tooMuch, public array $rows, public array $missing)
    {
    }
}
