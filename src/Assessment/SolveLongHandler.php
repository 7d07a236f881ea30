<?php

declare(strict_types=1);

namespace MuteTapper\App\Assessment;

use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Shared\Faults;
use MuteTapper\App\Shared\NoRoom;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Calculation\LongCalculation;
use MuteTapper\Core\Calculation\Solution;
use MuteTapper\Core\Calculation\Solutions;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Remedy\Remedies;
use MuteTapper\Core\Sheet\Bench;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;

/** Solves value by value and place by place. Killed half-way it begins again, and what was solved is there already. */
#[AsMessageHandler]
final readonly class SolveLongHandler
{
    public function __construct(
        private Cases $cases,
        private KnowledgeFiles $knowledge,
        private KeptSolutions $kept,
        private SolvingOfCases $solving,
        private Faults $faults,
    ) {
    }

    public function __invoke(SolveLong $work): void
    {
        $case = $this->cases->get($work->caseId);
        $solving = $this->solving->of($case);
        if ($solving === null || !$this->solving->report($solving, SolvingState::Solving, 0, 0)) {
            return;
        }
        $done = $total = 0;
        try {
            $assessment = Assessment::of($this->cases->file($case), $this->knowledge->current(), $this->solver());
            $asked = [];
            foreach ([$assessment->bench, ...$this->remedied($assessment)] as $bench) {
                foreach ($bench->sheets->solvedLong() as $value) {
                    foreach ($assessment->case->engine->sites($value->site) as $place) {
                        $asked[] = [$bench, $place, $value->name];
                    }
                }
            }
            $total = count($asked);
            foreach ($asked as [$bench, $place, $name]) {
                $bench->value($place, $name);
                if (!$this->solving->report($solving, SolvingState::Solving, ++$done, $total)) {
                    return;
                }
            }
            $this->solving->report($solving, SolvingState::Done, $done, $total);
        } catch (NoRoom $noRoom) {
            $this->solving->report($solving, SolvingState::Fault, $done, $total, $noRoom->getMessage().'.');
        } catch (\Throwable $fault) {
            $id = $this->faults->log($fault);
            $this->solving->report($solving, SolvingState::Fault, $done, $total, sprintf('The program failed on it (%s).', $id));
        }
    }

    /** @return list<Bench> with each of the remedies: what takes long is worked out for them too */
    private function remedied(Assessment $assessment): array
    {
        $benches = [];
        foreach (Remedies::of($assessment->case)->all as $remedy) {
            try {
                $benches[] = $assessment->bench->with($remedy->change($assessment->case->engine, $assessment->bench->sheets));
            } catch (BadDocument) {
                // The board says why it cannot be laid on this engine.
            }
        }

        return $benches;
    }

    private function solver(): Solutions
    {
        return new class($this->kept) implements Solutions {
            public function __construct(private readonly KeptSolutions $kept)
            {
            }

            public function of(LongCalculation $calculation, array $figures): Solution
            {
                return $this->kept->solve($calculation, $figures);
            }
        };
    }
}
