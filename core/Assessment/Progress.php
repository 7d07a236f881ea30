<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Story;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Spring\SheetColumn;
use MuteTapper\Core\Teardown\PieceCount;

/** Where a case stands: what was looked at and measured, and what can be done now. */
final readonly class Progress
{
    /** What a spring needs to be judged for travel. */
    private const JUDGED_BY = [SheetColumn::InstalledHeight, SheetColumn::BindHeight, SheetColumn::SeatLoad];

    /**
     * @param array<string, int> $looked parts looked at, by station
     * @param list<string> $measured stations whose spring can be judged
     */
    private function __construct(private CaseFile $case, private Story $story, public array $looked, public array $measured, public int $photographs, private BeforeProgress $before, private bool $called, private bool $signed)
    {
    }

    public static function of(CaseFile $case, Story $story, bool $called, bool $signed): self
    {
        $parts = $measured = [];
        foreach ([EntryKind::Finding, EntryKind::Look] as $kind) {
            foreach ($case->log->standing($kind) as $entry) {
                if ($case->engine->station($entry->slot->place) !== null) {
                    $parts[$entry->slot->place][$entry->slot->part] = true;
                }
            }
        }
        foreach ($case->engine->stations as $station) {
            foreach (self::JUDGED_BY as $column) {
                if ($case->reading($column->slot($station->code(), 'outer')) === null) {
                    continue 2;
                }
            }
            $measured[] = $station->code();
        }

        return new self($case, $story, array_map(count(...), $parts), $measured, count($case->log->standing(EntryKind::Photograph)), BeforeProgress::of($case), $called, $signed);
    }

    public function nextAct(): NextAct
    {
        $label = fn (string $place): string => $this->case->engine->placeLabel($place) ?? $place;
        if ($this->story->answers['words'] === '') {
            return new NextAct(Step::Story, 'Write down the story');
        }
        foreach ($this->story->failed as $place) {
            if (!isset($this->looked[$place])) {
                return new NextAct(Step::Teardown, 'Look at '.$label($place), $place);
            }
            if (!in_array($place, $this->measured, true)) {
                return new NextAct(Step::Bench, 'Measure the spring of '.$label($place), $place);
            }
        }
        if ($this->looked === [] && !$this->before->mirror) {
            return $this->before->done === 0
                ? new NextAct(Step::Before, 'Test it before it comes apart')
                : new NextAct(Step::Before, 'Look with mirror or borescope');
        }
        if ($this->looked === []) {
            return new NextAct(Step::Teardown, 'Look at the first station', $this->case->engine->stations[0]->code());
        }
        foreach (array_keys($this->looked) as $place) {
            if (!in_array($place, $this->measured, true)) {
                return new NextAct(Step::Bench, 'Measure the spring of '.$label($place), $place);
            }
        }
        if (!$this->signed) {
            return new NextAct(Step::Cause, $this->called ? 'Sign the call' : 'Call the cause');
        }

        return new NextAct(Step::Report, 'Print the report');
    }

    /** Missing pieces go before what is left to look at: they stay open until they are found. */
    private function teardown(int $looked, int $stations, int $parts): StepProgress
    {
        $missing = array_sum(array_map(static fn (array $one): int => $one['pieces']->missing(), PieceCount::of($this->case)->missing()));
        $left = $looked === $stations ? '' : sprintf('%d of %d stations', $looked, $stations);

        return new StepProgress(Step::Teardown, array_sum($this->looked) / $parts, $missing === 0 ? $left : sprintf('%d %s missing', $missing, $missing === 1 ? 'piece' : 'pieces'), $missing > 0);
    }

    /** @return list<StepProgress> the steps that can be counted */
    public function steps(): array
    {
        $stations = count($this->case->engine->stations);
        $answered = count(array_filter($this->story->answers, static fn (string $answer): bool => $answer !== ''));
        $looked = count($this->looked);
        $measured = count($this->measured);
        $questions = count(Story::QUESTIONS);
        $partsPerStation = count(array_filter($this->case->engine->parts(), static fn (Part $part): bool => $part->site() === Site::Station));

        return [
            new StepProgress(Step::Story, $answered / $questions, $answered === $questions ? '' : sprintf('%d of %d answered', $answered, $questions)),
            new StepProgress(Step::Before, $this->before->done / max(1, $this->before->wanted), $this->before->left()),
            $this->teardown($looked, $stations, $stations * $partsPerStation),
            new StepProgress(Step::Bench, $measured / $stations, $measured === $stations ? '' : sprintf('%d of %d springs', $measured, $stations)),
            new StepProgress(Step::Clearances, $measured / $stations, ''),
            new StepProgress(Step::Cause, $this->signed ? 1 : ($this->called ? 0.6 : 0.0), $this->signed ? 'signed' : ($this->called ? 'not signed' : 'no call yet')),
            new StepProgress(Step::Report, $this->signed ? 1 : 0, ''),
        ];
    }
}
