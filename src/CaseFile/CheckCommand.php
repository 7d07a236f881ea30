<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use MuteTapper\App\Shared\JsonCommand;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

/** Check a case document against its schema and the rules of entries. */
#[AsCommand(name: 'case:check', description: 'Check a case document against its schema and the rules of entries.')]
final class CheckCommand extends JsonCommand
{
    public function __construct(private readonly CaseDocument $document)
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
        $checked = $this->document->check(self::file($path), $path);

        return [
            'file' => $path, 'case' => $checked->document->get('case')->get('name')->text(), 'entries' => count($checked->entries),
            'accepted' => true,
        ];
    }
}
