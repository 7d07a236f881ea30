<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\Cause\SignedCallView;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\StoredEntries;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Report\ChangedSince;
use MuteTapper\Core\Report\Issue;

/** Which report this is, and what changed since the one before was given out. */
final readonly class IssueSection
{
    public function __construct(private StoredEntries $entries)
    {
    }

    /**
     * @param array<SignedCallView> $signed all calls that were ever signed
     *
     * @return array{issue: int|null, previous: Entry|null, changed: list<string>} number of a report that follows another; else null
     */
    public function of(CaseRecord $record, Assessment $assessment, array $signed): array
    {
        $last = Issue::last($assessment->case->log);
        if ($last === null) {
            return ['issue' => null, 'previous' => null, 'changed' => []];
        }
        $calls = array_filter($signed, static fn (SignedCallView $one): bool => new \DateTimeImmutable($one->at) > $last->at);
        $all = $this->entries->ofKind($record, null, $assessment->case->engine);
        $changed = [
            ...array_map(fn (SignedCallView $one): string => $this->call($one, $assessment), array_values($calls)),
            ...ChangedSince::of($assessment->bench, $assessment->knowledge, $all, $last),
        ];

        return $changed === []
            ? ['issue' => Issue::number($last), 'previous' => null, 'changed' => []]
            : ['issue' => Issue::number($last) + 1, 'previous' => $last, 'changed' => $changed];
    }

    private function call(SignedCallView $one, Assessment $assessment): string
    {
        $causes = array_map($assessment->knowledge->network->nameOf(...), $one->call->causes);

        return sprintf(
            'The call was signed anew by %s: %s, %d %% sure.', $one->by, $causes === [] ? 'not named' : implode(' and ', $causes),
            (int) $one->call->confidence,
        );
    }
}
