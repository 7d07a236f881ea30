<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Before\BeforeSheet;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\SeenState;
use MuteTapper\Core\Entry\Severity;
use MuteTapper\Core\Knowledge\Question;
use MuteTapper\Core\Knowledge\SeenBy;
use MuteTapper\Core\Knowledge\Sign;
use MuteTapper\Core\Spring\SpringSheet;

/** Gathers findings, clear looks and bench margins into one item per sign. */
final class Evidence
{
    private const UNANSWERED = 0.30;
    private const LOOKED_ABSENT = 0.04;

    /**
     * @param list<Sign> $signs
     * @param array<string, Question> $questions
     *
     * @return array<string, Item> by sign
     */
    public static function gather(CaseFile $case, SpringSheet $sheet, BeforeSheet $before, array $signs, array $questions): array
    {
        $engine = $case->engine;
        $findings = [];
        foreach ($case->findings() as $finding) {
            $findings[$finding->sign][] = $finding;
        }
        $looks = [];
        foreach ($case->looks() as $look) {
            $looks[$look->slot->part][] = $look;
        }
        $answers = self::answers($case, $questions);
        $items = $unanswered = [];
        foreach ($signs as $sign) {
            if (!$sign->isPossibleOn($engine)) {
                continue;
            }
            $siteCount = count($engine->sites($sign->site));
            if ($sign->bench !== null) {
                // Bench and engine are never mixed: what was measured on the bench goes before.
                $sites = BenchEvidence::probabilities($sign->bench, $sheet->margins, $sheet);
                $sites = $sites === [] ? BenchEvidence::probabilities($sign->measured ?? '', $before->margins, $sheet) : $sites;
                if ($sites !== []) {
                    $items[$sign->code] = Item::of($sign->code, ItemKind::Bench, $sites, $siteCount, $sign->leak, []);
                }
                continue;
            }
            $sites = $entries = [];
            foreach ($findings[$sign->code] ?? [] as $finding) {
                $site = $engine->siteOf($finding->place, $sign->site);
                if ($site !== null) {
                    $sites[$site] = max($sites[$site] ?? 0.0, $finding->confidence());
                    $entries[] = $finding->entryId;
                }
            }
            foreach ($answers[$sign->code] ?? [] as $place => [$confidence, $entryId]) {
                $site = $engine->siteOf($place, $sign->site);
                if ($site !== null && !isset($sites[$site])) {
                    $sites[$site] = $confidence;
                    $entries[] = $entryId;
                }
            }
            $measured = $sites === [] && $sign->measured !== null ? BenchEvidence::probabilities($sign->measured, [...$before->margins, ...$sheet->margins], $sheet) : [];
            if ($measured !== []) {
                $items[$sign->code] = Item::of($sign->code, ItemKind::Bench, $measured, $siteCount, $sign->leak, []);
                continue;
            }
            if ($sign->seenBy === SeenBy::Eye) {
                foreach ($sign->parts as $part) {
                    foreach ($looks[$part->value] ?? [] as $look) {
                        $site = $engine->siteOf($look->slot->place, $sign->site);
                        if ($site !== null && !isset($sites[$site])) {
                            $state = SeenState::tryFrom($look->node()->maybe('state')?->text() ?? '') ?? SeenState::AsFound;
                            $sites[$site] = 0.5 + $state->sureness() * (self::LOOKED_ABSENT - 0.5);
                            $entries[] = $look->id;
                        }
                    }
                }
            }
            if ($sites !== []) {
                $items[$sign->code] = Item::of($sign->code, ItemKind::Finding, $sites, $siteCount, $sign->leak, $entries);
            } elseif ($sign->gross) {
                $unanswered[$sign->code] = Item::of($sign->code, ItemKind::Unanswered, ['engine' => self::UNANSWERED], 1, $sign->leak, []);
            }
        }

        return $items === [] ? [] : $items + $unanswered;
    }

    /**
     * What answers to questions amount to: the sign of the answer is there, those of the others are not.
     *
     * @param array<string, Question> $questions
     *
     * @return array<string, array<string, array{float, string}>> confidence and entry, by sign and place
     */
    private static function answers(CaseFile $case, array $questions): array
    {
        $found = [];
        foreach ($case->log->standing(EntryKind::Answer) as $entry) {
            $chosen = $entry->node()->get('choice')->text();
            foreach ($questions[$entry->slot->item]->choices ?? [] as $choice) {
                if ($choice->sign === null || ($choice->code !== $chosen && isset($found[$choice->sign][$entry->slot->place]))) {
                    continue;
                }
                $found[$choice->sign][$entry->slot->place] = [$choice->code === $chosen ? ($choice->severity ?? Severity::Clear)->confidence() : self::LOOKED_ABSENT, $entry->id];
            }
        }

        return $found;
    }
}
