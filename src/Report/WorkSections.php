<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Sheet\MarginView;
use MuteTapper\App\Teardown\TeardownPresenter;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Entry\Answer;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Schedule\LaboratoryReport;
use MuteTapper\Core\Teardown\StepState;
use MuteTapper\Core\Timeline\Timeline;
use MuteTapper\Core\Verdict\Margin;

/** What the report tells of the work before the bench: the engine's life, tests, teardown, custody and laboratories. */
final readonly class WorkSections
{
    /** Followed over dates, and told in words. */
    private const DRIFTS = ['lash_drift', 'pull_drift'];

    public function __construct(private TeardownPresenter $teardown)
    {
    }

    /** @return list<MarginView> of the tests before teardown, but for those that are told in words */
    public function marginsBefore(SheetTables $tables): array
    {
        return $tables->margins(Step::Before, static fn (Margin $margin): bool => !in_array($margin->quantity(), self::DRIFTS, true));
    }

    /** @return array<string, mixed> by name of the section */
    public function of(CaseRecord $record, Assessment $assessment, SheetTables $tables): array
    {
        return [
            'timeline' => $this->timeline($assessment),
            'answers' => $this->answers($assessment),
            'remarks' => $tables->remarks(Step::Before),
            'drifts' => array_map(
                static fn (MarginView $one): string => sprintf(
                    '%s, %s: %s. %s', $one->label, $one->title, $one->value->shown ?? '', $one->sentence,
                ),
                $tables->margins(
                    Step::Before,
                    static fn (Margin $margin): bool => in_array($margin->quantity(), self::DRIFTS, true) && $margin->isOutside(),
                ),
            ),
            'departures' => $this->departures($record, $assessment),
            'missing' => array_map(
                static fn ($piece): string => sprintf('%s: %d missing', $piece->label, $piece->missing),
                TeardownPresenter::missingPieces($assessment->case),
            ),
            'custody' => array_values(array_filter($this->teardown->custody($record), static fn ($move): bool => $move->now)),
            'laboratories' => array_map(
                static fn ($entry): LaboratoryReport => LaboratoryReport::fromNode($entry->node()),
                $assessment->case->log->standing(EntryKind::Report),
            ),
        ];
    }

    /** @return list<array{what: string, date: string, count: string, words: string}> */
    private function timeline(Assessment $assessment): array
    {
        $rows = [];
        foreach (Timeline::of($assessment->case)->events as $event) {
            $rows[] = [
                'what' => $event->what->value.($event->sameSymptom ? ', same symptom' : ''), 'date' => $event->date?->format('Y-m-d') ?? '',
                'count' => $event->amount === null ? '' : rtrim(
                    rtrim(number_format($event->amount, 1, '.', ''), '0'), '.',
                ).' '.$event->unit->value, 'words' => $event->words,
            ];
        }

        return $rows;
    }

    /** @return list<array{where: string, ask: string, answer: string}> */
    private function answers(Assessment $assessment): array
    {
        $rows = [];
        foreach ($assessment->case->log->standing(EntryKind::Answer) as $entry) {
            $question = $assessment->knowledge->questions[$entry->slot->item] ?? null;
            if ($question !== null) {
                $said = array_map(
                    static fn (string $choice): string => ($question->choices[$choice] ?? null)->label ?? $choice,
                    Answer::fromNode($entry->node())->choices(),
                );
                $rows[] = [
                    'where' => $entry->slot->place === 'engine' ? '' : $assessment->case->engine->placeLabel($entry->slot->place) ?? '',
                    'ask' => $question->ask, 'answer' => implode(', ', $said),
                ];
            }
        }

        return $rows;
    }

    /** @return list<string> steps left out, or made without what should have been recorded first */
    private function departures(CaseRecord $record, Assessment $assessment): array
    {
        $lines = [];
        foreach ($this->teardown->plan($record, $assessment->case)->steps as $step) {
            if ($step->state === StepState::Skipped || ($step->state === StepState::Done && $step->reason !== '')) {
                $lines[] = sprintf(
                    '%s: %s. %s', $step->step->label,
                    $step->state === StepState::Skipped ? 'left out' : 'done without everything recorded first', $step->reason,
                );
            }
        }

        return $lines;
    }
}
