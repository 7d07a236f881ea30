<?php

declare(strict_types=1);

namespace MuteTapper\App\Paper;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\Shared\NoRoom;
use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Shared\WholeFile;
use MuteTapper\Core\Document\Node;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\MessageBusInterface;

/** Papers asked for, and where they lie when they are made. The same paper asked for twice is made once. */
final readonly class Papers
{
    private const KEPT_FOR = '-1 day';

    public function __construct(
        private string $dataFolder,
        private string $paperHash,
        private EntityManagerInterface $entities,
        private Writing $writing,
        private MessageBusInterface $bus,
        private ClockInterface $clock,
        private PaperMakers $makers,
    ) {
    }

    /** @throws Problem when there is no such kind, or the options make no sense */
    public function ask(CaseRecord $case, string $kind, Node $asked): Paper
    {
        $options = $this->makers->get($kind)->options($case, $asked);

        return $this->writing->together(function () use ($case, $kind, $options): Paper {
            $this->entities->refresh($case);
            $now = $this->clock->now();
            $this->forgetOld($now);
            $id = hash('sha256', json_encode(
                [$case->id, $case->revision, $kind, $options, $this->paperHash, $now->format('Y-m-d')], \JSON_THROW_ON_ERROR,
            ));
            $paper = $this->entities->find(Paper::class, $id);
            if ($paper !== null && in_array($paper->state, [PaperState::Waiting, PaperState::Making, PaperState::Ready], true)) {
                return $paper;
            }
            $paper ??= new Paper($id, $case, $kind, $options, $now);
            $paper->state = PaperState::Waiting;
            $paper->done = 0.0;
            $paper->message = null;
            $this->entities->persist($paper);
            $this->bus->dispatch(new MakePaper($id));

            return $paper;
        });
    }

    /** @throws Problem when this case has no such paper */
    public function of(CaseRecord $case, string $id): Paper
    {
        $paper = $this->entities->find(Paper::class, $id);

        return $paper !== null && $paper->case === $case ? $paper : throw Problem::notFound('This paper was not asked for, or a day ago.');
    }

    public function find(string $id): ?Paper
    {
        return $this->entities->find(Paper::class, $id);
    }

    /** Notes how far a paper is; false when it was cancelled meanwhile, which stands. */
    public function report(Paper $paper, PaperState $state, float $done, ?string $message = null): bool
    {
        return $this->writing->together(function () use ($paper, $state, $done, $message): bool {
            $this->entities->refresh($paper);
            if ($paper->state === PaperState::Cancelled && $state !== PaperState::Cancelled) {
                return false;
            }
            $paper->state = $state;
            $paper->done = $done;
            $paper->message = $message;

            return true;
        });
    }

    public function keep(Paper $paper, string|\SplFileInfo $content): void
    {
        if (is_string($content)) {
            WholeFile::write($this->path($paper), $content);
        } elseif (!rename($content->getPathname(), $this->path($paper))) {
            throw new NoRoom('The paper could not be kept');
        }
    }

    public function path(Paper $paper): string
    {
        return sprintf('%s/papers/%s.%s', $this->dataFolder, $paper->id, $this->makers->get($paper->kind)->extension());
    }

    private function forgetOld(\DateTimeImmutable $now): void
    {
        /** @var list<Paper> $old */
        $old = $this->entities->createQuery('SELECT p FROM '.Paper::class.' p WHERE p.askedAt < :then')
            ->setParameter('then', $now->modify(self::KEPT_FOR))->getResult();
        foreach ($old as $paper) {
            @unlink($this->path($paper));
            $this->entities->remove($paper);
        }
    }
}
