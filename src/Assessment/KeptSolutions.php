<?php

declare(strict_types=1);

namespace MuteTapper\App\Assessment;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Record\Writing;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\LongCalculation;
use MuteTapper\Core\Calculation\Solution;
use MuteTapper\Core\Calculation\Solutions;
use MuteTapper\Core\Document\Node;
use Psr\Clock\ClockInterface;

/** Looks solutions up where they are kept; what is not there is not worked out. */
final readonly class KeptSolutions implements Solutions
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Writing $writing,
        private ClockInterface $clock,
        private string $coreHash,
    ) {
    }

    public function of(LongCalculation $calculation, array $figures): ?Solution
    {
        $kept = $this->entities->find(KeptSolution::class, $this->id($calculation, $figures));
        if ($kept === null) {
            return null;
        }
        $content = Node::root($kept->content);
        // An empty map comes back from the database as an empty list.
        $numbers = static fn (string $key): array => $content->get($key)->raw() === []
            ? [] : array_map(static fn (Node $one): float => $one->number(), $content->get($key)->members());

        return $content->has('contradiction') ? throw Contradiction::because($content->get('contradiction')->text())
            : Solution::of($content->get('value')->number(), $numbers('slopes'), $numbers('own'));
    }

    /**
     * Solved, and kept, unless it is kept already.
     *
     * @param array<string, list<float>> $figures
     *
     * @throws Contradiction
     */
    public function solve(LongCalculation $calculation, array $figures): Solution
    {
        $kept = $this->of($calculation, $figures);
        if ($kept !== null) {
            return $kept;
        }
        try {
            $solution = $calculation->solve($figures);
            $this->keep($calculation, $figures, ['value' => $solution->value, 'slopes' => $solution->slopes, 'own' => $solution->own]);

            return $solution;
        } catch (Contradiction $contradiction) {
            $this->keep($calculation, $figures, ['contradiction' => $contradiction->getMessage()]);
            throw $contradiction;
        }
    }

    /**
     * @param array<string, list<float>> $figures
     * @param array<string, mixed> $content
     */
    private function keep(LongCalculation $calculation, array $figures, array $content): void
    {
        $this->writing->together(function () use ($calculation, $figures, $content): void {
            $id = $this->id($calculation, $figures);
            if ($this->entities->find(KeptSolution::class, $id) === null) {
                $this->entities->persist(new KeptSolution($id, $content, $this->clock->now()));
            }
        });
    }

    /** @param array<string, list<float>> $figures */
    private function id(LongCalculation $calculation, array $figures): string
    {
        ksort($figures);

        return hash('sha256', json_encode(
            [$this->coreHash, $calculation->name(), $figures], \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION,
        ));
    }
}
