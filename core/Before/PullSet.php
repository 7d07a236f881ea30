<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Reading;
use MuteTapper\Core\Spring\MiddleValue;

/** The seat-load pulls of one date: at each valve the middle of its pulls, and the middle value of its set. */
final readonly class PullSet
{
    private const LEAST_SET = 4;

    /**
     * @param array<string, non-empty-array<int, Reading>> $pulls by station, then number of the pull
     * @param array<string, Trace> $loads middle of a valve's pulls, by station
     * @param array<string, Trace> $middles middle value of the set a station belongs to, by station
     * @param Trace|null $middleOfAll middle value of all valves together
     */
    private function __construct(public array $pulls, public array $loads, public array $middles, public ?Trace $middleOfAll)
    {
    }

    /** @param string $date of an earlier sheet; empty for the sheet of this case */
    public static function of(CaseFile $case, string $date): self
    {
        $pulls = [];
        foreach ($case->log->standing(EntryKind::Reading) as $entry) {
            if ($entry->slot->item === TestColumn::Pull->value && $entry->slot->index !== null) {
                [$of, $number] = self::split($entry->slot->index);
                if ($of === $date) {
                    $pulls[$entry->slot->place][$number] = Reading::of($entry);
                }
            }
        }
        $loads = array_map(static fn (array $readings): Trace => self::middle(array_values(array_map(static fn (Reading $reading): Given => $reading->given(), $readings))), $pulls);
        $sets = [];
        foreach ($case->engine->stations as $station) {
            if (isset($loads[$station->code()])) {
                $sets[$station->kind->value][$station->code()] = $loads[$station->code()]->asGiven();
            }
        }
        // Intakes apart from exhausts where each set is large enough; else all valves of the engine are one set.
        if ($sets !== [] && min(array_map(count(...), $sets)) < self::LEAST_SET) {
            $sets = [array_merge(...array_values($sets))];
        }
        $middles = [];
        foreach ($sets as $set) {
            if (count($set) >= self::LEAST_SET) {
                $middle = self::middle(array_values($set));
                $middles += array_fill_keys(array_keys($set), $middle);
            }
        }

        $all = array_values(array_map(static fn (Trace $load): Given => $load->asGiven(), $loads));

        return new self($pulls, $loads, $middles, count($all) < self::LEAST_SET ? null : self::middle($all));
    }

    /** @return array{string, int} date, empty for the sheet of this case, and number of the pull */
    public static function split(string $index): array
    {
        $parts = explode('.', $index);

        return [count($parts) > 1 ? $parts[0] : '', (int) end($parts)];
    }

    /** Whether two pulls of a valve differ by more than the tester repeats, and no third has settled it. */
    public function wantsThird(string $station): bool
    {
        $pulls = array_values($this->pulls[$station] ?? []);

        return count($pulls) === 2 && abs($pulls[0]->typed->quantity()->base - $pulls[1]->typed->quantity()->base) > max($pulls[0]->gauge->repeatInBaseUnit(), $pulls[1]->gauge->repeatInBaseUnit());
    }

    /** The valve to be pulled next, in the order in which lash is set: one with fewer than two pulls, or with two that disagree. */
    public function next(Engine $engine): ?string
    {
        foreach (LashOrder::of($engine)->stations() as $station) {
            $code = $station->code();
            if (count($this->pulls[$code] ?? []) < 2 || $this->wantsThird($code)) {
                return $code;
            }
        }

        return null;
    }

    /** @param list<Given> $loads */
    private static function middle(array $loads): Trace
    {
        return Trace::of(new MiddleValue(), Values::of(['loads' => $loads === [] ? throw new \LogicException('An empty set has no middle.') : $loads]));
    }
}
