<?php

declare(strict_types=1);

namespace MuteTapper\App\Keeping;

use MuteTapper\App\Shared\JsonCommand;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

/** Bring a copy of a shop back into an empty data folder. */
#[AsCommand(name: 'keeping:restore', description: 'Bring a copy of a shop back into an empty data folder.')]
final class RestoreCommand extends JsonCommand
{
    public function __construct(private readonly Backup $backup)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('folder', InputArgument::REQUIRED, 'from this copy');
    }

    protected function result(InputInterface $input): mixed
    {
        return $this->backup->restore(self::word($input, 'folder'));
    }
}
