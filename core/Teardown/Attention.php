<?php

declare(strict_types=1);

namespace MuteTapper\Core\Teardown;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Knowledge\SeenBy;

/** What a careful analyst would still look at in a place: signs nobody has answered there that a likely cause would leave. */
final readonly class Attention
{
    /** Below this a cause would not leave the sign often enough to be worth a look of its own. [own] */
    public const WORTH = 0.02;

    private function __construct(public string $sign, public Part $part, public string $cause, public float $worth)
    {
    }

    /**
     * @param array<string, float> $causes probability by cause
     *
     * @return list<self> most worth first
     */
    public static function at(CaseFile $case, Knowledge $knowledge, array $causes, string $place, int $most): array
    {
        $engine = $case->engine;
        $site = $engine->station($place) !== null
            ? Site::Station
            : ($engine->siteOf($place, Site::Cylinder) === null ? Site::Engine : Site::Cylinder);
        $answered = $looked = [];
        foreach ($case->log->standing(EntryKind::Finding) as $entry) {
            if ($entry->slot->place === $place) {
                $answered[$entry->slot->item] = true;
            }
        }
        foreach ($case->looks() as $look) {
            if ($look->place === $place) {
                $looked[$look->part] = true;
            }
        }
        $paths = $knowledge->network->paths();
        $wanted = [];
        foreach ($knowledge->signs as $sign) {
            if (isset($answered[$sign->code]) || $sign->isFromBench() || $sign->site !== $site || !$sign->isPossibleOn($engine)) {
                continue;
            }
            $part = null;
            foreach ($sign->parts as $candidate) {
                if ($candidate->isFittedTo($engine) && !($sign->seenBy === SeenBy::Eye && isset($looked[$candidate->value]))) {
                    $part ??= $candidate;
                }
            }
            if ($part === null) {
                continue;
            }
            foreach ($knowledge->network->signLinks[$sign->code] as $link) {
                $from = isset($knowledge->network->causes[$link->parent]) ? [$link->parent => 1.0] : $paths[$link->parent] ?? [];
                foreach ($from as $cause => $path) {
                    $worth = ($causes[$cause] ?? 0.0) * $path * $link->probability;
                    if ($worth >= self::WORTH && $worth > ($wanted[$sign->code]->worth ?? 0.0)) {
                        $wanted[$sign->code] = new self($sign->code, $part, $cause, $worth);
                    }
                }
            }
        }
        usort($wanted, static fn (self $a, self $b): int => $b->worth <=> $a->worth);

        return array_slice($wanted, 0, $most);
    }
}
