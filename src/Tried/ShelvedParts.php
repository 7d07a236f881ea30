<?php

declare(strict_types=1);

namespace MuteTapper\App\Tried;

use MuteTapper\App\Library\Library;
use MuteTapper\App\Library\Shelf;
use MuteTapper\App\Library\ShelvedVersion;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Quantity\EntryParser;
use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\Sheets;

/** The springs and lobes of the library, laid beside an engine by their makers’ figures, so that they can be tried in it. */
final readonly class ShelvedParts
{
    private const PLACE = 'shelf-';

    public function __construct(private Library $library)
    {
    }

    /** @return list<PartChoiceView> what stands on these shelves */
    public function choices(Shelf ...$shelves): array
    {
        $choices = [];
        foreach ($shelves as $shelf) {
            foreach ($this->library->on($shelf) as $one) {
                $choices[] = new PartChoiceView($shelf->part()->value ?? '', self::place($one), $one->name, true);
            }
        }

        return $choices;
    }

    /** The case with every such part of the library beside its engine; nothing of it is recorded. */
    public function beside(CaseFile $case, Sheets $sheets): CaseFile
    {
        $entries = [];
        foreach (Shelf::cases() as $shelf) {
            foreach ($shelf->part() === null ? [] : $this->library->on($shelf) as $one) {
                $content = Node::root($one->content);
                $parser = new EntryParser($content->maybe('units')?->choice(UnitSystem::class) ?? UnitSystem::Inch);
                foreach ($content->get('figures')->items() as $figure) {
                    $column = $sheets->columns[$figure->get('item')->word()] ?? null;
                    if ($column !== null) {
                        $entries[] = self::entry($one, $figure, $column, $parser);
                    }
                }
            }
        }

        return $case->with($case->log->beside($entries));
    }

    private static function place(ShelvedVersion $one): string
    {
        return self::PLACE.$one->shelf->value.'-'.$one->code;
    }

    private static function entry(ShelvedVersion $one, Node $figure, Column $column, EntryParser $parser): Entry
    {
        $index = $figure->maybe('index')?->word();
        $typed = static function (string $key, PlausibleRange $range) use ($figure, $parser): array {
            $typed = $parser->parse($figure->get($key)->word(), $range);

            return ['number' => $typed->number, 'unit' => $typed->unit->value, 'decimals' => $typed->decimals];
        };
        $value = $typed('text', $column->range);

        return new Entry(
            implode(' ', [self::place($one), $column->code, $index ?? '']), EntryKind::Reading,
            new Slot(self::place($one), $column->part->value, $column->code, $index), null, null, $one->by, $one->at, null,
            [
                'value' => $value,
                'gauge' => [
                    'code' => self::place($one), 'label' => $one->name, 'unit' => $value['unit'], 'stated' => 'as its maker states it',
                    'repeat' => 0.5 * 10 ** -$value['decimals'],
                ],
            ] + ($column->isAtHeight ? ['at' => $typed('at', Column::testHeightRange())] : []),
        );
    }
}
