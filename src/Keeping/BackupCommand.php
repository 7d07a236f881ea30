<?php

declare(strict_types=1);

namespace MuteTapper\App\Keeping;

use MuteTapper\App\Shared\JsonCommand;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

/** Copy the shop while it works: database, photographs, logs, manifest. */
#[AsCommand(name: 'keeping:backup', description: 'Copy the shop while it works: database, photographs, logs, manifest.')]
final class BackupCommand extends JsonCommand
{
    public function __construct(private readonly Backup $backup)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('folder', InputArgument::REQUIRED, 'to a new or empty folder');
    }

    protected function result(InputInterface $input): mixed
    {
        return $this->backup->write(self::word($input, 'folder'));
    }
}
