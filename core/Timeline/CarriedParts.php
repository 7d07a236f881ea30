<?php

declare(strict_types=1);

namespace MuteTapper\Core\Timeline;

use MuteTapper\Core\Engine\Engine;

/**
 * What went through the failures that came again and through the runs without trouble between them: which components were in
 * every failure, and which of those were not in the runs without trouble. Methods of agreement and difference [pub: Mill, A System
 * of Logic, 1843, from memory].
 */
final readonly class CarriedParts
{
    /** @param array<string, CarriedCount> $counts by component, of those of which anything is known */
    private function __construct(public array $counts)
    {
    }

    public static function of(Timeline $timeline): self
    {
        $failures = $sound = [];
        $hasFailed = false;
        foreach ($timeline->events as $id => $event) {
            if ($event->what === EventKind::Failure) {
                $hasFailed = true;
                if ($event->sameSymptom) {
                    $failures[$id] = true;
                }
            } elseif ($event->what === EventKind::Run && $hasFailed && !$event->sameSymptom) {
                $sound[$id] = true; // what ran before it ever failed tells nothing of why it did
            }
        }
        $counts = [];
        foreach ($timeline->carried as $component => $states) {
            $count = CarriedCount::of(array_intersect_key($states, $failures), array_intersect_key($states, $sound));
            if (!$count->isNothing()) {
                $counts[$component] = $count;
            }
        }

        return new self($counts);
    }

    /** @return list<string> what it comes to, sentence by sentence */
    public function sentences(Engine $engine): array
    {
        $named = function (\Closure $is) use ($engine): string {
            $names = [];
            foreach (array_filter($this->counts, $is) as $component => $count) {
                $names[] = Component::from($component)->label($engine);
            }

            return implode(', ', $names);
        };
        $went = $named(static fn (CarriedCount $one): bool => $one->carried > 0 && $one->new === 0);
        $cleared = $named(static fn (CarriedCount $one): bool => $one->new > 0);
        $cured = $named(static fn (CarriedCount $one): bool => $one->carried > 0 && $one->new === 0 && $one->newInRuns > 0);
        $ran = $named(static fn (CarriedCount $one): bool => $one->carriedInRuns > 0);

        return array_values(array_filter([
            $went === '' ? '' : sprintf('In every failure that came again: %s.', $went),
            $cleared === '' ? '' : sprintf('New in one of them, so not what it comes from: %s.', $cleared),
            $cured === '' ? '' : sprintf('In every failure, and new in a run without trouble: %s.', $cured),
            $ran === '' ? '' : sprintf('Ran without trouble too: %s.', $ran),
        ], static fn (string $sentence): bool => $sentence !== ''));
    }
}
