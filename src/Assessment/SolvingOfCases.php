<?php

declare(strict_types=1);

namespace MuteTapper\App\Assessment;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Writing;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\MessageBusInterface;

/** Begins, reports and ends the solving of what takes long in a case. */
final readonly class SolvingOfCases
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Writing $writing,
        private MessageBusInterface $bus,
        private ClockInterface $clock,
    ) {
    }

    public function of(CaseRecord $case): ?Solving
    {
        return $this->entities->find(Solving::class, $case->id);
    }

    /** What is under way goes on; else it is begun. */
    public function begin(CaseRecord $case): Solving
    {
        return $this->writing->together(function () use ($case): Solving {
            $solving = $this->of($case);
            if ($solving?->isMoving($this->clock->now()) === true) {
                return $solving;
            }
            $solving ??= new Solving($case->id, $this->clock->now());
            $solving->is(SolvingState::Waiting, $this->clock->now());
            $this->entities->persist($solving);
            $this->bus->dispatch(new SolveLong($case->id));

            return $solving;
        });
    }

    public function cancel(CaseRecord $case): ?Solving
    {
        return $this->writing->together(function () use ($case): ?Solving {
            $solving = $this->of($case);
            if ($solving !== null) {
                $this->entities->refresh($solving);
                if ($solving->state->isMoving()) {
                    $solving->is(SolvingState::Cancelled, $this->clock->now(), $solving->done, $solving->total);
                }
            }

            return $solving;
        });
    }

    /** How far it is; false when it was cancelled meanwhile, which stands. */
    public function report(Solving $solving, SolvingState $state, int $done, int $total, ?string $message = null): bool
    {
        return $this->writing->together(function () use ($solving, $state, $done, $total, $message): bool {
            $this->entities->refresh($solving);
            if ($solving->state === SolvingState::Cancelled) {
                return false;
            }
            $solving->is($state, $this->clock->now(), $done, $total, $message);

            return true;
        });
    }
}
