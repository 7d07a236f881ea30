<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\Answer;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Finding;
use MuteTapper\Core\Entry\Look;
use MuteTapper\Core\Entry\Severity;
use MuteTapper\Core\Knowledge\BenchState;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Knowledge\SeenBy;
use MuteTapper\Core\Knowledge\Sign;
use MuteTapper\Core\Sheet\Bench;

/** Gathers findings, answers, clear looks and what the bench says into one item per sign. */
final readonly class Evidence
{
    public const UNANSWERED = 0.30;
    public const LOOKED_ABSENT = 0.04;
    /** A confidence nearer than this to one half says nothing. */
    private const NOTHING = 1e-9;

    /**
     * @param array<string, list<Finding>> $findings by sign
     * @param array<string, array<string, array{float, string, ?Severity}>> $answers confidence, entry and severity, by sign and place
     * @param array<string, list<Look>> $looks by part
     * @param array<string, array<string, float>> $compared by sign and site
     */
    private function __construct(
        private CaseFile $case,
        private Bench $bench,
        private Knowledge $knowledge,
        private array $findings,
        private array $answers,
        private array $looks,
        private array $compared,
    ) {
    }

    /**
     * @param array<string, array<string, float>> $compared what comparison of parts says of signs, by sign and site
     *
     * @return array<string, Item> by sign
     */
    public static function gather(Bench $bench, Knowledge $knowledge, array $compared = []): array
    {
        $case = $bench->case;
        $findings = $looks = [];
        foreach ($case->findings() as $finding) {
            $findings[$finding->sign][] = $finding;
        }
        foreach ($case->looks() as $look) {
            $looks[$look->part][] = $look;
        }
        $evidence = new self($case, $bench, $knowledge, $findings, self::answers($case, $knowledge), $looks, $compared);
        $items = $unanswered = [];
        foreach ($knowledge->signs as $sign) {
            if (!$sign->isPossibleOn($case->engine)) {
                continue;
            }
            $item = $evidence->item($sign);
            if ($item !== null) {
                $items[$sign->code] = $item;
            } elseif ($sign->gross) {
                $unanswered[$sign->code] = Item::of(
                    $sign->code, ItemKind::Unanswered, Site::Engine, [Place::ENGINE => self::UNANSWERED], 1, $sign->leak, [],
                );
            }
        }

        foreach ($knowledge->signs as $sign) {
            if ($sign->yieldsTo !== [] && isset($items[$sign->code])) {
                $items[$sign->code] = self::yielding($items[$sign->code], array_intersect_key($items, array_flip($sign->yieldsTo)));
            }
            if ($sign->detailOf !== null && isset($items[$sign->code])) {
                $items[$sign->code] = self::detail($items[$sign->code], $items[$sign->detailOf] ?? null);
            }
        }
        $items = array_filter($items);

        return $items === [] ? [] : $items + $unanswered;
    }

    /**
     * A general sign is silent where a more particular one speaks: both come from the same reading.
     *
     * @param array<string, Item|null> $particular
     */
    private static function yielding(Item $item, array $particular): ?Item
    {
        $silent = [];
        foreach ($particular as $other) {
            foreach ($other->places ?? [] as $place) {
                foreach (array_keys($item->sites) as $site) {
                    if ($site === $place || str_starts_with($place, $site.'-') || str_starts_with($site, $place.'-')) {
                        $silent[] = $site;
                    }
                }
            }
        }

        return $silent === [] ? $item : $item->without($silent);
    }

    /** How a part failed is asked only of a part that did: on a whole one there is nothing that could be absent. */
    private static function detail(Item $item, ?Item $whole): ?Item
    {
        $absent = array_keys(array_filter($item->sites, static fn (float $confidence): bool => $confidence <= 0.5));

        return $item->without(array_values(array_diff($absent, $whole->places ?? [])));
    }

    private function item(Sign $sign): ?Item
    {
        if ($sign->compared !== []) {
            return $this->measured($sign, $this->compared[$sign->code] ?? [], false);
        }
        if ($sign->isFromBench()) {
            // Bench and engine are never mixed: what was measured on the bench goes before.
            return $this->onBench($sign, $sign->bench) ?? $this->onBench($sign, $sign->measured);
        }
        $sites = $entries = [];
        $severity = null;
        foreach ($this->findings[$sign->code] ?? [] as $finding) {
            $site = $this->case->engine->siteOf($finding->place, $sign->site);
            if ($site !== null) {
                $sites[$site] = max($sites[$site] ?? 0.0, $finding->confidence($sign->seenBy === SeenBy::Report));
                $entries[] = $finding->entryId;
                $severity = self::worse($severity, $finding->severity);
            }
        }
        foreach ($this->answers[$sign->code] ?? [] as $place => [$confidence, $entryId, $said]) {
            $site = $this->case->engine->siteOf($place, $sign->site);
            if ($site !== null && !isset($sites[$site])) {
                $sites[$site] = $confidence;
                $entries[] = $entryId;
                $severity = self::worse($severity, $said);
            }
        }
        if ($sites === [] && $sign->measured !== []) {
            $measured = $this->onBench($sign, $sign->measured);
            if ($measured !== null) {
                return $measured;
            }
        }
        if ($sign->seenBy === SeenBy::Eye) {
            foreach ($this->clearLooks($sign) as [$site, $look]) {
                if (!isset($sites[$site])) {
                    $sites[$site] = self::absent($look->state->sureness());
                    $entries[] = $look->entryId;
                }
            }
        }
        $sites = array_filter($sites, static fn (float $confidence): bool => abs($confidence - 0.5) > self::NOTHING);
        if ($sites === []) {
            return null;
        }

        return Item::of(
            $sign->code, ItemKind::Finding, $sign->site, $sites, count($this->case->engine->sites($sign->site)), $sign->leak, $entries,
            $severity, $sign->seenBy === SeenBy::Report, isGross: $sign->gross,
        );
    }

    /** @param list<BenchState> $states */
    private function onBench(Sign $sign, array $states): ?Item
    {
        $found = BenchEvidence::of($states, $this->bench);

        return $this->measured($sign, $found->sites, $found->isRelative);
    }

    /** @param array<string, float> $sites */
    private function measured(Sign $sign, array $sites, bool $isRelative): ?Item
    {
        if ($sites === []) {
            return null;
        }

        return Item::of(
            $sign->code, ItemKind::Bench, $sign->site, $sites, count($this->case->engine->sites($sign->site)), $sign->leak, [],
            isRelative: $isRelative, isGross: $sign->gross,
        );
    }

    /** @return list<array{string, Look}> sites whose part was looked at when the catalogue already listed the sign */
    private function clearLooks(Sign $sign): array
    {
        $found = [];
        foreach ($sign->parts as $part) {
            foreach ($this->looks[$part->value] ?? [] as $look) {
                $site = $this->case->engine->siteOf($look->place, $sign->site);
                if ($site !== null && $this->knowledge->listed($sign->code, $look->knowledge)) {
                    $found[] = [$site, $look];
                }
            }
        }

        return $found;
    }

    /** Confidence of what was looked for so surely, and not found. */
    private static function absent(float $sureness): float
    {
        return 0.5 + $sureness * (self::LOOKED_ABSENT - 0.5);
    }

    private static function worse(?Severity $one, ?Severity $other): ?Severity
    {
        return $one === null || ($other !== null && $other->value > $one->value) ? $other : $one;
    }

    /**
     * What answers to questions amount to: the sign of the answer is there; those of the other answers are not, where the
     * answer denies them (“nowhere”, “none”, “steady”), and are not spoken of where it does not.
     *
     * @return array<string, array<string, array{float, string, ?Severity}>>
     */
    private static function answers(CaseFile $case, Knowledge $knowledge): array
    {
        $found = [];
        foreach ($case->log->standing(EntryKind::Answer) as $entry) {
            $choices = $knowledge->questions[$entry->slot->item]->choices ?? [];
            $place = $entry->slot->place;
            foreach (array_intersect_key($choices, array_flip(Answer::fromNode($entry->node())->choices())) as $chosen) {
                foreach ($chosen->denies ? $choices : [] as $choice) {
                    if ($choice->sign !== null) {
                        $found[$choice->sign][$place] ??= [self::absent($chosen->sureness), $entry->id, Severity::Absent];
                    }
                }
                if ($chosen->sign !== null) {
                    $severity = $chosen->severity ?? Severity::Clear;
                    $found[$chosen->sign][$place] = [$severity->confidence(), $entry->id, $severity];
                }
            }
        }

        return $found;
    }
}
