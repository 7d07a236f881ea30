<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Calculation\NoneSolved;
use MuteTapper\Core\Calculation\Solutions;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Settings;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\EntryLog;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Quantity\EntryParser;
use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Column;

/** Builds made-up cases for the tests, a line a recorded thing. */
final class Example
{
    private static ?Knowledge $knowledge = null;

    /** @var list<Entry> */
    private array $entries = [];
    private int $count = 0;
    /** @var list<string> */
    private array $failed = [];

    /** @param array<string, mixed> $engine */
    public function __construct(
        private readonly array $engine,
        private readonly string $school = 'usual',
        private readonly UnitSystem $units = UnitSystem::Inch,
    ) {
    }

    public static function pushrodEight(string $school = 'usual'): self
    {
        return new self(['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8, 'rocker_ratio' => 1.5], $school);
    }

    public static function bucketFour(): self
    {
        return new self(['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4]);
    }

    public static function hydraulicRollerEight(): self
    {
        return new self(
            ['layout' => 'vee', 'drive' => 'pushrod', 'face' => 'roller', 'lash' => 'hydraulic', 'cylinders' => 8, 'rocker_ratio' => 1.6],
        );
    }

    public static function knowledge(): Knowledge
    {
        return self::$knowledge ??= Knowledge::fromArray(self::files());
    }

    /** @return array<string, mixed> what the trade knows, as it is written down */
    public static function files(): array
    {
        $files = [];
        foreach (Knowledge::FILES as $name) {
            $files[$name] = json_decode(
                (string) file_get_contents(dirname(__DIR__, 2)."/core/Knowledge/$name.json"), true, 64, \JSON_THROW_ON_ERROR,
            );
        }

        return $files;
    }

    /** @param Solutions $solutions of what takes long; none, where a test is not about them */
    public function bench(Solutions $solutions = new NoneSolved()): Bench
    {
        return Bench::of($this->case(), AllSheets::get(), self::knowledge(), $solutions);
    }

    public function engine(): Engine
    {
        return Engine::fromNode(Node::root($this->engine));
    }

    public function sees(string $place, string $part, string $sign, int $severity, string $state = 'as_found'): self
    {
        return $this->add('finding', $place, $part, $sign, null, ['severity' => $severity, 'state' => $state]);
    }

    /** A sign by its code alone, at these places or at the engine: on the first of its parts that this engine has. */
    public function shows(string $sign, int $severity, string ...$places): self
    {
        $of = self::knowledge()->signs[$sign] ?? throw new \LogicException('No sign '.$sign);
        foreach ($of->isFromBench() ? [] : $of->parts as $part) {
            if ($part->isFittedTo($this->engine())) {
                foreach ($places === [] ? ['engine'] : $places as $place) {
                    $this->sees($place, $part->value, $sign, $severity);
                }

                return $this;
            }
        }
        throw new \LogicException('Nobody can see it on this engine: '.$sign);
    }

    /** The same case, in which something else was recorded of some slots. */
    public function but(\Closure $change): self
    {
        $other = clone $this;
        $before = count($other->entries);
        $change($other);
        $slots = [];
        foreach (array_slice($other->entries, $before) as $entry) {
            $slots[$entry->slot->key()] = true;
        }
        $kept = array_filter(
            array_slice($other->entries, 0, $before), static fn (Entry $entry): bool => !isset($slots[$entry->slot->key()]),
        );
        $other->entries = [...array_values($kept), ...array_slice($other->entries, $before)];

        return $other;
    }

    public function hasSaid(string $place, string $part): bool
    {
        return array_filter(
            $this->entries, static fn (Entry $entry): bool => $entry->slot->place === $place && $entry->slot->part === $part,
        ) !== [];
    }

    /** Without what was recorded of these signs, columns or questions. */
    public function without(string ...$items): self
    {
        $other = clone $this;
        $other->entries = array_values(
            array_filter($other->entries, static fn (Entry $entry): bool => !in_array($entry->slot->item, $items, true)),
        );

        return $other;
    }

    /**
     * A failure that showed the same symptom again, and how components went into it.
     *
     * @param array<string, string> $components state by component
     */
    public function failsAgain(string $date, array $components): self
    {
        return $this->event($date, ['what' => 'failure', 'date' => $date, 'sameSymptom' => true], $components);
    }

    /**
     * A run without trouble.
     *
     * @param array<string, string> $components state by component
     */
    public function runsSound(string $date, array $components): self
    {
        return $this->event($date, ['what' => 'run', 'date' => $date], $components);
    }

    /**
     * @param array<string, mixed> $event
     * @param array<string, string> $components
     */
    private function event(string $date, array $event, array $components): self
    {
        $this->add('event', 'engine', 'timeline', 'event', $date, $event);
        foreach ($components as $component => $state) {
            $this->add('carry', 'engine', 'timeline', 'carry.'.$component, $date, ['state' => $state]);
        }

        return $this;
    }

    /** Stations that the customer reported failed. */
    public function failed(string ...$stations): self
    {
        $this->failed = array_values($stations);

        return $this;
    }

    public function looks(string $place, string ...$parts): self
    {
        foreach ($parts as $part) {
            $this->add('look', $place, $part, 'look', null, ['state' => 'as_found']);
        }

        return $this;
    }

    public function measures(
        string $place,
        string $column,
        string $text,
        ?string $at = null,
        string $coil = 'outer',
        ?string $gauge = null,
    ): self {
        $of = self::column($column);
        $data = ['value' => self::typed($text, $of->range), 'gauge' => self::knowledge()->gauges[$gauge ?? $of->gauge]->toArray()];
        if (null !== $at) {
            $data['at'] = self::typed($at, Column::testHeightRange());
        }
        $slot = $of->slot($place, $of->index->has(Axis::Coil) ? $coil : null);

        return $this->add('reading', $slot->place, $slot->part, $slot->item, $slot->index, $data);
    }

    public function claims(string $place, string $column, string $text, ?string $at = null, string $coil = 'outer'): self
    {
        $of = self::column($column);
        $data = ['standing' => 'known', 'value' => self::typed($text, $of->range)];
        if (null !== $at) {
            $data['at'] = self::typed($at, Column::testHeightRange());
        }
        $slot = $of->claimSlot($place, $of->index->has(Axis::Coil) ? $coil : null);

        return $this->add('claim', $slot->place, $slot->part, $slot->item, $slot->index, $data);
    }

    /** A figure or limit of the maker. */
    public function makers(string $place, Part $part, string $item, float $number, Unit $unit): self
    {
        return $this->add(
            'claim', $place, $part->value, 'maker.'.$item, null,
            ['standing' => 'known', 'value' => ['number' => $number, 'unit' => $unit->value, 'decimals' => 4]],
        );
    }

    public function case(bool $backwards = false): CaseFile
    {
        return new CaseFile(
            $this->engine(), new Settings($this->units, $this->school),
            EntryLog::of($backwards ? array_reverse($this->entries) : $this->entries), $this->failed,
        );
    }

    /** A reading of any sheet, under an index where there are several. */
    public function tests(string $place, string $column, string $text, ?string $index = null, string $at = '2026-11-25T10:00:00Z'): self
    {
        $of = self::column($column);
        $slot = $of->slot($place, $index);

        return $this->add(
            'reading', $slot->place, $slot->part, $slot->item, $slot->index,
            ['value' => self::typed($text, $of->range), 'gauge' => self::knowledge()->gauges[$of->gauge]->toArray()], $at,
        );
    }

    public function answers(string $place, string $question, string $choice): self
    {
        return $this->add('answer', $place, self::knowledge()->questions[$question]->part->value, $question, null, ['choice' => $choice]);
    }

    /** @param array<string, mixed> $data */
    public function records(EntryKind $kind, Slot $slot, array $data): self
    {
        return $this->add($kind->value, $slot->place, $slot->part, $slot->item, $slot->index, $data);
    }

    /** @param array<string, mixed> $data */
    public function recordsAt(EntryKind $kind, Slot $slot, array $data, string $at): self
    {
        return $this->add($kind->value, $slot->place, $slot->part, $slot->item, $slot->index, $data, $at);
    }

    /** @param array<string, mixed> $data */
    private function add(
        string $kind,
        string $place,
        string $part,
        string $item,
        ?string $index,
        array $data,
        string $at = '2026-11-25T10:00:00Z',
    ): self {
        $this->entries[] = Entry::fromNode(Node::root([
            'id' => sprintf('01900000-0000-7000-8000-%012d', ++$this->count),
            'kind' => $kind,
            'slot' => ['place' => $place, 'part' => $part, 'item' => $item, 'index' => $index],
            'by' => 'tests',
            'at' => $at,
            'data' => $data,
        ]));

        return $this;
    }

    private static function column(string $code): Column
    {
        return AllSheets::get()->columns[$code] ?? throw new \LogicException('No column '.$code);
    }

    /** @return array{number: float, unit: string, decimals: int} */
    private static function typed(string $text, PlausibleRange $range): array
    {
        $typed = (new EntryParser(UnitSystem::Inch))->parse($text, $range);

        return ['number' => $typed->number, 'unit' => $typed->unit->value, 'decimals' => $typed->decimals];
    }
}
