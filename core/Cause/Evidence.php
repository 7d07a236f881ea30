<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Evidence\SeenBy;
use MuteTapper\Core\Evidence\SeenState;
use MuteTapper\Core\Evidence\Sign;
use MuteTapper\Core\Spring\SpringSheet;

/** Gathers findings, clear looks and bench margins into one item per sign. */
final class Evidence
{
    private const UNANSWERED = 0.30;
    private const LOOKED_ABSENT = 0.04;

    /**
     * @param list<Sign> $signs
     *
     * @return array<string, Item> by sign
     */
    public static function gather(CaseFile $case, SpringSheet $sheet, array $signs): array
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
        $items = $unanswered = [];
        foreach ($signs as $sign) {
            if (!$sign->isPossibleOn($engine)) {
                continue;
            }
            $siteCount = count($engine->sites($sign->site));
            if ($sign->bench !== null) {
                $sites = BenchEvidence::probabilities($sign->bench, $sheet);
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
}
