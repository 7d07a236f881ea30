<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Severity;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Timeline\RunUnit;
use MuteTapper\Core\Verdict\Margin;

/** What may go back in, part by part: by what was seen of it, what was measured, what stood beside what broke, and its clock. A person decides. */
final class ReuseAdvice
{
    /** What a margin that is outside asks of which part. [practice] */
    private const BY_MARGIN = [
        'load_from_claim' => [Part::Spring, ReuseDecision::Replace],
        'load_from_middle' => [Part::Spring, ReuseDecision::Replace],
        'squareness_gap' => [Part::Spring, ReuseDecision::Replace],
        'valve_margin' => [Part::Valve, ReuseDecision::Replace],
        'stem_run_out' => [Part::Valve, ReuseDecision::Replace],
        'head_ovality' => [Part::Valve, ReuseDecision::Replace],
        'stem_taper' => [Part::Valve, ReuseDecision::Replace],
        'stem_clearance' => [Part::Guide, ReuseDecision::Replace],
        'guide_interference' => [Part::Guide, ReuseDecision::Replace],
        'seat_width' => [Part::Seat, ReuseDecision::Rework],
        'rim_of_insert' => [Part::Seat, ReuseDecision::Replace],
        'seat_run_out' => [Part::Seat, ReuseDecision::Rework],
        'lock_in_retainer' => [Part::Locks, ReuseDecision::Replace],
        'lock_in_groove' => [Part::Locks, ReuseDecision::Replace],
        'spring_on_register' => [Part::Retainer, ReuseDecision::Replace],
        'follower_clearance' => [Part::Follower, ReuseDecision::Replace],
        'face_crown' => [Part::Follower, ReuseDecision::Replace],
        'leak_down_time' => [Part::Follower, ReuseDecision::Replace],
        'base_run_out' => [Part::Lobe, ReuseDecision::Rework],
        'pushrod_run_out' => [Part::Pushrod, ReuseDecision::Replace],
        'metal_to_groove' => [Part::PistonRelief, ReuseDecision::Replace],
    ];
    /** What stood in one stack with what failed, and took the same blows. [practice] */
    private const IN_THE_STACK = [Part::Spring, Part::Retainer, Part::Locks, Part::Seal];
    /** Parts that come by the lot: a fault of one may be in all. */
    private const BY_THE_LOT = [Part::Spring, Part::Valve, Part::Retainer, Part::Locks, Part::Follower, Part::Pushrod, Part::Rocker];
    /** Never used again once they were off. Schools differ over seals. [practice] */
    private const ALWAYS_NEW = [
        Part::Seal->value => 'seals: always, says one school; only where needed, says the other',
        Part::Locks->value => 'locks are small money, and the first to let go',
    ];
    /** Clocks by the part that they run on. */
    private const CLOCKS = [
        'spring_hours' => [Part::Spring, RunUnit::Hours], 'spring_runs' => [Part::Spring, RunUnit::Runs],
        'valve_hours' => [Part::Valve, RunUnit::Hours], 'valve_runs' => [Part::Valve, RunUnit::Runs],
        'lock_hours' => [Part::Locks, RunUnit::Hours], 'lock_runs' => [Part::Locks, RunUnit::Runs],
        'roller_hours' => [Part::Follower, RunUnit::Hours], 'roller_runs' => [Part::Follower, RunUnit::Runs],
    ];

    /** @var array<string, array<string, list<array{ReuseDecision, string}>>> what speaks, by part and place */
    private array $said = [];
    /** @var array<string, array{float, RunUnit}> what is left, by part */
    private array $left = [];

    private function __construct(private readonly Bench $bench, private readonly Knowledge $knowledge)
    {
    }

    /** @return list<PartAdvice> of each part of a station first what holds for all, then the stations that stand apart */
    public static function of(Bench $bench, Knowledge $knowledge): array
    {
        $advice = new self($bench, $knowledge);
        $advice->hearFindings();
        $advice->hearMargins();
        $advice->hearNeighbours();
        $advice->hearClocks();
        foreach (self::ALWAYS_NEW as $part => $why) {
            $advice->say(Part::from($part), Place::ENGINE, ReuseDecision::Replace, $why);
        }

        return array_merge(...array_map($advice->ofPart(...), array_values(array_filter(
            $bench->case->engine->parts(), static fn (Part $part): bool => $part->site() !== Site::Engine && $part !== Part::Port,
        ))));
    }

    private function say(Part $part, string $place, ReuseDecision $decision, string $why): void
    {
        $this->said[$part->value][$place][] = [$decision, $why];
    }

    private function hearFindings(): void
    {
        $ofPart = [];
        foreach ($this->bench->case->findings() as $finding) {
            $part = Part::tryFrom($finding->part);
            $sign = $this->knowledge->signs[$finding->sign] ?? null;
            if ($part === null || $finding->severity->value < Severity::Clear->value) {
                continue;
            }
            $isBad = $finding->severity->value >= Severity::Heavy->value;
            $words = ($sign->name ?? $finding->sign).', '.($sign->severity[$finding->severity->value] ?? $finding->severity->word());
            $this->say($part, $finding->place, $isBad ? ReuseDecision::Replace : ReuseDecision::Rework, $words);
            if ($isBad && in_array($part, self::BY_THE_LOT, true)) {
                $ofPart[$part->value] = $part;
            }
        }
        foreach ($ofPart as $part) {
            $this->say(
                $part, Place::ENGINE, ReuseDecision::Rework, 'one of its lot failed: the rest is tested for cracks, springs for load',
            );
        }
    }

    private function hearMargins(): void
    {
        foreach (self::BY_MARGIN as $quantity => [$part, $decision]) {
            foreach (isset($this->bench->sheets->judged[$quantity]) ? $this->bench->marginsOf($quantity) : [] as $margin) {
                if ($margin->isOutside()) {
                    $this->say($part, $margin->place, $decision, $this->words($margin));
                }
            }
        }
    }

    /** What stands beside what failed. */
    private function hearNeighbours(): void
    {
        $engine = $this->bench->case->engine;
        foreach ($this->bench->case->failed as $failed) {
            foreach (self::IN_THE_STACK as $part) {
                $this->say($part, $failed, ReuseDecision::Replace, 'stood in the stack that failed');
            }
            $cylinder = $engine->siteOf($failed, Site::Cylinder);
            foreach ($engine->stations as $station) {
                if ($station->code() !== $failed && $engine->siteOf($station->code(), Site::Cylinder) === $cylinder) {
                    $this->say(Part::Spring, $station->code(), ReuseDecision::Replace, 'the spring beside the one that failed');
                }
            }
        }
    }

    private function hearClocks(): void
    {
        foreach (self::CLOCKS as $quantity => [$part, $unit]) {
            $ran = isset($this->bench->sheets->judged[$quantity]) ? $this->bench->value(Place::ENGINE, $quantity) : null;
            $margin = $this->bench->marginsOf($quantity)[0] ?? null;
            if (!$ran instanceof Given || $margin === null || $margin->limit->isOpen()) {
                continue;
            }
            $left = $margin->limit->distanceInside($ran->value->base);
            $words = sprintf('%s of %s %s run', $ran->value->base, $margin->limit->value()->base, $unit->value);
            $this->say($part, Place::ENGINE, $left <= 0.0 ? ReuseDecision::Replace : ReuseDecision::KeepWithLimit, $words);
            if ($left > 0.0 && $left < ($this->left[$part->value][0] ?? \INF)) {
                $this->left[$part->value] = [$left, $unit];
            }
        }
    }

    /** @return list<PartAdvice> */
    private function ofPart(Part $part): array
    {
        $said = $this->said[$part->value] ?? [];
        $general = $this->hardest($said[Place::ENGINE] ?? [], ReuseDecision::Keep);
        $sites = $this->bench->case->engine->sites($part->site());
        $apart = $rest = [];
        foreach ($sites as $site) {
            $own = $this->hardest($said[$site] ?? [], ReuseDecision::Keep);
            if ($own->isHarderThan($general) || $this->decidedAt($site, $part) !== null) {
                $apart[] = $this->advice($part, $site, $own->isHarderThan($general) ? $own : $general, $said[$site] ?? [], [$site]);
            } else {
                $rest[] = $site;
            }
        }
        $reasons = $said[Place::ENGINE] ?? [];
        if ($general === ReuseDecision::Keep) {
            $reasons = [...$reasons, [ReuseDecision::Keep, $this->lookedAt($part, $rest)]];
        }

        return $rest === [] ? $apart : [$this->advice($part, Place::ENGINE, $general, $reasons, $rest), ...$apart];
    }

    /**
     * @param list<array{ReuseDecision, string}> $said
     * @param list<string> $places
     */
    private function advice(Part $part, string $place, ReuseDecision $advised, array $said, array $places): PartAdvice
    {
        [$left, $unit] = $this->left[$part->value] ?? [null, RunUnit::Hours];

        return new PartAdvice(
            $part, $place, $advised, array_values(array_unique(array_map(static fn (array $one): string => $one[1], $said))), $places,
            $left, $unit, $this->decidedAt($place, $part),
        );
    }

    private function decidedAt(string $place, Part $part): ?Reuse
    {
        $entry = $this->bench->case->log->headOf(Reuse::slot($place, $part));

        return $entry?->kind === EntryKind::Reuse ? Reuse::fromNode($entry->node()) : null;
    }

    /** @param list<string> $places */
    private function lookedAt(Part $part, array $places): string
    {
        $looked = 0;
        foreach ($places as $place) {
            foreach ([...$this->bench->case->findings(), ...$this->bench->case->looks()] as $seen) {
                if ($seen->place === $place && $seen->part === $part->value) {
                    ++$looked;
                    continue 2;
                }
            }
        }

        return match ($looked) {
            count($places) => 'looked at, nothing against them',
            0 => 'nobody looked at them yet',
            default => sprintf('%d of %d looked at, nothing against them', $looked, count($places)),
        };
    }

    /** @param list<array{ReuseDecision, string}> $said */
    private function hardest(array $said, ReuseDecision $hardest): ReuseDecision
    {
        foreach ($said as [$decision]) {
            $hardest = $decision->isHarderThan($hardest) ? $decision : $hardest;
        }

        return $hardest;
    }

    private function words(Margin $margin): string
    {
        $units = $this->bench->case->settings->units;
        $fineness = $this->bench->sheets->value($margin->quantity())->fineness;
        $value = $margin->value();

        return sprintf(
            '%s %s, %s %s', $margin->limit->title, $value === null ? '' : $units->show($value->quantity(), $fineness),
            $margin->limit->side->words(), $units->show($margin->limit->value(), $fineness),
        );
    }
}
