<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Sheets;

/** How much of a sheet is filled: what each of its places needs, and has. Earlier dates of a health record do not count. */
final readonly class SheetProgress
{
    /** @param list<string> $complete places that have all they need */
    private function __construct(
        public Step $step,
        public string $what,
        public int $done,
        public int $wanted,
        public int $places,
        public array $complete,
    ) {
    }

    /** @return array<string, self> by code of the sheet; a sheet that is not always counted counts once it is begun */
    public static function all(CaseFile $case, Sheets $sheets): array
    {
        $read = [];
        foreach ($case->log->standing(EntryKind::Reading) as $entry) {
            if (!Axis::Date->accepts(explode('.', $entry->slot->index ?? '')[0], $case->engine)) {
                $read[$entry->slot->item][$entry->slot->place] = ($read[$entry->slot->item][$entry->slot->place] ?? 0) + 1;
            }
        }
        $all = [];
        foreach ($sheets->fittedTo($case->engine) as $sheet) {
            $progress = self::of($case, $sheets, $sheet, $read);
            if ($progress->wanted > 0 && ($sheet->isCountedAlways || $progress->done > 0)) {
                $all[$sheet->code] = $progress;
            }
        }

        return $all;
    }

    /** @param array<string, array<string, int>> $read how often, by column and place */
    private static function of(CaseFile $case, Sheets $sheets, Sheet $sheet, array $read): self
    {
        $done = $wanted = 0;
        $complete = [];
        $places = $case->engine->sites($sheet->site);
        foreach ($places as $place) {
            $isComplete = true;
            foreach ($sheet->wants as $code => $times) {
                if ($sheets->columns[$code]->isFittedTo($case->engine)) {
                    $has = min($times, $read[$code][$place] ?? 0);
                    $done += $has;
                    $wanted += $times;
                    $isComplete = $isComplete && $has === $times;
                }
            }
            if ($isComplete && $wanted > 0) {
                $complete[] = $place;
            }
        }

        return new self($sheet->step, $sheet->what, $done, $wanted, count($places), $complete);
    }
}
