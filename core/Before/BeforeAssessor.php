<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Engine\Cylinder;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Spring\LoadDeparture;
use MuteTapper\Core\Spring\SheetColumn;
use MuteTapper\Core\Verdict\Judge;
use MuteTapper\Core\Verdict\Limits;
use MuteTapper\Core\Verdict\Margin;
use MuteTapper\Core\Verdict\Verdict;

/** Judges the tests made before the engine comes apart, and follows lash and pulls over dates. A pure function. */
final readonly class BeforeAssessor
{
    private Judge $judge;

    private function __construct(private CaseFile $case, Limits $limits)
    {
        $this->judge = new Judge($limits, $case->settings->school);
    }

    public static function assess(CaseFile $case, Limits $limits): BeforeSheet
    {
        $assessor = new self($case, $limits);
        $compression = $assessor->compression();
        $pulls = PullSet::of($case, '');
        $pullMargins = $assessor->pulls($pulls);
        $dates = $assessor->dates();

        return new BeforeSheet(
            [...$compression, ...$assessor->leakDown(), ...$assessor->camPhase(), ...$pullMargins],
            [...$assessor->neighbours($compression), ...self::levelOfPulls($pullMargins)],
            array_values(array_filter(array_keys($pulls->pulls), $pulls->wantsThird(...))),
            [...$assessor->lashChanges($dates), ...$assessor->pullChanges($pulls, $dates)],
            $dates,
            $pulls->next($case->engine),
        );
    }

    private function read(string $place, TestColumn $column, ?string $index = null): ?Given
    {
        return $this->case->reading($column->slot($place, $index))?->given();
    }

    /** @return list<Margin> */
    private function compression(): array
    {
        $readings = [];
        foreach ($this->case->engine->cylinders as $cylinder) {
            $reading = $this->read($cylinder->code(), TestColumn::Compression);
            if ($reading !== null) {
                $readings[$cylinder->code()] = $reading;
            }
        }
        $highest = array_reduce($readings, static fn (?Given $best, Given $one): Given => $best === null || $one->value->base > $best->value->base ? $one : $best);

        return array_map(
            fn (string $place): Margin => $this->judge->margin('compression', $place, null, new CompressionShare(), ['compression' => $readings[$place] ?? null, 'highest' => count($readings) > 1 ? $highest : null]),
            array_map(static fn (Cylinder $cylinder): string => $cylinder->code(), $this->case->engine->cylinders),
        );
    }

    /** @return list<Margin> the hot reading goes before the cold one */
    private function leakDown(): array
    {
        return array_map(
            fn (string $place): Margin => $this->judge->margin('leak_down', $place, null, new LeakDown(), ['leak_down' => $this->read($place, TestColumn::LeakDown, 'hot') ?? $this->read($place, TestColumn::LeakDown, 'cold')]),
            array_map(static fn (Cylinder $cylinder): string => $cylinder->code(), $this->case->engine->cylinders),
        );
    }

    /** @return list<Margin> coil holds the index of the cam */
    private function camPhase(): array
    {
        return array_map(
            fn (string $cam): Margin => $this->judge->margin('cam_phase', 'engine', $cam, new CamPhaseDeparture(), ['found' => $this->read('engine', TestColumn::CamPhaseFound, $cam), 'card' => $this->read('engine', TestColumn::CamPhaseCard, $cam)]),
            array_keys(Cams::of($this->case->engine)),
        );
    }

    /** @return list<Margin> */
    private function pulls(PullSet $set): array
    {
        $margins = [];
        foreach ($this->case->engine->stations as $station) {
            $place = $station->code();
            $margins[] = $this->judge->margin('pull_from_middle', $place, null, new LoadDeparture(), [
                'load' => ($set->loads[$place] ?? null)?->asGiven(),
                'reference' => ($set->middles[$place] ?? null)?->asGiven(),
            ]);
        }

        return $margins;
    }

    /**
     * Two low neighbours point at the gasket between them. [practice].
     *
     * @param list<Margin> $compression
     *
     * @return list<string>
     */
    private function neighbours(array $compression): array
    {
        $low = [];
        foreach ($compression as $margin) {
            $low[$margin->place] = in_array($margin->verdict, [Verdict::Outside, Verdict::OutsideClose], true);
        }
        $remarks = [];
        foreach ($this->case->engine->cylinders as $cylinder) {
            $next = $cylinder->bank.($cylinder->position + 1);
            if (($low[$cylinder->code()] ?? false) && ($low[$next] ?? false)) {
                $remarks[] = sprintf('%s and %s are low together and stand side by side: look at the gasket between them.', ucfirst($this->case->engine->placeLabel($cylinder->code()) ?? ''), $this->case->engine->placeLabel($next) ?? '');
            }
        }

        return $remarks;
    }

    /**
     * @param list<Margin> $margins
     *
     * @return list<string>
     */
    private static function levelOfPulls(array $margins): array
    {
        $known = array_filter($margins, static fn (Margin $margin): bool => $margin->value() !== null);
        $even = array_filter($known, static fn (Margin $margin): bool => in_array($margin->verdict, [Verdict::Inside, Verdict::InsideClose], true));

        return $known !== [] && count($even) === count($known)
            ? ['The pulls are even. The tester’s offset is not known, so they say nothing of their level: cannot tell whether all are low.']
            : [];
    }

    /** @return list<string> dates of earlier sheets, oldest first */
    private function dates(): array
    {
        $dates = [];
        foreach ($this->case->log->standing(EntryKind::Reading) as $entry) {
            if ($entry->slot->index !== null && preg_match('/^(\d{4}-\d{2}-\d{2})(\.\d)?$/', $entry->slot->index, $match) === 1) {
                $dates[$match[1]] = true;
            }
        }
        ksort($dates);

        return array_map(strval(...), array_keys($dates));
    }

    /**
     * @param list<string> $dates
     *
     * @return list<LashChange> from the oldest to the newest lash of each valve
     */
    private function lashChanges(array $dates): array
    {
        $changes = [];
        foreach ($this->case->engine->stations as $station) {
            $series = [];
            foreach ([...$dates, ''] as $date) {
                $slot = SheetColumn::Lash->slot($station->code(), null);
                $reading = $this->case->reading($date === '' ? $slot : $slot->at($date));
                if ($reading !== null) {
                    $series[$date] = $reading->given();
                }
            }
            if (count($series) > 1) {
                $changes[] = new LashChange($station->code(), (string) array_key_first($series), $this->judge->margin('lash_drift', $station->code(), null, new LashDrift(), ['now' => end($series), 'before' => reset($series)]));
            }
        }

        return $changes;
    }

    /**
     * @param list<string> $dates
     *
     * @return list<LashChange>
     */
    private function pullChanges(PullSet $now, array $dates): array
    {
        $sets = ['' => $now];
        foreach ($dates as $date) {
            $sets[$date] = PullSet::of($this->case, $date);
        }
        $changes = [];
        foreach ($this->case->engine->stations as $station) {
            $series = [];
            foreach ([...$dates, ''] as $date) {
                $departure = $this->departure($sets[$date], $station->code());
                if ($departure !== null) {
                    $series[$date] = $departure;
                }
            }
            if (count($series) > 1) {
                $changes[] = new LashChange($station->code(), (string) array_key_first($series), $this->judge->margin('pull_drift', $station->code(), null, new PullDrift(), ['now' => end($series), 'before' => reset($series)]));
            }
        }

        return $changes;
    }

    private function departure(PullSet $set, string $place): ?Given
    {
        $load = $set->loads[$place] ?? null;
        // Against all valves together: where most springs of a kind age alike, their own middle value falls with them.
        $middle = $set->middleOfAll;

        return $load === null || $middle === null ? null : Trace::of(new LoadDeparture(), Values::of(['load' => $load->asGiven(), 'reference' => $middle->asGiven()]))->asGiven();
    }
}
