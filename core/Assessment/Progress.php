<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\CaseFile\Story;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Remedy\Remedies;
use MuteTapper\Core\Report\Issue;
use MuteTapper\Core\Sheet\Sheets;
use MuteTapper\Core\Teardown\PieceCount;

/** Where a case stands: what was looked at and measured, and what can be done now. */
final readonly class Progress
{
    private const SPRINGS = 'springs';
    private const MIRROR = 'mirror';

    /**
     * @param array<string, int> $looked parts looked at, by station
     * @param array<string, SheetProgress> $sheets by code, those of which anything is to be counted
     * @param bool $mirror whether it was looked with a mirror
     */
    private function __construct(
        private CaseFile $case,
        private Story $story,
        public array $looked,
        public array $sheets,
        public int $photographs,
        private bool $mirror,
        private bool $called,
        private bool $signed,
        private Remedies $remedies,
    ) {
    }

    public static function of(CaseFile $case, Sheets $sheets, Story $story, bool $called, bool $signed): self
    {
        $parts = [];
        foreach ([EntryKind::Finding, EntryKind::Look] as $kind) {
            foreach ($case->log->standing($kind) as $entry) {
                if ($case->engine->station($entry->slot->place) !== null) {
                    $parts[$entry->slot->place][$entry->slot->part] = true;
                }
            }
        }
        $mirror = array_filter(
            $case->log->standing(EntryKind::Answer), static fn ($entry): bool => $entry->slot->item === self::MIRROR,
        ) !== [];

        return new self(
            $case, $story, array_map(count(...), $parts), SheetProgress::all($case, $sheets),
            count($case->log->standing(EntryKind::Photograph)), $mirror, $called, $signed,
            Remedies::of($case),
        );
    }

    /** @return list<string> stations whose spring can be judged */
    public function measured(): array
    {
        return $this->sheets[self::SPRINGS]->complete ?? [];
    }

    /** @return array<string, int> the worst severity found at each station; 0 where it was looked and nothing found */
    public function worst(): array
    {
        $worst = [];
        foreach ($this->case->findings() as $finding) {
            if ($this->case->engine->station($finding->place) !== null) {
                $worst[$finding->place] = max($worst[$finding->place] ?? 0, $finding->severity->value);
            }
        }

        return $worst + array_fill_keys(array_keys($this->looked), 0);
    }

    public function nextAct(): NextAct
    {
        $label = fn (string $place): string => $this->case->engine->placeLabel($place) ?? $place;
        $measured = $this->measured();
        if ($this->story->answers['words'] === '') {
            return new NextAct(Step::Story, 'Write down the story');
        }
        foreach ($this->story->failed as $place) {
            if (!isset($this->looked[$place])) {
                return new NextAct(Step::Teardown, 'Look at '.$label($place), $place);
            }
            if (!in_array($place, $measured, true)) {
                return new NextAct(Step::Bench, 'Measure the spring of '.$label($place), $place);
            }
        }
        if ($this->looked === [] && !$this->mirror) {
            return $this->tests()[0] === 0
                ? new NextAct(Step::Before, 'Test it before it comes apart')
                : new NextAct(Step::Before, 'Look with mirror or borescope');
        }
        if ($this->looked === []) {
            return new NextAct(Step::Teardown, 'Look at the first station', $this->case->engine->stations[0]->code());
        }
        foreach (array_keys($this->looked) as $place) {
            if (!in_array($place, $measured, true)) {
                return new NextAct(Step::Bench, 'Measure the spring of '.$label($place), $place);
            }
        }
        $missing = PieceCount::of($this->case)->missing()[0] ?? null;
        if ($missing !== null && !$this->signed) {
            // A piece that nobody found can be the cause, or lie where it does the next damage.
            $words = sprintf('Find what is missing of %s, %s', $label($missing['place']), $missing['part']->label($this->case->engine));

            return new NextAct(Step::Teardown, $words, $missing['place']);
        }
        if (!$this->signed) {
            return new NextAct(Step::Cause, $this->called ? 'Sign the call' : 'Call the cause');
        }

        if ($this->remedies->taken() === []) {
            return new NextAct(Step::Remedy, $this->remedies->all === [] ? 'Try a remedy' : 'Take a remedy');
        }

        return Issue::last($this->case->log) === null || $this->isBack()
            ? new NextAct(Step::Report, 'Print the report')
            : new NextAct(Step::Remedy, $this->ticked() === 0 ? 'Begin the reassembly' : 'Go on with the reassembly');
    }

    /** Lines of the reassembly that are ticked or left out. */
    private function ticked(): int
    {
        return count($this->case->log->standing(EntryKind::Line));
    }

    private function isBack(): bool
    {
        return $this->case->log->standing(EntryKind::Outcome) !== [];
    }

    /** @return list<StepProgress> the steps that can be counted */
    public function steps(): array
    {
        $answered = count(array_filter($this->story->answers, static fn (string $answer): bool => $answer !== ''));
        $questions = count(Story::QUESTIONS);
        $bench = $this->bench();

        return [
            new StepProgress(
                Step::Story, $answered / $questions, $answered === $questions ? '' : sprintf('%d of %d answered', $answered, $questions),
            ),
            $this->before(),
            $this->teardown(),
            $bench,
            new StepProgress(Step::Clearances, $bench->done, ''),
            new StepProgress(
                Step::Cause, $this->signed ? 1 : ($this->called ? 0.6 : 0.0),
                $this->signed ? 'signed' : ($this->called ? 'not signed' : 'no call yet'),
            ),
            $this->remedy(),
            $this->report(),
        ];
    }

    private function report(): StepProgress
    {
        $last = Issue::last($this->case->log);

        return new StepProgress(
            Step::Report, $last !== null ? 1 : ($this->signed ? 0.5 : 0.0),
            $last === null ? '' : sprintf('report %d given out', Issue::number($last)),
        );
    }

    /** A remedy is thought of, taken, and built: how much of the plan is ticked only the plan itself knows. */
    private function remedy(): StepProgress
    {
        $taken = $this->remedies->taken();
        $ticked = $this->ticked();
        $back = $this->isBack();

        return new StepProgress(Step::Remedy, match (true) {
            $back => 1.0,
            $ticked > 0 => 0.7,
            $taken !== [] => 0.4,
            $this->remedies->all !== [] => 0.2,
            default => 0.0,
        }, match (true) {
            $back => 'it came back',
            $ticked > 0 => sprintf('%d %s ticked', $ticked, $ticked === 1 ? 'line' : 'lines'),
            $taken !== [] => 'taken',
            $this->remedies->all !== [] => 'none taken',
            default => '',
        });
    }

    /** @return array{int, int} tests done on the assembled engine, and wanted, the mirror among them */
    private function tests(): array
    {
        $done = $this->mirror ? 1 : 0;
        $wanted = 1;
        foreach ($this->countedIn(Step::Before) as $sheet) {
            $done += $sheet->done;
            $wanted += $sheet->wanted;
        }

        return [$done, $wanted];
    }

    private function before(): StepProgress
    {
        [$done, $wanted] = $this->tests();

        return new StepProgress(Step::Before, $done / $wanted, match (true) {
            $done === $wanted => '',
            $done > 0 && !$this->mirror => 'mirror still to look',
            default => sprintf('%d of %d tests', $done, $wanted),
        });
    }

    private function bench(): StepProgress
    {
        $places = $complete = 0;
        $left = [];
        foreach ($this->countedIn(Step::Bench) as $sheet) {
            $places += $sheet->places;
            $complete += count($sheet->complete);
            if (count($sheet->complete) < $sheet->places) {
                $left[] = sprintf('%d of %d %s', count($sheet->complete), $sheet->places, $sheet->what);
            }
        }

        $more = count($left) - 1;
        $words = ($left[0] ?? '').($more > 0 ? sprintf(', %d more %s', $more, $more === 1 ? 'sheet' : 'sheets') : '');

        return new StepProgress(Step::Bench, $places === 0 ? 0.0 : $complete / $places, $words);
    }

    /** Missing pieces go before what is left to look at: they stay open until they are found. */
    private function teardown(): StepProgress
    {
        $stations = count($this->case->engine->stations);
        $perStation = count(array_filter($this->case->engine->parts(), static fn (Part $part): bool => $part->site() === Site::Station));
        $looked = count($this->looked);
        $missing = array_sum(array_map(static fn (array $one): int => $one['pieces']->missing(), PieceCount::of($this->case)->missing()));
        $left = $looked === $stations ? '' : sprintf('%d of %d stations', $looked, $stations);

        return new StepProgress(
            Step::Teardown, array_sum($this->looked) / ($stations * $perStation),
            $missing === 0 ? $left : sprintf('%d %s missing', $missing, $missing === 1 ? 'piece' : 'pieces'), $missing > 0,
        );
    }

    /** @return list<SheetProgress> */
    private function countedIn(Step $step): array
    {
        return array_values(array_filter($this->sheets, static fn (SheetProgress $sheet): bool => $sheet->step === $step));
    }
}
