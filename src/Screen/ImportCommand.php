<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\App\CaseFile\CaseDocument;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\JsonCommand;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;

/** Import a case document into the database. */
#[AsCommand(name: 'case:import', description: 'Import a case document into the database.')]
final class ImportCommand extends JsonCommand
{
    public function __construct(private readonly CaseDocument $document, private readonly CasePresenter $presenter)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'case document')
            ->addOption('copy', null, InputOption::VALUE_NONE, 'import as a copy when the case is here already')
            ->addOption('by', null, InputOption::VALUE_REQUIRED, 'who imports', 'command line');
    }

    protected function result(InputInterface $input): mixed
    {
        $path = self::word($input, 'file');
        $checked = $this->document->check(self::file($path), $path);
        $case = $this->presenter->viewOf(fn (): CaseRecord => $this->document->store(
            $checked, (bool) $input->getOption('copy'), self::word($input, 'by', true),
        ));

        return ['id' => $case->id, 'number' => $case->number, 'name' => $case->name];
    }
}
