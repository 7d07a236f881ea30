<?php

declare(strict_types=1);

namespace MuteTapper\App\Reassembly;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\App\Sheet\MarginView;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Reassembly\AsReturned;
use MuteTapper\Core\Reassembly\Outcome;
use MuteTapper\Core\Sheet\Bench;

/** The returns of an engine in the shape in which they are shown. */
final readonly class Returns
{
    /** Values that are read again, each with the margin of its drift. */
    private const AGAIN = ['lash' => 'lash_drift', 'pull_load' => 'pull_drift'];

    /** @return list<ReturnView> the last first */
    public function of(Assessment $assessment): array
    {
        $entries = $assessment->case->log->standing(EntryKind::Outcome);
        usort($entries, static fn (Entry $a, Entry $b): int => $b->slot->index <=> $a->slot->index);

        return array_map(static fn (Entry $entry): ReturnView => self::return($entry, $assessment), $entries);
    }

    private static function return(Entry $entry, Assessment $assessment): ReturnView
    {
        $outcome = Outcome::of($entry);
        $values = self::values(AsReturned::on($outcome->day, $assessment->bench, $assessment->knowledge));
        $moved = array_values(array_unique(array_map(
            static fn (ReturnedValueView $one): string => $one->label,
            array_filter($values, static fn (ReturnedValueView $one): bool => $one->isOut),
        )));

        return new ReturnView(
            $outcome->day, $outcome->amount, $outcome->unit, $outcome->symptom, $outcome->symptom->words(), $outcome->words, $entry->by,
            $outcome->held(), self::sentence($outcome, $moved), $values,
        );
    }

    /** @return list<ReturnedValueView> at each valve of which anything was read at either time */
    private static function values(AsReturned $returned): array
    {
        $values = [];
        $bench = $returned->bench;
        foreach (self::AGAIN as $name => $drift) {
            foreach ($bench->case->engine->stations as $station) {
                $place = $station->code();
                $before = $returned->rebuilt === null ? null : self::figure($bench, $place, $name, $returned->rebuilt);
                $now = self::figure($bench, $place, $name, null);
                $margin = $before === null || $now === null ? null : $bench->margin($place, $drift);
                if ($before !== null || $now !== null) {
                    $values[] = new ReturnedValueView(
                        $place, $station->label(), $name, $before, $now, $margin === null ? null : MarginView::of($margin, $bench),
                        $margin?->isOutside() === true,
                    );
                }
            }
        }

        return $values;
    }

    private static function figure(Bench $bench, string $place, string $name, ?string $day): ?string
    {
        $value = $bench->value($place, $name, $day);

        return $value instanceof Given ? QuantityView::uncertain($value->value, $bench->case->settings->units)->figure : null;
    }

    /** @param list<string> $moved labels of valves of which lash or pull drifted past its limit */
    private static function sentence(Outcome $outcome, array $moved): string
    {
        $ran = sprintf('%s %s', $outcome->amount, $outcome->unit->value);

        return match (true) {
            $outcome->held() === false => sprintf(
                'The call did not hold: the same after %s. What carried over goes to Story, what was not explained to Cause.', $ran,
            ),
            $outcome->held() === null => sprintf('It cannot be told yet after %s.', $ran),
            $moved !== [] => sprintf('Nothing of it after %s; but %s moved: look before it breaks.', $ran, implode(', ', $moved)),
            default => sprintf('The call held so far: nothing of it after %s.', $ran),
        };
    }
}
