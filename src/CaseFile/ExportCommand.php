<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\JsonCommand;
use MuteTapper\App\Shared\Problem;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

/** Export a case, by number or id, as its canonical document. */
#[AsCommand(name: 'case:export', description: 'Export a case, by number or id, as its canonical document.')]
final class ExportCommand extends JsonCommand
{
    public function __construct(private readonly CaseDocument $document, private readonly EntityManagerInterface $entities)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('case', InputArgument::REQUIRED, 'number or id');
    }

    protected function result(InputInterface $input): mixed
    {
        $wanted = self::word($input, 'case');
        $case = $this->entities->getRepository(CaseRecord::class)->findOneBy(
            ctype_digit($wanted) ? ['number' => (int) $wanted] : ['id' => $wanted],
        );

        return $this->document->export($case ?? throw Problem::notFound(sprintf('There is no case “%s” here.', $wanted)));
    }
}
