<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Settings;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\EntryLog;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Quantity\EntryParser;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Spring\SheetColumn;

/** Builds made-up cases for the tests, a line a recorded thing. */
final class Example
{
    private static ?Knowledge $knowledge = null;

    /** @var list<Entry> */
    private array $entries = [];
    private int $count = 0;

    /** @param array<string, mixed> $engine */
    public function __construct(private readonly array $engine, private readonly string $school = 'usual')
    {
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
        return new self(['layout' => 'vee', 'drive' => 'pushrod', 'face' => 'roller', 'lash' => 'hydraulic', 'cylinders' => 8, 'rocker_ratio' => 1.6]);
    }

    public static function knowledge(): Knowledge
    {
        if (null === self::$knowledge) {
            $files = [];
            foreach (['signs', 'causes', 'events', 'limits', 'gauges', 'questions', 'steps'] as $name) {
                $files[$name] = json_decode((string) file_get_contents(dirname(__DIR__, 2)."/core/knowledge/$name.json"), true, 64, \JSON_THROW_ON_ERROR);
            }
            self::$knowledge = Knowledge::fromArray($files);
        }

        return self::$knowledge;
    }

    public function engine(): Engine
    {
        return Engine::fromNode(Node::root($this->engine));
    }

    public function sees(string $place, string $part, string $sign, int $severity, string $state = 'as_found'): self
    {
        return $this->add('finding', $place, $part, $sign, null, ['severity' => $severity, 'state' => $state]);
    }

    public function looks(string $place, string ...$parts): self
    {
        foreach ($parts as $part) {
            $this->add('look', $place, $part, 'look', null, ['state' => 'as_found']);
        }

        return $this;
    }

    public function measures(string $place, SheetColumn $column, string $text, ?string $at = null, string $coil = 'outer', ?string $gauge = null): self
    {
        $data = ['value' => self::typed($text, $column), 'gauge' => self::knowledge()->gauges[$gauge ?? $column->gauge()]->toArray()];
        if (null !== $at) {
            $data['at'] = self::typed($at, $column, true);
        }
        $slot = $column->slot($place, $coil);

        return $this->add('reading', $slot->place, $slot->part, $slot->item, $slot->index, $data);
    }

    public function claims(string $place, SheetColumn $column, string $text, ?string $at = null): self
    {
        $data = ['standing' => 'known', 'value' => self::typed($text, $column)];
        if (null !== $at) {
            $data['at'] = self::typed($at, $column, true);
        }
        $slot = $column->slot($place, 'outer');

        return $this->add('claim', $slot->place, $slot->part, 'claimed.'.$slot->item, $slot->index, $data);
    }

    public function case(bool $backwards = false): CaseFile
    {
        return new CaseFile($this->engine(), new Settings(UnitSystem::Inch, $this->school), EntryLog::of($backwards ? array_reverse($this->entries) : $this->entries));
    }

    /** A reading of any sheet, under an index where there are several. */
    public function tests(string $place, Column $column, string $text, ?string $index = null, string $at = '2026-11-25T10:00:00Z'): self
    {
        $data = ['value' => self::typed($text, $column), 'gauge' => self::knowledge()->gauges[$column->gauge()]->toArray()];

        return $this->add('reading', $place, $column->part()->value, $column->code(), $index, $data, $at);
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
    private function add(string $kind, string $place, string $part, string $item, ?string $index, array $data, string $at = '2026-11-25T10:00:00Z'): self
    {
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

    /** @return array{number: float, unit: string, decimals: int} */
    private static function typed(string $text, Column $column, bool $height = false): array
    {
        $typed = (new EntryParser(UnitSystem::Inch))->parse($text, $height ? SheetColumn::testHeightRange() : $column->range());

        return ['number' => $typed->number, 'unit' => $typed->unit->value, 'decimals' => $typed->decimals];
    }
}
