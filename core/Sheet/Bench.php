<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\LongCalculation;
use MuteTapper\Core\Calculation\NoneSolved;
use MuteTapper\Core\Calculation\Solutions;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Engine\Cams;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\MeasuredLift;
use MuteTapper\Core\Entry\NotMeasurable;
use MuteTapper\Core\Entry\Reading;
use MuteTapper\Core\Entry\Standing;
use MuteTapper\Core\Entry\SweptCurve;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Knowledge\ShimStock;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Verdict\Limits;
use MuteTapper\Core\Verdict\Margin;

/**
 * Works out the values and margins of a case, each once and only when asked for. A value is asked of a place by its name; a
 * place narrower than the value's site has it from the cylinder, bank or engine that holds the place.
 */
final class Bench
{
    /** Test heights nearer than this count as one, in metres. */
    public const SAME_HEIGHT = 5e-6;

    /** @var array<string, Given|Missing|null> by place, name and index; null while it is being worked out */
    private array $known = [];
    /** @var array<string, non-empty-list<Given>|Missing> by value, index, kind and test height */
    private array $sets = [];
    /** @var array<string, list<array<string, string>>> all parts of the index of a value, by its name */
    private array $indexes = [];
    /** @var array<string, non-empty-list<string>> by place */
    private array $stated = [];
    /** @var array<string, array<string, string>> by kind of site and place */
    private array $sites = [];
    /** @var array<string, array<string, string>|false> by value and index; false where it is none of its indexes */
    private array $parts = [];
    /**
     * What follows from a whole set, by calculation and set: the same for each of its places.
     *
     * @var array<string, Given>
     */
    private array $ofSets = [];
    /**
     * Whether this engine can have a value, by its name.
     *
     * @var array<string, bool>
     */
    private array $possible = [];
    /** @var array<string, array<string, non-empty-list<Given>>> figures of recorded curves, by kind, place and coil */
    private array $curves = [];
    /** @var array<string, list<Margin>> by judged value */
    private array $margins = [];
    /** @var array<string, bool> whether what a value follows from is changed, by place, name and index */
    private array $reached = [];

    private function __construct(
        public readonly CaseFile $case,
        public readonly Sheets $sheets,
        private readonly Limits $limits,
        public readonly ShimStock $springShims,
        private readonly Records $records,
        private readonly ?self $base,
        private readonly Change $change,
        private readonly Solutions $solutions,
    ) {
    }

    /** @param Solutions $solutions of calculations that take long */
    public static function of(CaseFile $case, Sheets $sheets, Knowledge $knowledge, Solutions $solutions = new NoneSolved()): self
    {
        return new self(
            $case, $sheets, $knowledge->limits, $knowledge->springShims, Records::of($case), null, Change::none(), $solutions,
        );
    }

    /** The same bench with some values replaced. Nothing else computes a "what if". */
    public function with(Change $change): self
    {
        return new self(
            $this->case, $this->sheets, $this->limits, $this->springShims, $this->records, $this->base ?? $this, $change, $this->solutions,
        );
    }

    public function value(string $place, string $name, ?string $index = null): Given|Missing
    {
        $value = $this->sheets->value($name);
        $site = $this->sites[$value->site->value][$place] ??= $this->siteOf($place, $value->site);
        if ($site === '') {
            return Missing::because(sprintf('%s has no %s.', $this->case->engine->placeLabel($place) ?? $place, $value->title));
        }
        $key = $site.'/'.$name.'/'.$index;
        if (array_key_exists($key, $this->known)) {
            return $this->known[$key] ?? throw new \LogicException(sprintf('The value “%s” is computed from itself.', $name));
        }
        $parts = $this->parts[$name.'/'.$index] ??= $value->index->split($index, $this->case->engine) ?? false;
        if ($parts === false) {
            throw new \LogicException(sprintf('“%s” is no index of “%s”.', $index ?? '', $name));
        }
        $this->known[$key] = null;

        return $this->known[$key] = $this->workOut($value, $site, $parts);
    }

    /** The place that has the values of a site, seen from another: empty where there is none. */
    private function siteOf(string $place, Site $site): string
    {
        return $site === Site::Station && Place::asLoose($place) !== null ? $place : $this->case->engine->siteOf($place, $site) ?? '';
    }

    /** What was read there, as it was taken. */
    public function reading(string $place, Column $column, ?string $index): ?Reading
    {
        $source = $this->change->sourceOf($place, $column->part->value) ?? $place;

        return $this->records->reading($column->code, $source, $index) ?? $this->readingOffTheEngine($source, $column, $index);
    }

    /** What was read of the part that stands there while it was off the engine: it serves until it is read in its place. */
    private function readingOffTheEngine(string $place, Column $column, ?string $index): ?Reading
    {
        $tag = $column->part->isTestedLoose() ? $this->records->tagAt($place, $column->part, $index) : null;

        return $tag === null ? null : $this->records->reading($column->code, Place::loose($tag), $index);
    }

    /** The sweep of a spring on a tester: there, or off the engine where it is known which one stands there. */
    public function sweep(string $place, string $coil): ?SweptCurve
    {
        $source = $this->change->sourceOf($place, Part::Spring->value) ?? $place;
        $curve = $this->records->sweep($source, $coil);
        $tag = $curve === null ? $this->records->tagAt($source, Part::Spring, $coil) : null;

        return $tag === null ? $curve : $this->records->sweep(Place::loose($tag), $coil);
    }

    /** @return array{string, MeasuredLift}|null the lift of a lobe as measured, and the place for which it stands: its own, or its kind */
    public function lift(string $place): ?array
    {
        return $this->records->lift($this->statedAt($this->change->sourceOf($place, Part::Lobe->value) ?? $place));
    }

    /** @return list<string> places at which any spring was swept, those of the engine first */
    public function sweptPlaces(): array
    {
        $places = $this->records->sweptPlaces();
        $stations = array_map(static fn (Station $station): string => $station->code(), $this->case->engine->stations);
        $loose = array_values(array_diff($places, $stations));
        sort($loose, \SORT_NATURAL);

        return [...array_values(array_intersect($stations, $places)), ...$loose];
    }

    /** The tag of the part that stands at a place, where that was said. */
    public function tagAt(string $place, Part $part, ?string $index): ?string
    {
        return $this->records->tagAt($place, $part, $index);
    }

    /** Why nothing could be read there, where that was said. */
    public function notMeasurable(string $place, Column $column, ?string $index): ?NotMeasurable
    {
        return $this->records->notMeasurable($column->code, $place, $index);
    }

    /** @return array<string, array<string, Reading>> every reading of a column, as it was taken, by place and index */
    public function readingsOf(Column $column): array
    {
        return $this->records->readingsOf($column->code);
    }

    /** What is claimed of it: for the place itself, or for what holds it; else the maker's own figure. */
    public function claim(string $place, Column $column, ?string $index): ?Given
    {
        if (!$this->records->isClaimed($column->code)) {
            return null;
        }
        $claim = $this->records->claim($this->statedAt($place), $column->code, $index);
        $figure = $claim?->uncertain();
        if ($claim === null || $figure === null) {
            return null;
        }
        $origin = match (true) {
            $claim->isMakers => 'the maker’s figure',
            $claim->standing === Standing::Known => 'as claimed, known',
            default => 'as claimed, said by the customer',
        };

        return new Given($figure, $origin, Basis::Claimed);
    }

    /** @return non-empty-list<string> where something that holds for a place may be stated, the narrowest first */
    public function statedAt(string $place): array
    {
        return $this->stated[$place] ??= $this->case->engine->statedAt($place);
    }

    /** Whether a spring stands inside another there: anything was read, or is claimed, of an inner one. */
    public function isDual(string $place): bool
    {
        $source = $this->change->sourceOf($place, Part::Spring->value);
        if ($source !== null) {
            return $this->records->hasCoil($source, [], Coil::Inner->value);
        }

        return $this->records->hasCoil($place, $this->statedAt($place), Coil::Inner->value);
    }

    /** @return list<string> parts off the engine on which anything was read, by their tags */
    public function loosePlaces(): array
    {
        $places = [];
        foreach ($this->case->log->standing(EntryKind::Reading) as $entry) {
            if (Place::asLoose($entry->slot->place) !== null) {
                $places[$entry->slot->place] = true;
            }
        }
        ksort($places, \SORT_NATURAL);

        return array_keys($places);
    }

    /** @return list<string> days of earlier sheets, oldest first */
    public function dates(): array
    {
        return $this->records->dates();
    }

    /** @return list<string|null> indexes under which anything was read of a column there */
    public function indexesRead(string $place, string $column): array
    {
        return $this->records->indexes($column, $place);
    }

    /**
     * Every margin of a judged value, by site and index.
     *
     * @return list<Margin>
     */
    public function marginsOf(string $quantity): array
    {
        $judged = $this->sheets->judged[$quantity] ?? throw new \LogicException('Nothing judges '.$quantity);

        return $this->margins[$quantity] ??= $this->isPossible($quantity)
            ? (new MarginMaker($this, $this->limits, $this->records))->of($judged)
            : [];
    }

    /** Whether an engine such as this one can have the value at all: it has the column, or a way that it has all inputs of. */
    private function isPossible(string $name): bool
    {
        if (isset($this->possible[$name])) {
            return $this->possible[$name];
        }
        $this->possible[$name] = false; // while its ways are tried: a value does not follow from itself
        $value = $this->sheets->value($name);
        $possible = $value->column?->isFittedTo($this->case->engine) === true;
        foreach ($possible ? [] : $value->ways as $way) {
            $inputs = $way->same === null ? array_values($way->inputs) : [$way->same];
            $possible = $possible || (
                ($way->on === null || ($way->on)($this->case->engine))
                && array_filter($inputs, fn (From $from): bool => !$this->isPossible($from->name)) === []
            );
        }

        return $this->possible[$name] = $possible;
    }

    public function margin(string $place, string $quantity, ?string $index = null): ?Margin
    {
        foreach ($this->marginsOf($quantity) as $margin) {
            if ($margin->place === $place && ($index === null || $margin->index === $index)) {
                return $margin;
            }
        }

        return null;
    }

    /** @return list<Judged> what is judged on a sheet, as far as an engine such as this one can have it */
    public function judgedOn(Sheet $sheet): array
    {
        return array_values(array_filter(
            $this->sheets->judgedOn($sheet), fn (Judged $judged): bool => $this->isPossible($judged->value),
        ));
    }

    /** @return list<Margin> all margins of a sheet */
    public function marginsOn(Sheet $sheet): array
    {
        return array_merge(...array_map(fn (Judged $judged): array => $this->marginsOf($judged->value), $this->judgedOn($sheet)));
    }

    /** @return list<Margin> */
    public function margins(): array
    {
        return array_merge(...array_map($this->marginsOn(...), $this->sheets->fittedTo($this->case->engine)));
    }

    /** @return list<string> what a sheet says as a whole, in words */
    public function remarks(Sheet $sheet): array
    {
        return array_merge(
            FarFromOthers::remarks($this, $sheet), ...array_map(fn (\Closure $remark): array => $remark($this), $sheet->remarks),
        );
    }

    /**
     * The parts of its index under which a value is shown at a place: those of an inner spring only where there is one.
     *
     * @return list<array<string, string>>
     */
    public function partsAt(string $place, Value $value): array
    {
        $all = $this->indexes[$value->name] ??= $value->index->all($this->case->engine);
        if (!$value->index->has(Axis::Coil)) {
            return $all;
        }
        $source = $this->change->sourceOf($place, Part::Spring->value);
        $stated = $source === null ? $this->statedAt($place) : [];
        $place = $source ?? $place;

        return array_values(array_filter($all, fn (array $parts): bool => match ($coil = $parts[Axis::Coil->value] ?? '') {
            Coil::Outer->value => true,
            Coil::Pair->value => $value->isOfPair && $this->records->hasCoil($place, $stated, $coil),
            default => $this->records->hasCoil($place, $stated, $coil),
        }));
    }

    /** @param array<string, string> $parts */
    private function workOut(Value $value, string $place, array $parts): Given|Missing
    {
        $index = $value->index->join($parts);
        $measured = $this->change->measured($place, $value->name, $index);
        if ($measured !== null) {
            return $measured;
        }
        $change = $this->change->of($place, $value->name, $index);
        if ($change !== null && $this->base !== null) {
            return $this->changed($change, $this->base->value($place, $value->name, $index));
        }
        $read = $this->read($value, $place, $index);
        if ($read !== null) {
            return $this->followed($read, $value, $place, $parts);
        }
        $computed = $this->computed($value, $place, $parts);
        if ($computed instanceof Given && $this->restsOnTheEngine($computed, $value, $place, $parts)) {
            return $computed;
        }
        $column = $value->column;
        if ($column !== null && $column->isClaimable && $this->change->sourceOf($place, $column->part->value) === null) {
            $claimed = $this->claim($place, $column, $index);
            if ($claimed !== null) {
                return $this->followed($claimed, $value, $place, $parts);
            }
        }
        if ($computed instanceof Given) {
            return $computed;
        }

        if ($column === null) {
            return $computed;
        }
        $why = $this->notMeasurable($place, $column, $index);

        return $why === null ? Missing::of([$column->label], $computed->because)
            : Missing::because(sprintf('The %s cannot be measured: %s.', $column->label, $why->value));
    }

    private function read(Value $value, string $place, ?string $index): ?Given
    {
        $reading = $value->column === null ? null : $this->reading($place, $value->column, $index);
        if ($reading === null) {
            return null;
        }
        $origin = $reading->gauge->label.', '.$reading->gauge->stated.$this->whereRead($reading);
        $isTaken = $value->column !== null && $this->change->sourceOf($place, $value->column->part->value) !== null;

        return new Given(
            $reading->uncertain(), $isTaken ? $origin.', of the part taken' : $origin, $isTaken ? Basis::Changed : Basis::Read,
        );
    }

    /** In words, where it was read off the engine. */
    private function whereRead(Reading $reading): string
    {
        $tag = Place::asLoose($reading->place);

        return $tag === null ? '' : sprintf(', off the engine, of %s', $tag);
    }

    /**
     * The first way that yields a value resting on a reading, else the first that yields any, else what is missing.
     *
     * @param array<string, string> $parts
     */
    private function computed(Value $value, string $place, array $parts): Given|Missing
    {
        $best = null;
        $missing = [];
        $because = null;
        foreach ($value->ways as $way) {
            if (
                !$way->applies($this->case->engine, $parts)
                || ($way->ofDual !== null && $way->ofDual !== $this->isDual($place))
                || ($way->ofKind !== null && $way->ofKind !== $this->case->engine->kindAt($place))
            ) {
                continue;
            }
            if ($way->curve !== null && $this->curve($way->curve, $place, $parts) === []) {
                continue;
            }
            $result = $this->goWay($way, $place, $parts);
            if ($result instanceof Missing) {
                $missing = [...$missing, ...$result->what];
                $because ??= $result->because;
            } elseif ($result->basis->isMeasured()) {
                return $result;
            } elseif ($best === null || $result->basis->value > $best->basis->value) {
                $best = $result;
            }
        }

        return $best ?? Missing::of($missing, $because);
    }

    /** @param array<string, string> $parts */
    private function goWay(Way $way, string $place, array $parts): Given|Missing
    {
        if ($way->fact !== null) {
            return ($way->fact)($this->case->engine) ?? Missing::of([]);
        }
        if ($way->same !== null) {
            $one = $this->input($way->same, $place, $parts);

            return is_array($one) ? $one[0] : $one;
        }
        $given = $missing = [];
        $because = null;
        foreach ($way->inputs as $name => $from) {
            $input = $this->input($from, $place, $parts);
            if ($input instanceof Missing) {
                $missing = [...$missing, ...($from->called === null ? $input->what : [$from->called])];
                $because ??= $input->because;
            } else {
                $given[$name] = $input;
            }
        }
        if (count($given) < count($way->inputs) || $way->calculation === null) {
            return Missing::of($missing, $because);
        }
        try {
            if ($way->calculation instanceof LongCalculation) {
                $values = Values::of($given);
                $solution = $this->solutions->of($way->calculation, $values->figures());

                return $solution === null ? Missing::because(sprintf('The %s is not worked out yet.', $way->calculation->title()))
                    : Trace::solved($way->calculation, $values, $solution)->asGiven();
            }
            $only = count($given) === 1 ? reset($given) : null;
            $set = is_array($only) ? array_search($only, $this->sets, true) : false;

            return $set === false
                ? Trace::of($way->calculation, Values::of($given))->asGiven()
                : $this->ofSets[$way->calculation->name().'/'.$set] ??= Trace::of($way->calculation, Values::of($given))->asGiven();
        } catch (Contradiction $contradiction) {
            return Missing::because($contradiction->getMessage());
        }
    }

    /**
     * The index under which an input is asked for.
     *
     * @param array<string, string> $parts of the value that asks
     */
    public function indexOf(From $from, Value $value, array $parts): ?string
    {
        return $value->index->join($from->key === null ? $parts : $value->index->with($from->key, $parts, $this->case->engine));
    }

    /**
     * @param array<string, string> $parts of the value that asks
     *
     * @return Given|non-empty-list<Given>|Missing
     */
    private function input(From $from, string $place, array $parts): Given|array|Missing
    {
        $value = $this->sheets->value($from->name);
        $index = $this->indexOf($from, $value, $parts);
        $column = $value->column;
        switch ($from->respect) {
            case Respect::Value:
                return $this->value($place, $from->name, $index);
            case Respect::Measured:
                $found = $this->value($place, $from->name, $index);

                return $found instanceof Missing || $found->basis->isMeasured() ? $found : Missing::of([$value->title]);
            case Respect::Claim:
                $claimed = $column === null ? null : $this->claim($place, $column, $index);

                return $claimed ?? Missing::of(['claim of the '.$value->title]);
            case Respect::Height:
                $height = $column === null ? null : $this->reading($place, $column, $index)?->height();

                return $height === null ? Missing::of([$value->title]) : new Given($height, 'test height');
            case Respect::ClaimedHeight:
                $height = $this->records->claim($this->statedAt($place), $from->name, $index)?->height();

                return $height === null
                    ? Missing::of(['height of the claimed '.$value->title])
                    : new Given($height, 'as claimed', Basis::Claimed);
            case Respect::Every:
                return $this->every($value, $place, $parts, $from->least);
            case Respect::Peers:
                return $this->peers($value, $from->peers ?? Peers::ofAll(1), $place, $index);
            case Respect::Oldest:
            case Respect::Newest:
                $ends = $this->ends($value, $place, $parts);

                return $ends instanceof Missing ? $ends : $ends[$from->respect === Respect::Oldest ? 0 : 1];
            case Respect::OfItsCam:
                $cam = Cams::moving($this->case->engine, $place);

                return $cam === null ? Missing::of([$value->title]) : $this->value($place, $from->name, $cam);
            case Respect::SweptHeights:
            case Respect::SweptLoads:
                return $this->curve(EntryKind::Sweep, $place, $parts)[$from->respect->name] ?? Missing::of(['sweep on the tester']);
            case Respect::MeasuredDegrees:
            case Respect::MeasuredLifts:
                return $this->curve(EntryKind::Lift, $place, $parts)[$from->respect->name] ?? Missing::of(['measured lift of the lobe']);
        }
    }

    /**
     * @param array<string, string> $parts
     *
     * @return non-empty-list<Given>|Missing
     */
    private function every(Value $value, string $place, array $parts, int $least): array|Missing
    {
        $engine = $this->case->engine;
        $under = $value->column === null
            ? array_map(static fn (array $own): array => $parts + $own, $value->index->all($engine))
            : array_map(
                static fn (?string $index): array => $value->index->split($index, $engine) ?? [],
                $this->records->indexes($value->name, $place),
            );
        $found = $missing = [];
        foreach ($under as $own) {
            foreach ($value->index->axes as $axis) {
                if (
                    (isset($parts[$axis->value]) || $axis->isOptional())
                    && ($parts[$axis->value] ?? null) !== ($own[$axis->value] ?? null)
                ) {
                    continue 2;
                }
            }
            $one = $this->value($place, $value->name, $value->index->join($own));
            if ($one instanceof Given) {
                $found[] = $one;
            } else {
                $missing = [...$missing, ...$one->what];
            }
        }

        if ($found === []) {
            return Missing::of($missing === [] ? [$value->title] : $missing);
        }

        return count($found) < $least ? Missing::of([$value->title.' at another place']) : $found;
    }

    /** @return non-empty-list<Given>|Missing */
    private function peers(Value $value, Peers $peers, string $place, ?string $index): array|Missing
    {
        $kind = $peers->byKind ? $this->case->engine->station($place)->kind->value ?? '' : '';
        $height = $peers->atOneHeight && $value->column !== null
            ? $this->reading($place, $value->column, $index)?->at?->quantity()->base
            : null;
        // Places of one kind, tested at one height, have one set.
        $key = sprintf('%s/%s/%s/%s', $value->name, $index ?? '', $kind, $height === null ? '' : (string) $height);

        return $this->sets[$key] ??= $this->set($value, $peers, $kind, $index, $height);
    }

    /** @return non-empty-list<Given>|Missing */
    private function set(Value $value, Peers $peers, string $kind, ?string $index, ?float $height): array|Missing
    {
        $sets = [];
        foreach ($this->case->engine->sites($value->site) as $site) {
            $of = $peers->byKind ? $this->case->engine->station($site)->kind->value ?? '' : '';
            if (!$peers->elseAll && $of !== $kind) {
                continue;
            }
            $one = $this->value($site, $value->name, $index);
            if (
                $one instanceof Given
                && $one->basis->isMeasured()
                && ($height === null || $this->isTestedAt($height, $value, $site, $index))
            ) {
                $sets[$of][] = $one;
            }
        }
        $isTooFew = $peers->elseAll && $sets !== [] && min(array_map(count(...), $sets)) < $peers->least;
        $set = $isTooFew ? array_merge(...array_values($sets)) : $sets[$kind] ?? [];
        if ($set === [] || count($set) < $peers->least) {
            return Missing::of([sprintf('at least %d of the %s to compare', $peers->least, $value->title)]);
        }
        $doubt = $peers->isOnePopulation ? Populations::doubt($set, $this->case->settings->units) : null;

        return array_map(static fn (Given $given): Given => $given->doubted($doubt), $set);
    }

    private function isTestedAt(float $height, Value $value, string $place, ?string $index): bool
    {
        $at = $value->column === null ? null : $this->reading($place, $value->column, $index)?->at?->quantity();

        return $at !== null && abs($at->base - $height) <= self::SAME_HEIGHT;
    }

    /**
     * The value on the oldest and on the newest sheet on which it is known, that of this case being the newest.
     *
     * @param array<string, string> $parts
     *
     * @return array{Given, Given}|Missing missing where there are no two
     */
    private function ends(Value $value, string $place, array $parts): array|Missing
    {
        $dates = [...$this->dates(), null];
        $oldest = $newest = null;
        $first = 0;
        $last = count($dates) - 1;
        while ($oldest === null && $first < $last) {
            $oldest = $this->onDate($value, $place, $parts, $dates[$first++]);
        }
        while ($newest === null && $last >= $first) {
            $newest = $this->onDate($value, $place, $parts, $dates[$last--]);
        }

        return $oldest === null || $newest === null ? Missing::of([$value->title.' of another date']) : [$oldest, $newest];
    }

    /** @param array<string, string> $parts */
    private function onDate(Value $value, string $place, array $parts, ?string $date): ?Given
    {
        $one = $this->value($place, $value->name, $value->index->join($date === null ? $parts : [Axis::Date->value => $date] + $parts));

        return $one instanceof Given
            ? new Given($one->value, $date === null ? $one->origin : $one->origin.', '.$date, $one->basis, $one->doubt, $one->trace)
            : null;
    }

    /**
     * @param array<string, string> $parts of the value that asks
     *
     * @return array<string, non-empty-list<Given>> the figures of a recorded curve, by the respect in which they are asked for
     */
    private function curve(EntryKind $kind, string $place, array $parts): array
    {
        if (!$this->records->hasCurves($kind)) {
            return [];
        }
        $coil = $parts[Axis::Coil->value] ?? '';

        return $this->curves[implode('/', [$kind->value, $place, $coil])] ??= array_map(
            static fn (array $figures): array => array_map(
                static fn (Uncertain $one): Given => new Given(
                    $one, $kind === EntryKind::Sweep ? 'sweep on the tester' : 'lift as measured', Basis::Read,
                ), $figures,
            ),
            $kind === EntryKind::Sweep ? $this->sweptFigures($place, $coil) : $this->liftedFigures($place),
        );
    }

    /** @return array<string, non-empty-list<Uncertain>> */
    private function sweptFigures(string $place, string $coil): array
    {
        $curve = $this->sweep($place, $coil);

        return $curve === null ? [] : [Respect::SweptHeights->name => $curve->heights(), Respect::SweptLoads->name => $curve->loads()];
    }

    /** @return array<string, non-empty-list<Uncertain>> */
    private function liftedFigures(string $place): array
    {
        $lift = $this->lift($place)[1] ?? null;

        return $lift === null ? [] : [Respect::MeasuredDegrees->name => $lift->degrees(), Respect::MeasuredLifts->name => $lift->lifts()];
    }

    /** @param array{bool, Quantity} $change */
    private function changed(array $change, Given|Missing $found): Given|Missing
    {
        [$isAdded, $quantity] = $change;
        if (!$isAdded) {
            return new Given(Uncertain::exact($quantity), 'tried', Basis::Changed);
        }
        if ($found instanceof Missing) {
            return $found;
        }

        return new Given($found->value->shifted($quantity), $found->origin.', changed', Basis::Changed, $found->doubt);
    }

    /**
     * Whether a computed value goes before a claim: it rests on a reading, and did so before anything was changed.
     *
     * @param array<string, string> $parts
     */
    private function restsOnTheEngine(Given $computed, Value $value, string $place, array $parts): bool
    {
        if ($this->base === null || $value->column === null || $computed->basis !== Basis::Changed) {
            return $computed->basis->isMeasured();
        }
        $before = $this->base->computed($value, $place, $parts);

        return $before instanceof Given && $before->basis->isMeasured();
    }

    /**
     * What stands keeps its own level where something is changed, and moves as far as the change would move it.
     *
     * @param array<string, string> $parts
     */
    private function followed(Given $stands, Value $value, string $place, array $parts): Given
    {
        if ($this->base === null || $stands->basis === Basis::Changed) {
            return $stands;
        }
        if ($value->column !== null && $value->column->movesWith !== []) {
            $moved = $this->movedWith($value->column->movesWith, $place, $this->base);
        } elseif ($value->ways === []) {
            $moved = null;
        } else {
            $before = $this->base->computed($value, $place, $parts);
            $after = $this->computed($value, $place, $parts);
            if (!$before instanceof Given || !$after instanceof Given) {
                return $stands->doubted(
                    $this->isReached($value, $place, $parts) ? 'How far the change moves it is not known, or not worked out yet.' : null,
                );
            }
            $moved = $before->value->base === $after->value->base ? null : $after->value->minus($before->value);
        }

        return $moved === null ? $stands : new Given(
            $stands->value->plus($moved), $stands->origin.', moved as the change would move it', Basis::Changed, $stands->doubt,
        );
    }

    /**
     * Whether anything that a value follows from is changed, near or far.
     *
     * @param array<string, string> $parts
     */
    private function isReached(Value $value, string $place, array $parts): bool
    {
        $key = $place.'/'.$value->name.'/'.$value->index->join($parts);
        if (isset($this->reached[$key])) {
            return $this->reached[$key];
        }
        $this->reached[$key] = false; // while its ways are followed: a value does not follow from itself
        foreach ($value->ways as $way) {
            foreach ($way->same === null ? $way->inputs : [$way->same] as $from) {
                $other = $this->sheets->value($from->name);
                $site = $this->siteOf($place, $other->site);
                $index = $this->indexOf($from, $value, $parts);
                $own = $site === '' ? null : $other->index->split($index, $this->case->engine);
                if (
                    $own !== null
                    && ($this->change->of($site, $other->name, $index) !== null || $this->isReached($other, $site, $own))
                ) {
                    return $this->reached[$key] = true;
                }
            }
        }

        return false;
    }

    /** @param array<string, int> $names */
    private function movedWith(array $names, string $place, self $base): ?Uncertain
    {
        $moved = null;
        foreach ($names as $name => $direction) {
            $by = $this->shiftOf($name, $place, $base);
            if ($by !== null) {
                $by = $direction > 0 ? $by : $by->scaled(-1);
                $moved = $moved === null ? $by : $moved->plus($by);
            }
        }

        return $moved;
    }

    /** How far a value is moved by what is changed. One that nobody recorded is moved all the same: by what is added to it. */
    private function shiftOf(string $name, string $place, self $base): ?Uncertain
    {
        $before = $base->value($place, $name);
        $after = $this->value($place, $name);
        if ($before instanceof Given && $after instanceof Given && $before->value->base !== $after->value->base) {
            return $after->value->minus($before->value);
        }
        [$isAdded, $quantity] = $this->change->of($place, $name, null) ?? [false, null];
        if ($isAdded && $quantity !== null) {
            return Uncertain::exact($quantity);
        }
        $value = $this->sheets->value($name);
        $with = $value->column->movesWith ?? [];
        foreach ($value->ways as $way) {
            $with += $with === [] && $way->same !== null ? [$way->same->name => 1] : [];
        }

        return $with === [] ? null : $this->movedWith($with, $place, $base);
    }
}
