<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use MuteTapper\App\Cause\LedgerPresenter;
use MuteTapper\App\Cause\RankingView;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Shared\JsonCommand;
use MuteTapper\App\Spring\SpringSheetView;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\CaseFile\CaseFile;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

/** Assess a case document: margins, ranking and ledger of the leading causes. */
#[AsCommand(name: 'case:assess', description: 'Assess a case document: margins, ranking and ledger of the leading causes.')]
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
        $case = CaseFile::fromNode($this->document->check(self::file($path), $path));
        $assessment = Assessment::of($case, $this->knowledge->current());
        $ranking = $assessment->ranking();
        $revision = count($case->log->entries);

        return [
            'springs' => SpringSheetView::of($assessment, $revision),
            'ranking' => RankingView::of($assessment, $ranking, $revision),
            'ledgers' => array_map(static fn (string $cause) => LedgerPresenter::view($assessment, $assessment->ledger($cause)), $ranking->leading),
        ];
    }
}
