<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\Core\Knowledge\Knowledge;
use Psr\Clock\ClockInterface;

/** Reads the knowledge files once a process, and keeps each content that judged a case. */
final class KnowledgeFiles
{
    private const FILES = ['signs', 'causes', 'events', 'limits', 'gauges', 'questions', 'steps'];

    private ?Knowledge $knowledge = null;

    public function __construct(
        private readonly string $projectFolder,
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
    ) {
    }

    public function current(): Knowledge
    {
        return $this->knowledge ??= Knowledge::fromArray($this->content());
    }

    /** Keeps the present content under its hash, if it is not kept yet. To be flushed by the caller. */
    public function keep(): string
    {
        $hash = $this->current()->hash;
        if ($this->entities->find(KnowledgeVersion::class, $hash) === null) {
            $this->entities->persist(new KnowledgeVersion($hash, $this->content(), $this->clock->now()));
        }

        return $hash;
    }

    /** @return array<string, mixed> */
    private function content(): array
    {
        $content = [];
        foreach (self::FILES as $name) {
            $file = sprintf('%s/core/Knowledge/%s.json', $this->projectFolder, $name);
            $content[$name] = json_decode((string) file_get_contents($file), true, 64, \JSON_THROW_ON_ERROR);
        }

        return $content;
    }
}
