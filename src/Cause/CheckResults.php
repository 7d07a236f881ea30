<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\NextCheck;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Severity;
use MuteTapper\Core\Knowledge\Sign;

/** The findings that record either result of a check in one stroke, where it needs no figure and no answer to a question. */
final readonly class CheckResults
{
    public function __construct(private Assessment $assessment)
    {
    }

    /** @return list<CheckEntryView> that the telling sign is there, clearly; empty where it is not recorded by looking alone */
    public function found(NextCheck $next): array
    {
        $sign = $this->assessment->knowledge->signs[$next->sign];

        return $this->isSeenAlone($sign) ? $this->entries($next, [$sign], Severity::Clear) : [];
    }

    /** @return list<CheckEntryView> that none of its signs is there; empty where one of them is not recorded by looking alone */
    public function clear(NextCheck $next): array
    {
        $signs = array_filter(
            array_map(fn (string $code): Sign => $this->assessment->knowledge->signs[$code], $next->check->signs),
            fn (Sign $sign): bool => $sign->isPossibleOn($this->assessment->case->engine),
        );

        return array_filter($signs, fn (Sign $sign): bool => !$this->isSeenAlone($sign)) === []
            ? $this->entries($next, array_values($signs), Severity::Absent) : [];
    }

    private function isSeenAlone(Sign $sign): bool
    {
        $isAsked = false;
        foreach ($this->assessment->knowledge->questions as $question) {
            $isAsked = $isAsked || in_array($sign->code, $question->signs(), true);
        }

        return !$isAsked && !$sign->isFromBench() && $sign->compared === [] && !$sign->needsFill;
    }

    /**
     * @param list<Sign> $signs
     *
     * @return list<CheckEntryView>
     */
    private function entries(NextCheck $next, array $signs, Severity $severity): array
    {
        $entries = [];
        foreach ($signs as $sign) {
            foreach ($next->stations === [] ? [Place::ENGINE] : $next->stations as $station) {
                $place = $this->assessment->case->engine->siteOf($station, $sign->site);
                if ($place === null) {
                    return []; // somewhere, and nobody says where
                }
                if (isset($this->assessment->items()[$sign->code]->sites[$place])) {
                    continue; // what was said of it there stands
                }
                $entries[$place.' '.$sign->code] = new CheckEntryView($place, $sign->parts[0]->value, $sign->code, $severity->value);
            }
        }

        return array_values($entries);
    }
}
