<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\App\Assessment\NextActView;
use MuteTapper\App\CaseFile\CaseDocument;
use MuteTapper\App\Cause\LedgerPresenter;
use MuteTapper\App\Cause\LedgerView;
use MuteTapper\App\Cause\NextChecksView;
use MuteTapper\App\Cause\RankingView;
use MuteTapper\App\Chain\ChainView;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Shared\JsonCommand;
use MuteTapper\App\Sheet\SheetPresenter;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Assessment\Progress;
use MuteTapper\Core\Assessment\StepProgress;
use MuteTapper\Core\Calculation\SolvedAtOnce;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Story;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

/** Assess a case document: every sheet, the ranking, the ledgers of the leading causes, progress and the next act. */
#[AsCommand(
    name: 'case:assess',
    description: 'Assess a case document: every sheet, ranking, ledgers of the leading causes, progress, next act.',
)]
final class AssessCommand extends JsonCommand
{
    public function __construct(private readonly CaseDocument $document, private readonly KnowledgeFiles $knowledge)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'case document');
    }

    protected function result(InputInterface $input): mixed
    {
        $path = self::word($input, 'file');
        $document = $this->document->check(self::file($path), $path)->document;
        $case = CaseFile::fromNode($document);
        $assessment = Assessment::of($case, $this->knowledge->current(), new SolvedAtOnce());
        $presenter = new SheetPresenter($assessment->bench, $assessment->knowledge->limits);
        $sheets = [];
        foreach ($assessment->bench->sheets->fittedTo($case->engine) as $sheet) {
            $sheets[$sheet->code] = $presenter->sheet($sheet);
        }
        $signed = ($document->maybe('signed_calls')?->items() ?? []) !== [];
        $progress = Progress::of(
            $case, $assessment->bench->sheets, Story::fromNode($document->maybe('story'), $case->engine), $document->has('call'), $signed,
        );
        $next = $progress->nextAct();
        $ranking = $assessment->ranking();
        $revision = count($case->log->entries);
        $rankingView = RankingView::of($assessment, $ranking, $revision);

        return new AssessmentView(
            $revision, $sheets,
            new SpringMarginsView(
                $revision, [...($sheets['springs'] ?? null)->margins ?? [], ...($sheets['heights'] ?? null)->margins ?? []],
            ),
            $rankingView,
            array_map(
                static fn (string $cause): LedgerView => LedgerPresenter::view($assessment, $assessment->ledger($cause)),
                $ranking->leading(),
            ),
            NextChecksView::of($assessment), ChainView::of($assessment, $assessment->chain(), $rankingView),
            array_map(
                static fn (StepProgress $step): StepView => new StepView(
                    $step->step->value, $step->step->label(), $step->done, $step->left, $step->isOverdue,
                ),
                $progress->steps(),
            ),
            NextActView::of($next),
        );
    }
}
