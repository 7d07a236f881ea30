<?php

declare(strict_types=1);

namespace MuteTapper\App\Tried;

use MuteTapper\App\Assessment\KeptSolutions;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Calculation\Solutions;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;

/** The bench of a case with what is tried in it; the parts of the library lie beside it. Nothing of it is recorded. */
final readonly class TriedBench
{
    public function __construct(private ShelvedParts $shelved, private KeptSolutions $solutions)
    {
    }

    public function of(Assessment $assessment, Node $change): Bench
    {
        return $this->beside($assessment)->with(Change::fromNode($change, $assessment->case->engine, $assessment->bench->sheets));
    }

    /** The bench of a case with the parts of the library beside it. */
    public function beside(Assessment $assessment, ?Solutions $solutions = null): Bench
    {
        $sheets = $assessment->bench->sheets;

        return Bench::of(
            $this->shelved->beside($assessment->case, $sheets), $sheets, $assessment->knowledge, $solutions ?? $this->solutions,
        );
    }

    /** Solutions that are kept, watched for one that is not. */
    public function watched(): WatchedSolutions
    {
        return new WatchedSolutions($this->solutions);
    }

    /** As it is written in an address: nothing where nothing is tried. */
    public function written(Assessment $assessment, string $change): ?Bench
    {
        return $change === '' ? null : $this->of($assessment, JsonBody::decode($change, 'What is tried'));
    }
}
