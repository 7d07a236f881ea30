<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Cause\Calls;
use MuteTapper\App\Cause\LedgerPresenter;
use MuteTapper\App\Cause\LedgerView;
use MuteTapper\App\Cause\Rankings;
use MuteTapper\App\Cause\RuledOutView;
use MuteTapper\App\Chain\Chains;
use MuteTapper\App\Compare\MismatchView;
use MuteTapper\App\Engine\EngineView;
use MuteTapper\App\Engine\HeadPlanView;
use MuteTapper\App\Motion\MotionLog;
use MuteTapper\App\Paper\PaperMaker;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Shared\PrintFonts;
use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Shared\TaggedPdf;
use MuteTapper\App\Teardown\TeardownPresenter;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Assessment\Progress;
use MuteTapper\Core\CaseFile\Call;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\CaseFile\Story;
use MuteTapper\Core\Compare\Mismatch;
use MuteTapper\Core\Compare\Mismatches;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\HeadPlan;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Finding;
use MuteTapper\Core\Verdict\Margin;
use MuteTapper\Core\Verdict\Verdict;
use Psr\Clock\ClockInterface;
use Twig\Environment;

/** Makes the report, as a page and as a tagged PDF. */
final readonly class ReportMaker implements PaperMaker
{
    private const SHARE_OF_PICTURES = 0.6;

    public function __construct(
        private Cases $cases,
        private Assessments $assessments,
        private Rankings $rankings,
        private Chains $chains,
        private Calls $calls,
        private PhotographSection $photographs,
        private Environment $twig,
        private ClockInterface $clock,
        private PrintFonts $fonts,
        private TaggedPdf $pdf,
        private IssueSection $issues,
        private WorkSections $work,
        private RemedySections $after,
        private GaugesUsed $gauges,
        private Drawings $drawings,
        private MotionLog $logs,
    ) {
    }

    public function html(CaseRecord $record, Audience $for = Audience::Insurer): string
    {
        return $this->twig->render('report/report.html.twig', $this->content($record, $for, static function (): void {
        }));
    }

    /** @throws Problem where nobody is called so; whoever asks for nobody gets everything */
    public static function audience(string $word): Audience
    {
        return $word === '' ? Audience::Insurer : Audience::tryFrom($word) ?? throw Problem::invalid(
            sprintf('A report is for a customer, a supplier or an insurer; not for “%s”.', $word), ['pointer' => '/options/for'],
        );
    }

    public function kind(): string
    {
        return 'report';
    }

    public function extension(): string
    {
        return 'pdf';
    }

    public function mediaType(): string
    {
        return 'application/pdf';
    }

    public function options(CaseRecord $case, Node $asked): array
    {
        return ['for' => self::audience($asked->maybe('for')?->text(20) ?? '')->value];
    }

    public function make(CaseRecord $case, Node $options, \Closure $progress): string
    {
        $for = self::audience($options->maybe('for')?->text(20) ?? '');
        $page = $this->twig->render('report/report.html.twig', $this->content($case, $for, $progress));
        $progress(self::SHARE_OF_PICTURES);

        return $this->pdf->of($page);
    }

    /**
     * @param \Closure(float): void $told how far it is
     *
     * @return array<string, mixed>
     */
    private function content(CaseRecord $record, Audience $for, \Closure $told): array
    {
        $assessment = $this->assessments->of($record);
        $case = $assessment->case;
        $story = $this->cases->story($record);
        $ranking = $this->rankings->of($record);
        $chain = $this->chains->of($record);
        $tables = new SheetTables($assessment);
        $superseded = $this->calls->allSigned($record);
        $signed = array_shift($superseded);
        $call = $signed->call ?? $this->calls->of($record);
        $network = $assessment->knowledge->network;
        $progress = Progress::of($case, $assessment->bench->sheets, $story, $call !== null, $signed !== null);
        $margins = $tables->margins(
            Step::Bench,
            static fn (Margin $margin): bool => $margin
                ->isOutside() || $margin->verdict === Verdict::CannotTell || in_array($margin->place, $story->failed, true),
        );
        $before = $this->work->marginsBefore($tables);
        $photographs = $this->photographs->of($case);
        $motion = MotionSection::of($assessment, $story->failed, $this->logs);
        $ledgers = $for->shows(ReportSection::Ledgers) ? $this->ledgers($assessment, $call->causes ?? $ranking->leading) : [];
        $drawn = $this->drawings->of([
            'plan' => Drawing::plan(HeadPlanView::of(HeadPlan::of($case->engine)), $progress->worst(), $story->failed),
            ...$chain->events === [] ? [] : ['chain' => Drawing::chain($chain)],
            ...self::numbered('margins/', array_map(Drawing::rule(...), $margins)),
            ...self::numbered('before/', array_map(Drawing::rule(...), $before)),
            ...$motion?->drawings() ?? [],
            ...self::weights($ledgers),
            ...array_filter(array_column($photographs, 'drawing', 'sha256')),
        ]);

        return [
            'fonts' => $this->fonts->all(),
            'number' => $record->number,
            'name' => $record->name,
            'date' => $this->clock->now(),
            'engine' => EngineView::of($case->engine),
            'drawn' => array_map(static fn (string $svg): string => 'data:image/svg+xml;base64,'.base64_encode($svg), $drawn),
            'failed' => array_map(static fn (string $place): string => $case->engine->placeLabel($place) ?? $place, $story->failed),
            'answers' => $story->answers,
            'questions' => Story::QUESTIONS,
            'call' => $call,
            'signed' => $signed,
            'calledCauses' => array_map($network->nameOf(...), $call->causes ?? []),
            'beganWith' => $call?->firstEvent === null ? null : $chain->label($call->firstEvent) ?? $network->nameOf($call->firstEvent),
            'sure' => Call::sure($call?->confidence),
            'ruledOut' => array_map(
                static fn (RuledOutView $one): array => ['name' => $network->nameOf($one->cause), 'why' => $one->why],
                $call->ruledOut ?? [],
            ),
            'superseded' => $superseded,
            'ranking' => $ranking,
            'chain' => $chain,
            'ledgers' => $ledgers,
            'motion' => $motion,
            'isDraft' => $signed === null || !$signed->stands,
            ...$this->issues->of($record, $assessment, array_filter([$signed, ...$superseded])),
            'findings' => $this->findings($assessment),
            'mismatches' => array_map(
                static fn (Mismatch $one): MismatchView => MismatchView::of($one, $assessment->bench),
                (new Mismatches($assessment->bench, $assessment->knowledge->questions))->all(),
            ),
            'photographs' => $this->photographs->shown($photographs, $drawn, static function (float $done) use ($told): void {
                $told(self::SHARE_OF_PICTURES * $done);
            }),
            'measurements' => $for->shows(ReportSection::Measurements) ? $tables->readings() : [],
            'margins' => $margins,
            'undecided' => MarginSection::undecided($margins),
            'before' => $before,
            'school' => $case->settings->school,
            'work' => $this->work->of($record, $assessment, $tables),
            'after' => $this->after->of($record, $assessment),
            'for' => $for,
            'leftOut' => array_map(static fn (ReportSection $one): string => $one->value, $for->leftOut()),
            'gauges' => $for->shows(ReportSection::Gauges) ? $this->gauges->of($assessment) : [],
            'limits' => $for->shows(ReportSection::Limits) ? MarginSection::limits($assessment, [...$margins, ...$before]) : [],
            'open' => $this->open($record, $assessment, $progress),
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

    /**
     * @param list<LedgerView> $ledgers
     *
     * @return array<string, Drawing>
     */
    private static function weights(array $ledgers): array
    {
        $weights = [];
        foreach ($ledgers as $i => $ledger) {
            foreach (['for' => $ledger->for, 'against' => $ledger->against] as $side => $lines) {
                foreach ($lines as $j => $line) {
                    $weights[$side.'/'.$i.'/'.$j] = Drawing::weight($line->decibans);
                }
            }
        }

        return $weights;
    }

    /** @return list<array{place: string, part: string, sign: string, severity: int, words: string, state: string, note: string}> */
    private function findings(Assessment $assessment): array
    {
        $case = $assessment->case;
        $findings = array_filter(
            $case->findings(),
            static fn (Finding $finding): bool => isset($assessment->knowledge->signs[$finding->sign]),
        );
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

    /** @return list<string> what was not looked at or measured */
    private function open(CaseRecord $record, Assessment $assessment, Progress $progress): array
    {
        $stations = count($assessment->case->engine->stations);
        $open = [];
        if (count($progress->looked) < $stations) {
            $open[] = sprintf('%d of %d stations were not looked at.', $stations - count($progress->looked), $stations);
        }
        if (count($progress->measured()) < $stations) {
            $open[] = sprintf('%d of %d springs were not measured.', $stations - count($progress->measured()), $stations);
        }

        $unread = count($this->cases->heads($record)->unread);
        if ($unread > 0) {
            $open[] = sprintf(
                '%d %s stored that cannot be read, and counted for nothing.', $unread, $unread === 1 ? 'entry is' : 'entries are',
            );
        }
        foreach (TeardownPresenter::missingPieces($assessment->case) as $piece) {
            $open[] = sprintf('%s: %d missing, not found yet.', $piece->label, $piece->missing);
        }

        return $open;
    }

    /**
     * @param list<Drawing> $drawings
     *
     * @return array<string, Drawing>
     */
    private static function numbered(string $name, array $drawings): array
    {
        $numbered = [];
        foreach ($drawings as $i => $drawing) {
            $numbered[$name.$i] = $drawing;
        }

        return $numbered;
    }
}
