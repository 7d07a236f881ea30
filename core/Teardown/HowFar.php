<?php

declare(strict_types=1);

namespace MuteTapper\Core\Teardown;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Knowledge\SeenBy;

/** How far an engine is apart: steps said to be made, and those that must have been, because of what was looked at. */
final readonly class HowFar
{
    /**
     * @param list<string> $made
     * @param string|null $next the first step neither made nor left out
     */
    private function __construct(public array $made, public ?string $next)
    {
    }

    public static function of(CaseFile $case, Knowledge $knowledge): self
    {
        $seen = [];
        foreach ($case->findings() as $finding) {
            $by = ($knowledge->signs[$finding->sign] ?? null)?->seenBy;
            if ($by === SeenBy::Eye || $by === SeenBy::Touch) {
                $seen[$finding->part] = true;
            }
        }
        foreach ($case->looks() as $look) {
            $seen[$look->part] = true;
        }
        $made = [];
        $next = null;
        foreach ($knowledge->steps as $code => $step) {
            if (!$step->belongsTo($case->engine)) {
                continue;
            }
            $entry = $case->log->headOf(StepRecord::slot($code));
            $state = $entry === null ? StepState::Open : StepRecord::fromNode($entry->node())->state;
            if ($state === StepState::Done || array_intersect_key(array_flip($step->opens), $seen) !== []) {
                $made[] = $code;
            } elseif ($state === StepState::Open && $step->families === []) {
                $next ??= $code;
            }
        }

        return new self($made, $next);
    }
}
