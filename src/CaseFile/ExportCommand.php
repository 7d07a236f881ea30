<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use MuteTapper\App\Record\Cases;
use MuteTapper\App\Shared\JsonCommand;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

/** Export a case, by number or id, as its canonical document. */
#[AsCommand(name: 'case:export', description: 'Export a case, by number or id, as its canonical document.')]
final class ExportCommand extends JsonCommand
{
    public function __construct(private readonly CaseDocument $document, private readonly Cases $cases)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('case', InputArgument::REQUIRED, 'number or id');
    }

    protected function result(InputInterface $input): mixed
    {
        return $this->document->export($this->cases->wanted(self::word($input, 'case')));
    }
}
