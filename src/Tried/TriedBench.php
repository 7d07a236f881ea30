<?php

declare(strict_types=1);

namespace MuteTapper\App\Tried;

use MuteTapper\App\Shared\JsonBody;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;

/** The bench of a case with what is tried in it; the parts of the library lie beside it. Nothing of it is recorded. */
final readonly class TriedBench
{
    public function __construct(private ShelvedParts $shelved)
    {
    }

    public function of(Assessment $assessment, Node $change): Bench
    {
        $sheets = $assessment->bench->sheets;
        $beside = Bench::of($this->shelved->beside($assessment->case, $sheets), $sheets, $assessment->knowledge);

        return $beside->with(Change::fromNode($change, $assessment->case->engine, $sheets));
    }

    /** As it is written in an address: nothing where nothing is tried. */
    public function written(Assessment $assessment, string $change): ?Bench
    {
        return $change === '' ? null : $this->of($assessment, JsonBody::decode($change, 'What is tried'));
    }
}
