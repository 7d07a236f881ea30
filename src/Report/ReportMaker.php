<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\CaseFile\CaseRecord;
use MuteTapper\App\CaseFile\Cases;
use MuteTapper\App\Cause\Assessments;
use MuteTapper\App\Cause\Calls;
use MuteTapper\App\Cause\LedgerPresenter;
use MuteTapper\App\Cause\LedgerView;
use MuteTapper\App\Engine\EngineView;
use MuteTapper\App\Photograph\Measures;
use MuteTapper\App\Photograph\Photograph;
use MuteTapper\App\Shared\Pdf;
use MuteTapper\App\Shared\QuantityView;
use MuteTapper\App\Spring\MarginView;
use MuteTapper\App\Teardown\TeardownPresenter;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Assessment\Progress;
use MuteTapper\Core\CaseFile\Story;
use MuteTapper\Core\Engine\HeadPlan;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Finding;
use MuteTapper\Core\Spring\SheetColumn;
use MuteTapper\Core\Verdict\Verdict;
use Psr\Clock\ClockInterface;
use Twig\Environment;

/** Makes the report for customer and supplier, as a page and as a PDF with real text. */
final readonly class ReportMaker
{
    public function __construct(
        private Cases $cases,
        private Assessments $assessments,
        private Calls $calls,
        private ReportPictures $pictures,
        private EntityManagerInterface $entities,
        private Environment $twig,
        private ClockInterface $clock,
        private Pdf $pdf,
        private WorkSections $work,
    ) {
    }

    public function html(CaseRecord $record): string
    {
        return $this->twig->render('report/report.html.twig', $this->content($record));
    }

    public function pdf(CaseRecord $record): string
    {
        return $this->pdf->of($this->html($record), numbered: true);
    }

    /** @return array<string, mixed> */
    private function content(CaseRecord $record): array
    {
        $assessment = $this->assessments->of($record);
        $case = $assessment->case;
        $story = $this->cases->story($record);
        $ranking = $this->assessments->ranking($record);
        $signed = $this->calls->signed($record);
        $call = $signed->call ?? $this->calls->of($record);
        $worst = [];
        foreach ($case->findings() as $finding) {
            $worst[$finding->place] = max($worst[$finding->place] ?? 0, $finding->severity->value);
        }
        $progress = Progress::of($case, $story, $call !== null, $signed !== null);
        foreach (array_keys($progress->looked) as $place) {
            $worst[$place] ??= 0;
        }

        return [
            'fonts' => $this->pdf->fonts(),
            'number' => $record->number,
            'name' => $record->name,
            'date' => $this->clock->now(),
            'engine' => EngineView::of($case->engine),
            'plan' => self::image(HeadPlanSvg::of(HeadPlan::of($case->engine), $worst, $story->failed)),
            'failed' => array_map(static fn (string $place): string => $case->engine->placeLabel($place) ?? $place, $story->failed),
            'answers' => $story->answers,
            'questions' => Story::QUESTIONS,
            'call' => $call,
            'signed' => $signed,
            'calledCauses' => array_map(static fn (string $code): string => ($assessment->knowledge->network->causes[$code] ?? null)->label ?? 'Something not listed', $call->causes ?? []),
            'ranking' => $ranking,
            'ledgers' => $this->ledgers($assessment, $call->causes ?? $ranking->leading),
            'findings' => $this->findings($assessment),
            'photographs' => $this->photographs($assessment),
            'measurements' => $this->measurements($assessment),
            'margins' => $this->margins($assessment, $story->failed),
            'school' => $case->settings->school,
            'work' => $this->work->of($record, $assessment),
            'open' => $this->open($assessment, $progress),
        ];
    }

    /**
     * @param list<string> $causes
     *
     * @return list<LedgerView>
     */
    private function ledgers(Assessment $assessment, array $causes): array
    {
        $ledgers = [];
        foreach (array_slice($causes, 0, 2) as $cause) {
            try {
                $ledgers[] = LedgerPresenter::view($assessment, $assessment->ledger($cause));
            } catch (\OutOfBoundsException) {
                continue; // called although the build rules it out, or not listed
            }
        }

        return $ledgers;
    }

    /** @return list<array{place: string, part: string, sign: string, severity: int, words: string, state: string, note: string}> */
    private function findings(Assessment $assessment): array
    {
        $case = $assessment->case;
        $findings = array_filter($case->findings(), static fn (Finding $finding): bool => isset($assessment->knowledge->signs[$finding->sign]));
        usort($findings, static fn (Finding $a, Finding $b): int => [$b->severity->value, $a->place] <=> [$a->severity->value, $b->place]);

        return array_map(static fn (Finding $finding): array => [
            'place' => $case->engine->placeLabel($finding->place) ?? $finding->place,
            'part' => Part::from($finding->part)->label($case->engine),
            'sign' => $assessment->knowledge->signs[$finding->sign]->name,
            'severity' => $finding->severity->value,
            'words' => $assessment->knowledge->signs[$finding->sign]->severity[$finding->severity->value] ?? '',
            'state' => str_replace('_', ' ', $finding->state->value),
            'note' => $finding->note,
        ], $findings);
    }

    /** @return list<array{address: string|null, caption: string, state: string, sha256: string}> */
    private function photographs(Assessment $assessment): array
    {
        $pictures = $drawn = [];
        foreach (Measures::of($assessment->case) as $measure) {
            $drawn[$measure->sha256][] = $measure;
        }
        foreach ($assessment->case->log->standing(EntryKind::Photograph) as $entry) {
            $data = $entry->node();
            $sha256 = $data->get('sha256')->word();
            $photograph = $this->entities->find(Photograph::class, $sha256);
            $pictures[] = [
                'address' => $photograph === null ? null : $this->pictures->dataAddress($photograph, $drawn[$sha256] ?? []),
                'caption' => $data->maybe('caption')?->text() ?? '',
                'state' => str_replace('_', ' ', $data->maybe('state')?->text() ?? ''),
                'sha256' => $sha256,
            ];
        }

        return $pictures;
    }

    /**
     * Every margin of the stations reported failed, and whatever is outside elsewhere.
     *
     * @param list<string> $failed
     *
     * @return list<array{view: MarginView, image: string}>
     */
    private function margins(Assessment $assessment, array $failed): array
    {
        $shown = [];
        foreach ($assessment->springs->margins as $margin) {
            $bad = in_array($margin->verdict, [Verdict::Outside, Verdict::OutsideClose, Verdict::CannotTell], true);
            if ($margin->verdict !== Verdict::NotMeasured && ($bad || in_array($margin->place, $failed, true))) {
                $view = MarginView::of($margin, $assessment->case);
                $shown[] = ['view' => $view, 'image' => self::image(MarginRuleSvg::of($view))];
            }
        }

        return $shown;
    }

    /**
     * Every reading, by station, in the columns that hold one.
     *
     * @return list<array{title: string, columns: list<array{head: string, unit: string}>, rows: list<array{label: string, cells: list<string>}>}>
     */
    private function measurements(Assessment $assessment): array
    {
        $case = $assessment->case;
        $tables = [];
        foreach (['outer' => 'Springs, outer', 'inner' => 'Springs, inner', '' => 'Heights, lift and room'] as $coil => $title) {
            $columns = array_filter(SheetColumn::cases(), static fn (SheetColumn $column): bool => $column->isByCoil() === ('' !== $coil));
            $rows = $used = [];
            foreach ($case->engine->stations as $station) {
                foreach ($columns as $column) {
                    $reading = $case->reading($column->slot($station->code(), $coil));
                    if (null !== $reading) {
                        $at = null === $reading->at ? '' : ' at '.$case->settings->units->figure($reading->at->quantity());
                        $rows[$station->label()][$column->value] = $case->settings->units->figure($reading->typed->quantity()).$at;
                        $used[$column->value] = $column;
                    }
                }
            }
            if ([] !== $rows) {
                $shown = array_values(array_filter($columns, static fn (SheetColumn $column): bool => isset($used[$column->value])));
                $tables[] = [
                    'title' => $title,
                    'columns' => array_map(static fn (SheetColumn $column): array => ['head' => $column->short(), 'unit' => QuantityView::exact($column->range()->most, $case->settings->units)->unit], $shown),
                    'rows' => array_map(static fn (string $label): array => ['label' => $label, 'cells' => array_map(static fn (SheetColumn $column): string => $rows[$label][$column->value] ?? '', $shown)], array_keys($rows)),
                ];
            }
        }

        return $tables;
    }

    /** @return list<string> what was not looked at or measured */
    private function open(Assessment $assessment, Progress $progress): array
    {
        $stations = count($assessment->case->engine->stations);
        $open = [];
        if (count($progress->looked) < $stations) {
            $open[] = sprintf('%d of %d stations were not looked at.', $stations - count($progress->looked), $stations);
        }
        if (count($progress->measured) < $stations) {
            $open[] = sprintf('%d of %d springs were not measured.', $stations - count($progress->measured), $stations);
        }

        foreach (TeardownPresenter::missingPieces($assessment->case) as $piece) {
            $open[] = sprintf('%s: %d missing, not found yet.', $piece->label, $piece->missing);
        }

        return $open;
    }

    private static function image(string $svg): string
    {
        return 'data:image/svg+xml;base64,'.base64_encode($svg);
    }
}
