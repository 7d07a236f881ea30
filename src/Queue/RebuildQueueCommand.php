<?php

declare(strict_types=1);

namespace MuteTapper\App\Queue;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\Shared\JsonCommand;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;

/** Makes rows of the queue that are missing, or that another build made; each case by itself, so that nobody waits long. */
#[AsCommand(name: 'queue:rebuild', description: 'Make the rows of the queue that are missing or of another build.')]
final class RebuildQueueCommand extends JsonCommand
{
    private const FORGET_AFTER = 100;

    public function __construct(
        private readonly QueueRows $rows,
        private readonly Cases $cases,
        private readonly Writing $writing,
        private readonly EntityManagerInterface $entities,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('missing', null, InputOption::VALUE_NONE, 'only those that are missing');
    }

    protected function result(InputInterface $input): mixed
    {
        $stale = $this->rows->stale((bool) $input->getOption('missing'));
        foreach ($stale as $i => $id) {
            $this->writing->together(fn () => $this->rows->remake($this->cases->get($id)));
            if ($i % self::FORGET_AFTER === 0) {
                $this->entities->clear();
            }
        }

        return ['made' => count($stale)];
    }
}
