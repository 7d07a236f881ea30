<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Verdict\Margin;

/** A remedy laid over the bench: every margin that it can move, before and after. Nothing of it is recorded, and the judgement hears none of it. */
final class Trial
{
    /** @var array<string, list<Effect>> by judged value */
    private array $effects = [];

    public function __construct(public readonly Bench $found, public readonly Bench $with)
    {
    }

    /**
     * What is worked out anew for a remedy: clearances, loads, speeds and stresses; not what was found before the teardown, what departs
     * from the card, or what counts hours.
     *
     * @return list<Judged>
     */
    public static function judged(Bench $bench): array
    {
        $judged = [];
        foreach ($bench->sheets->fittedTo($bench->case->engine) as $sheet) {
            foreach ($sheet->step === Step::Before ? [] : $bench->judgedOn($sheet) as $one) {
                if (!$one->isDeparture && !$one->isApart && !$one->isFact && !$one->accusesOnly) {
                    $judged[] = $one;
                }
            }
        }

        return $judged;
    }

    /** @return list<Effect> of a judged value, at each of its places */
    public function effects(string $quantity): array
    {
        if (isset($this->effects[$quantity])) {
            return $this->effects[$quantity];
        }
        $before = [];
        foreach ($this->found->marginsOf($quantity) as $margin) {
            $before[self::key($margin)] = $margin;
        }

        return $this->effects[$quantity] = array_map(
            static fn (Margin $after): Effect => new Effect($before[self::key($after)] ?? null, $after), $this->with->marginsOf($quantity),
        );
    }

    /** Whether it moves a judged value anywhere. */
    public function moves(string $quantity): bool
    {
        return array_filter($this->effects($quantity), static fn (Effect $effect): bool => !$effect->isUnchanged()) !== [];
    }

    /**
     * The place where it ends worst, of those that it moves where it moves any; at one place, where one is asked for. Null where nothing
     * of it is judged.
     */
    public function worst(string $quantity, ?string $place = null): ?Effect
    {
        $worst = null;
        $hasMoved = $place === null && $this->moves($quantity);
        foreach ($this->effects($quantity) as $effect) {
            if ($hasMoved && $effect->isUnchanged()) {
                continue;
            }
            $isHere = $place === null || $effect->after->place === $place
                || $this->with->case->engine->siteOf($place, $this->with->sheets->value($quantity)->site) === $effect->after->place;
            if ($isHere && ($worst === null || $effect->rank() < $worst->rank())) {
                $worst = $effect;
            }
        }

        return $worst;
    }

    /** @return list<Column> what was read on the engine and is changed by it, or comes with a part that is new: to be measured on the rebuild */
    public function toMeasureAgain(): array
    {
        $engine = $this->found->case->engine;
        $again = [];
        foreach ($this->found->sheets->columns as $column) {
            $value = $this->found->sheets->value($column->code);
            if (!$column->isReadable || !$column->isFittedTo($engine)) {
                continue;
            }
            foreach ($engine->sites($value->site) as $place) {
                foreach ($this->found->partsAt($place, $value) as $parts) {
                    $index = $value->index->join($parts);
                    $after = $this->with->value($place, $column->code, $index);
                    if ($after instanceof Given && $after->basis === Basis::Changed) {
                        $again[$column->code] = $column;
                        continue 3;
                    }
                }
            }
        }

        return array_values($again);
    }

    private static function key(Margin $margin): string
    {
        return $margin->place.'/'.$margin->index;
    }
}
