<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Verdict\Margin;

/** What the tests on the assembled engine tell. */
final readonly class BeforeSheet
{
    /**
     * @param list<Margin> $margins by cylinder, station or cam
     * @param list<string> $remarks what the tests say together, in words
     * @param list<string> $wantThird stations whose two pulls disagree
     * @param list<LashChange> $changes of the health record
     * @param list<string> $dates of earlier sheets, oldest first
     * @param string|null $nextPull station to be pulled next, in the order of lash
     */
    public function __construct(public array $margins, public array $remarks, public array $wantThird, public array $changes, public array $dates, public ?string $nextPull)
    {
    }
}
