<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Cams;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Knowledge\AssemblyLine;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Verdict\Limit;
use MuteTapper\Core\Verdict\Margin;

/** How one engine goes back together: the lines that it has, what they should show with the remedies that are taken, and how far it is. */
final class Plan
{
    public readonly Bench $planned;
    public readonly Bench $built;
    /** @var array<string, Entry> records of lines, by place and line */
    private array $records = [];
    /** @var array<string, Tightening> by joint */
    private array $tightenings = [];
    /** @var list<PlanLine>|null */
    private ?array $lines = null;

    /** @param list<array{AssemblyLine, list<string>}> $made lines made for this engine, with their places */
    public function __construct(
        private readonly Bench $found,
        private readonly Knowledge $knowledge,
        Change $taken,
        private readonly array $made = [],
    ) {
        $this->planned = $found->with($taken);
        $this->built = AsBuilt::bench($found, $taken);
        foreach ($found->case->log->standing(EntryKind::Line) as $entry) {
            $this->records[$entry->slot->place.'/'.$entry->slot->index] = $entry;
        }
        foreach ($found->case->log->standing(EntryKind::Tightening) as $entry) {
            $this->tightenings[$entry->slot->index ?? ''] = Tightening::fromNode($entry->node());
        }
    }

    /** @return list<PlanLine> */
    public function lines(): array
    {
        if ($this->lines !== null) {
            return $this->lines;
        }
        $this->lines = [];
        foreach ($this->made as [$line, $places]) {
            $this->lines[] = new PlanLine(
                count($this->lines) + 1, $line->code, $line, array_values(array_filter(
                    $this->places($line, $line->code, []), static fn (PlanPlace $one): bool => in_array($one->place, $places, true),
                )),
            );
        }
        foreach ($this->knowledge->reassembly as $line) {
            if ($line->belongsTo($this->engine())) {
                array_push($this->lines, ...$this->planLines($line, count($this->lines) + 1));
            }
        }

        return $this->lines;
    }

    /** @return array{int, int} lines done or left out, and all, each place counted */
    public function count(): array
    {
        $all = array_merge(...array_map(static fn (PlanLine $line): array => $line->places, $this->lines()));

        return [count(array_filter($all, static fn (PlanPlace $place): bool => $place->record !== null)), count($all)];
    }

    public function tightening(Joint $joint): ?Tightening
    {
        return $this->tightenings[$joint->value] ?? null;
    }

    /** @return list<Joint> that the lines of this engine tighten */
    public function joints(): array
    {
        $joints = [];
        foreach ($this->lines() as $line) {
            $joint = $line->line->joint === null ? null : Joint::from($line->line->joint);
            if ($joint !== null && !in_array($joint, $joints, true)) {
                $joints[] = $joint;
            }
        }

        return $joints;
    }

    /** @return list<PlanLine> one; of a joint one for each of its passes */
    private function planLines(AssemblyLine $line, int $number): array
    {
        $joint = $line->joint === null ? null : Joint::from($line->joint);
        $tightening = $joint === null ? null : $this->tightening($joint);
        if ($tightening === null) {
            return [new PlanLine($number, $line->code, $line, $this->places($line, $line->code, []), '', $joint)];
        }
        $lines = $before = [];
        foreach ($tightening->passes as $i => $pass) {
            $code = $line->code.'.'.($i + 1);
            $words = sprintf('pass %d: %s %s', $i + 1, $pass['figure'], $pass['unit']->value);
            $lines[] = new PlanLine($number + $i, $code, $line, $this->places($line, $code, $before), $words);
            $before = [$code => $words];
        }

        return $lines;
    }

    /**
     * @param array<string, string> $before passes that belong before it, in words by their code
     *
     * @return list<PlanPlace>
     */
    private function places(AssemblyLine $line, string $code, array $before): array
    {
        return array_map(function (array $at) use ($line, $code, $before): PlanPlace {
            [$place, $index] = $at;
            $own = $code.($index === null ? '' : '.'.$index);
            $entry = $this->records[$place.'/'.$own] ?? null;
            $planned = $line->reads === null ? null : $this->plannedValue($line->plannedBy ?? $line->reads, $place, $index);
            $built = $line->reads === null ? null : $this->builtValue($line->reads, $place, $index);

            return new PlanPlace(
                $place, $own, $index, $entry === null ? null : LineRecord::fromNode($entry->node()), $entry?->by, $entry?->at,
                $planned, $built, $this->margin($line, $place, $planned, $built), $this->unmet($line, $place, $entry, $before),
            );
        }, $this->sitesOf($line));
    }

    /** @return list<array{string, string|null}> places of a line; cams stand at the engine, each under its index */
    private function sitesOf(AssemblyLine $line): array
    {
        $cams = array_map(strval(...), array_keys(Cams::of($this->engine())));

        return $line->at === Site::Cam
            ? array_map(static fn (string $cam): array => [Place::ENGINE, $cam], $cams)
            : array_map(static fn (string $place): array => [$place, null], $this->engine()->sites($line->at));
    }

    /** What the remedies make of it; else what the build is claimed to have; else what was found. */
    private function plannedValue(string $name, string $place, ?string $index): ?Given
    {
        $column = $this->found->sheets->columns[$name];
        $with = $this->planned->value($place, $name, $index);
        if ($with instanceof Missing) {
            return $this->found->claim($place, $column, $index);
        }

        return $with->basis === Basis::Changed ? $with : $this->found->claim($place, $column, $index) ?? $with;
    }

    private function builtValue(string $name, string $place, ?string $index): ?Given
    {
        if (AsBuilt::reading($this->found, AsBuilt::REBUILD, $place, $name, $index) === null) {
            return null;
        }
        $value = $this->built->value($place, $name, $index);

        return $value instanceof Given ? $value : null;
    }

    private function margin(AssemblyLine $line, string $place, ?Given $planned, ?Given $built): ?Margin
    {
        if ($line->judged !== null) {
            return $line->reads !== null && $built === null ? null : $this->built->margin($place, $line->judged);
        }
        if ($line->within === null || $planned === null || $built === null) {
            return null;
        }
        $least = Quantity::base($planned->value->base - $line->within->base, $planned->value->dimension);
        $most = Quantity::base($planned->value->base + $line->within->base, $planned->value->dimension);

        return Margin::judged($place, null, Limit::window($line->reads ?? '', $line->label, $least, $most), $built);
    }

    /**
     * @param array<string, string> $before
     *
     * @return list<string> labels of what belongs before it and is open, or was ticked after it
     */
    private function unmet(AssemblyLine $line, string $place, ?Entry $entry, array $before): array
    {
        if ($entry !== null && LineRecord::fromNode($entry->node())->state === LineState::LeftOut) {
            return [];
        }
        $unmet = [];
        foreach ($before as $code => $words) {
            if ($this->isLate($this->records[$place.'/'.$code] ?? null, $entry)) {
                $unmet[] = $words;
            }
        }
        foreach ($line->after as $code) {
            $other = $this->knowledge->reassembly[$code];
            foreach ($other->belongsTo($this->engine()) ? $this->sitesOf($other) : [] as [$site, $index]) {
                foreach ($this->isAbout($place, $site) ? $this->codesOf($other) : [] as $one) {
                    $key = $site.'/'.$one.($index === null ? '' : '.'.$index);
                    if ($this->isLate($this->records[$key] ?? null, $entry)) {
                        $unmet[] = $other->label;
                        continue 3;
                    }
                }
            }
        }

        return $unmet;
    }

    /** @return list<string> codes of its records: of a joint one for each pass */
    private function codesOf(AssemblyLine $line): array
    {
        $tightening = $line->joint === null ? null : $this->tightening(Joint::from($line->joint));

        return $tightening === null ? [$line->code]
            : array_map(static fn (int $i): string => $line->code.'.'.($i + 1), array_keys($tightening->passes));
    }

    private function isLate(?Entry $before, ?Entry $entry): bool
    {
        return $before === null || ($entry !== null && $before->at > $entry->at);
    }

    /** Whether one of two places holds the other. */
    private function isAbout(string $place, string $other): bool
    {
        foreach (Site::cases() as $site) {
            if ($this->engine()->siteOf($other, $site) === $place || $this->engine()->siteOf($place, $site) === $other) {
                return true;
            }
        }

        return false;
    }

    private function engine(): Engine
    {
        return $this->found->case->engine;
    }
}
