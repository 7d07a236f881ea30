<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Verdict\Bound;
use MuteTapper\Core\Verdict\Limit;
use MuteTapper\Core\Verdict\Limits;
use MuteTapper\Core\Verdict\Margin;

/** Holds the values of a bench against their limits. */
final class MarginMaker
{
    /** @var array<string, Limit> by value and kind of valve, before what holds for a place alone */
    private array $ruled = [];

    public function __construct(
        private readonly Bench $bench,
        private readonly Limits $limits,
        private readonly Records $records,
    ) {
    }

    /** @return list<Margin> */
    public function of(Judged $judged): array
    {
        $value = $this->bench->sheets->value($judged->value);
        $margins = [];
        foreach ($this->bench->case->engine->sites($value->site) as $place) {
            $parts = $this->bench->partsAt($place, $value);
            if ($judged->isWorstOfAll) {
                $margins[] = $this->worst($judged, $value, $place, $parts);
                continue;
            }
            foreach ($judged->firstOf === [] ? $parts : $this->firstKnown($judged, $value, $place) as $own) {
                $margin = $this->one($judged, $value, $place, $value->index->join($own));
                if ($margin !== null) {
                    $margins[] = $margin;
                }
            }
        }

        return $margins;
    }

    private function one(Judged $judged, Value $value, string $place, ?string $index): ?Margin
    {
        $found = $this->bench->value($place, $value->name, $index);
        $trace = $found instanceof Given ? $found->trace : null;
        if ($judged->onlyIfKnown !== null && !$this->isKnown($judged->onlyIfKnown, $value, $place, $index)) {
            return null;
        }
        if ($judged->isDeparture && $found instanceof Given && $this->isChanged($trace)) {
            return null; // what is changed is not compared with its claim
        }
        $limit = $this->limit($judged, $place, $index);
        if ($found instanceof Missing) {
            return Margin::notMeasured($place, $index, $limit, $found->what, $found->because);
        }
        $why = $judged->unless === null ? null : ($judged->unless)(new At($this->bench, $place));
        if ($why !== null) {
            return Margin::notMeasured($place, $index, $limit, [], $why, $found);
        }
        $unread = $this->unread($judged, $found);

        return $unread === []
            ? Margin::judged($place, $index, $limit, $limit->isOpen() ? $found->doubted(self::open($limit)) : $found)
            : Margin::notMeasured($place, $index, $limit, $unread, null, $found);
    }

    /** @param list<array<string, string>> $parts */
    private function worst(Judged $judged, Value $value, string $place, array $parts): Margin
    {
        $limit = $this->limit($judged, $place, null);
        $worst = null;
        $all = $missing = [];
        $because = null;
        foreach ($parts as $own) {
            $found = $this->bench->value($place, $value->name, $value->index->join($own));
            if ($found instanceof Missing) {
                $missing = [...$missing, ...$found->what];
                $because ??= $found->because;
                continue;
            }
            if (!$found->basis->isMeasured()) {
                continue;
            }
            $all[] = $found->value;
            if ($worst === null || $limit->distanceInside($found->value->base) < $limit->distanceInside($worst->value->base)) {
                $worst = $found;
            }
        }

        return $worst === null
            ? Margin::notMeasured($place, null, $limit, array_values(array_unique($missing)), $because)
            : Margin::judged($place, null, $limit, $worst, $all);
    }

    /** @return list<array<string, string>> */
    private function firstKnown(Judged $judged, Value $value, string $place): array
    {
        foreach ($judged->firstOf as $key) {
            if ($this->bench->value($place, $value->name, $key) instanceof Given) {
                return [$value->index->split($key, $this->bench->case->engine) ?? []];
            }
        }

        return [$value->index->split($judged->firstOf[0] ?? null, $this->bench->case->engine) ?? []];
    }

    private function limit(Judged $judged, string $place, ?string $index): Limit
    {
        $engine = $this->bench->case->engine;
        $kind = $engine->station($place)?->kind;
        $limit = $this->ruled[$judged->value.'/'.($kind->value ?? '')] ??= $this->limits->of($judged->value)->ofKind($kind)
            ->ruledBy($this->bench->case->settings->schoolOf($judged->value));
        if ($judged->singleSchool !== null && $this->bench->isDual($place)) {
            $limit = $limit->without($judged->singleSchool);
        }
        $computed = $judged->limitedBy === null ? null : $this->bench->value($place, $judged->limitedBy, $index);
        if ($computed instanceof Given) {
            $limit = $limit->ruledAt($limit->boundAt($computed->value->quantity()), Limit::COMPUTED);
        }
        if (!$this->records->isClaimed($judged->value.'.least') && !$this->records->isClaimed($judged->value.'.most')) {
            return $limit;
        }
        $stated = $this->bench->statedAt($place);
        $least = $this->records->claim($stated, $judged->value.'.least', null)?->uncertain()?->quantity();
        $most = $this->records->claim($stated, $judged->value.'.most', null)?->uncertain()?->quantity();

        return $least === null && $most === null
            ? $limit
            : $limit->ruledAt(new Bound($least ?? $limit->bounds()->least, $most ?? $limit->bounds()->most), Limit::MAKER);
    }

    private function isKnown(string $input, Value $value, string $place, ?string $index): bool
    {
        foreach ($value->ways as $way) {
            $from = $way->inputs[$input] ?? null;
            if ($from !== null) {
                $parts = $value->index->split($index, $this->bench->case->engine) ?? [];
                $of = $this->bench->sheets->value($from->name);
                if ($of->column === null && $this->bench->value($place, $of->name) instanceof Given) {
                    return true;
                }
                if ($of->column !== null && $this->bench->claim($place, $of->column, $this->bench->indexOf($from, $of, $parts)) !== null) {
                    return true;
                }
            }
        }

        return false;
    }

    private function isChanged(?Trace $trace): bool
    {
        foreach ($trace->values->given['found'] ?? [] as $given) {
            if ($given->basis === Basis::Changed) {
                return true;
            }
        }

        return false;
    }

    private static function open(Limit $limit): string
    {
        return sprintf('Not decided: %s is not stated.', $limit->awaits);
    }

    /** @return list<string> inputs that ought to rest on a reading and do not, in words */
    private function unread(Judged $judged, Given $found): array
    {
        $unread = [];
        foreach ($judged->restsOn as $input) {
            foreach ($found->trace->values->given[$input] ?? [] as $given) {
                if (!$given->basis->isMeasured()) {
                    $unread[] = str_replace('_', ' ', $input);
                }
            }
        }
        if ($judged->restsOn === [] && !$judged->isFact && !$found->basis->isMeasured()) {
            $unread[] = 'a reading of it';
        }

        return array_values(array_unique($unread));
    }
}
