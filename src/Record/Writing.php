<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/**
 * The one way to write. A transaction begins at once with the write lock (SqliteConnection), so that what is decided on cannot
 * change meanwhile; the work, its audit record, what follows the case and the messages it sends are stored together or not at all.
 */
final class Writing
{
    private int $depth = 0;
    /** @var array<string, array{CaseRecord, array<string, true>}> cases changed so far, and by whom */
    private array $changed = [];

    /** @param iterable<FollowsCase> $followers */
    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
        #[AutowireIterator(FollowsCase::class)]
        private readonly iterable $followers,
    ) {
    }

    /**
     * Anything to be stored together: what is looked up inside is looked up under the lock. May be nested; the outermost commits,
     * and what follows a case follows it once, however often it was changed inside.
     *
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    public function together(\Closure $work): mixed
    {
        return $this->entities->wrapInTransaction(function () use ($work): mixed {
            ++$this->depth;
            try {
                $result = $work();
                if ($this->depth === 1) {
                    $this->follow();
                }

                return $result;
            } finally {
                if (--$this->depth === 0) {
                    $this->changed = [];
                }
            }
        });
    }

    /**
     * A change of a case: it is read again, its revision raised, then the work done and recorded.
     *
     * @template T
     *
     * @param \Closure(): T $work
     * @param array<string, mixed> $detail of the audit record
     *
     * @return T
     */
    public function onCase(CaseRecord $case, string $action, string $by, \Closure $work, array $detail = []): mixed
    {
        return $this->together(function () use ($case, $action, $by, $work, $detail): mixed {
            $this->entities->refresh($case);
            ++$case->revision;
            $result = $work();
            $this->recorded($case, $action, $by, $detail);

            return $result;
        });
    }

    /**
     * A case that begins here or comes from a file.
     *
     * @param \Closure(): void $fill what else is stored of it
     * @param array<string, mixed> $detail of the audit record
     */
    public function newCase(CaseRecord $case, string $action, string $by, \Closure $fill, array $detail = []): CaseRecord
    {
        return $this->together(function () use ($case, $action, $by, $fill, $detail): CaseRecord {
            $this->entities->persist($case);
            $this->entities->flush();
            $fill();
            $this->recorded($case, $action, $by, $detail);

            return $case;
        });
    }

    /** @param array<string, mixed> $detail */
    private function recorded(CaseRecord $case, string $action, string $by, array $detail): void
    {
        $this->entities->persist(new AuditRecord($case, $case->revision, $action, $by, $this->clock->now(), $detail));
        $this->entities->flush();
        $this->changed[$case->id] = [$case, ($this->changed[$case->id][1] ?? []) + [$by => true]];
    }

    private function follow(): void
    {
        foreach ($this->changed as [$case, $people]) {
            foreach ($this->followers as $follower) {
                $follower->changed($case, array_map(strval(...), array_keys($people)));
            }
        }
    }
}
