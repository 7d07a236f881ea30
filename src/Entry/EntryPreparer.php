<?php

declare(strict_types=1);

namespace MuteTapper\App\Entry;

use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\PicturesOfCases;
use MuteTapper\App\Record\StoredEntries;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\EntryContent;
use MuteTapper\Core\Assessment\EntryForm;
use MuteTapper\Core\Assessment\EntryRules;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Entry\Claim;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\FillState;
use MuteTapper\Core\Entry\MeasuredLift;
use MuteTapper\Core\Entry\PartTag;
use MuteTapper\Core\Entry\SeenState;
use MuteTapper\Core\Entry\Severity;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Entry\Standing;
use MuteTapper\Core\Entry\SweptCurve;
use MuteTapper\Core\Entry\TypedReading;
use MuteTapper\Core\Motion\LiftTable;
use MuteTapper\Core\Photograph\Annotation;
use MuteTapper\Core\Photograph\Shape;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\EntryParser;
use MuteTapper\Core\Quantity\NotUnderstood;
use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Typed;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Timeline\EarlierCase;
use MuteTapper\Core\Timeline\Event;
use MuteTapper\Core\Timeline\StoodPart;

/** Turns what a person typed into the content of an entry: reads figures, checks signs, adds the gauge's worth. */
final readonly class EntryPreparer
{
    private const MOST_TEXT = 200;
    /** A sweep comes from such a gauge where nothing else is said. */
    private const TESTER = 'spring_tester';
    private const INDICATOR = 'dial_indicator';

    private EntryForm $form;

    public function __construct(
        private KnowledgeFiles $knowledge,
        private Cases $cases,
        private PicturesOfCases $pictures,
        private StoredEntries $entries,
    ) {
        $this->form = new EntryForm(AllSheets::get());
    }

    /**
     * @throws BadDocument
     * @throws NotUnderstood
     */
    public function prepare(Entry $typed, CaseRecord $case): Entry
    {
        $engine = $this->cases->engine($case);
        if ($typed->kind !== EntryKind::Withdrawal) {
            $this->form->checkPlace($typed, $engine);
        }
        $prepared = new Entry(
            $typed->id, $typed->kind, $typed->slot, $typed->supersedes, $typed->reason, $typed->by, $typed->at,
            $this->knowledge->shipped()->hash, // what was listed; a shop's limits and links list nothing
            $this->prepared($typed, $case, $engine, $this->cases->settings($case)->units),
        );
        (new EntryRules($this->knowledge->current(), $this->form))->checkNew($prepared, $engine);

        return $prepared;
    }

    /** @return array<string, mixed> */
    private function prepared(Entry $typed, CaseRecord $case, Engine $engine, UnitSystem $units): array
    {
        $data = $typed->node();
        try {
            return match ($typed->kind) {
                EntryKind::Reading => $this->reading($typed->slot, $data, $engine, $units),
                EntryKind::Claim => $this->claim($typed->slot, $data, $engine, $units),
                EntryKind::Finding => self::finding($data),
                EntryKind::Sweep => $this->sweep($data),
                EntryKind::Lift => $this->lift($data),
                EntryKind::Event => $this->event($data, $case),
                EntryKind::Tag => $this->tag($typed->slot, $data, $case, $engine),
                EntryKind::Look => ['state' => ($data->maybe('state')?->choice(SeenState::class) ?? SeenState::AsFound)->value],
                EntryKind::Photograph => $this->photograph($data, $case),
                EntryKind::Withdrawal => [],
                default => $this->content($typed, $data, $units),
            };
        } catch (BadDocument $problem) {
            // What stands in the content is named by its place in the entry.
            $isPlaced = str_starts_with($problem->pointer, '/slot') || str_starts_with($problem->pointer, '/data');
            throw $isPlaced ? $problem : BadDocument::at('/data'.$problem->pointer, $problem->reason);
        }
    }

    /** @return array<string, mixed> */
    private function reading(Slot $slot, Node $data, Engine $engine, UnitSystem $units): array
    {
        $column = $this->form->columnOf($slot, $engine);
        $code = $data->maybe('gauge')?->word() ?? $column->gauge;
        $gauge = $this->knowledge->gauge($code)
            ?? throw BadDocument::at('/data/gauge', sprintf('there is no gauge “%s” in the library.', $code));
        $text = trim($data->get('text')->text(self::MOST_TEXT));
        $typed = TypedReading::of($text, $column->range, new EntryParser($units));
        if ($typed->figure === null) {
            return ['text' => $text, 'notMeasurable' => $typed->none?->value];
        }
        $content = ['text' => $text, 'value' => self::quantity($typed->figure), 'gauge' => $gauge->toArray()]
            + ($typed->kept === null ? [] : ['kept' => $typed->kept]);

        return $content + (($data->maybe('received')?->flag() ?? false) ? ['received' => true] : [])
            + $this->height(
                $column, $data, $units,
                'a load needs the height at which it was taken: type the test height in the head of the column first.',
            );
    }

    /** @return array<string, mixed> */
    private function claim(Slot $slot, Node $data, Engine $engine, UnitSystem $units): array
    {
        $standing = $data->maybe('standing')?->choice(Standing::class) ?? Standing::Said;
        $content = ['standing' => $standing->value];
        if ($slot->item === Claim::WORDS) {
            return $content + ($standing === Standing::Unknown ? [] : ['words' => $data->get('words')->word(1000)]);
        }
        $value = $this->form->claimed($slot, $engine);
        if ($standing === Standing::Unknown) {
            return $content;
        }
        $column = $value->column;
        if ($column === null) {
            return $content + $this->figure(
                $data, 'text', 'value',
                PlausibleRange::any($value->dimension), $units,
            );
        }

        return $content + $this->figure($data, 'text', 'value', $column->range, $units)
            + $this->height($column, $data, $units, 'a claimed load needs its height: write it as “115 lb at 1.800 in”.');
    }

    /** @return array<string, mixed> */
    private function height(Column $column, Node $data, UnitSystem $units, string $needed): array
    {
        if (!$column->isAtHeight) {
            return [];
        }

        return $data->has('atText')
            ? $this->figure($data, 'atText', 'at', Column::testHeightRange(), $units)
            : throw BadDocument::at('/data/atText', $needed);
    }

    /** @return array<string, mixed> */
    private function sweep(Node $data): array
    {
        return SweptCurve::fromNode($this->gauged($data, self::TESTER, Dimension::Force, 'loads'))->toArray();
    }

    /** @return array<string, mixed> */
    private function lift(Node $data): array
    {
        $lift = MeasuredLift::fromNode($this->gauged($data, self::INDICATOR, Dimension::Length, 'lengths'));
        try {
            LiftTable::of($lift);
        } catch (Contradiction $contradiction) {
            throw BadDocument::at('/points', $contradiction->getMessage());
        }

        return $lift->toArray();
    }

    /** The content with the gauge that took it, as the library has it today. */
    private function gauged(Node $data, string $usual, Dimension $dimension, string $what): Node
    {
        $code = $data->maybe('gauge')?->word() ?? $usual;
        $gauge = $this->knowledge->gauge($code)
            ?? throw BadDocument::at('/data/gauge', sprintf('there is no gauge “%s” in the library.', $code));
        if ($gauge->unit->dimension() !== $dimension) {
            throw BadDocument::at('/data/gauge', sprintf('“%s” reads no %s.', $gauge->label, $what));
        }

        return Node::root(['gauge' => $gauge->toArray()] + $data->map());
    }

    /**
     * An event of which the shop has a case takes with it the tags of the parts that stand there today. A case that is not here, such
     * as one that was taken in from another shop, stays as it was told.
     *
     * @return array<string, mixed>
     */
    private function event(Node $data, CaseRecord $case): array
    {
        $event = Event::fromNode($data);
        if ($event->earlier === null) {
            return $event->toArray();
        }
        if ($event->earlier->id === $case->id) {
            throw BadDocument::at('/data/earlier/case', 'an event is not of the case that it stands in.');
        }
        $earlier = $this->cases->find($event->earlier->id);
        if ($earlier === null) {
            return $event->earlier->parts === []
                ? throw BadDocument::at('/data/earlier/case', 'there is no such case here.') : $event->toArray();
        }
        $parts = array_map(StoodPart::of(...), $this->cases->file($earlier)->log->standing(EntryKind::Tag));

        return $event->with(new EarlierCase($earlier->id, $earlier->name, $parts))->toArray();
    }

    /**
     * A tag is of one part: that stands at one place of an engine, and is a part of one kind wherever it stood.
     *
     * @return array<string, mixed>
     */
    private function tag(Slot $slot, Node $data, CaseRecord $case, Engine $engine): array
    {
        $tag = PartTag::fromNode($data);
        foreach ($this->entries->tagged($tag->tag) as ['case' => $of, 'entry' => $other]) {
            if ($other->slot->part !== $slot->part) {
                throw BadDocument::at('/data/tag', sprintf('“%s” is the tag of a %s.', $tag->tag, $other->slot->part));
            }
            if ($of === $case->id && $other->slot->key() !== $slot->key()) {
                throw BadDocument::at('/data/tag', sprintf(
                    '“%s” stands at %s already: take it from there first.', $tag->tag,
                    $engine->placeLabel($other->slot->place) ?? $other->slot->place,
                ));
            }
        }

        return $tag->toArray();
    }

    /** @return array<string, mixed> */
    private static function finding(Node $data): array
    {
        return array_filter([
            'severity' => $data->get('severity')->choice(Severity::class)->value,
            'state' => ($data->maybe('state')?->choice(SeenState::class) ?? SeenState::AsFound)->value,
            'sureness' => $data->maybe('sureness')?->number(),
            'fill' => $data->maybe('fill')?->choice(FillState::class)->value,
            'note' => $data->maybe('note')?->text(4000),
        ], static fn (mixed $value): bool => $value !== null && $value !== '');
    }

    /** @return array<string, mixed> */
    private function content(Entry $typed, Node $data, UnitSystem $units): array
    {
        if ($typed->kind === EntryKind::Annotation && $data->has('points')) {
            return $this->annotation($data, $units);
        }

        return EntryContent::normal($typed->kind, $data) ?? throw new \LogicException('No content for '.$typed->kind->value);
    }

    /** @return array<string, mixed> points and typed distance, as the W3C describes an annotation */
    private function annotation(Node $data, UnitSystem $units): array
    {
        $shape = $data->get('shape')->choice(Shape::class);
        $known = null;
        if ($shape === Shape::Scale) {
            $known = (new EntryParser($units))->parse(
                $data->maybe('text')?->text(40) ?? '',
                new PlausibleRange(Quantity::of(0.1, Unit::Millimetre), Quantity::of(2000, Unit::Millimetre)),
            );
        }
        $points = array_map(static function (Node $point): array {
            $xy = $point->items();

            return count($xy) === 2
                ? [$xy[0]->number(), $xy[1]->number()]
                : throw BadDocument::at($point->pointer, 'a point is two numbers.');
        }, $data->get('points')->items());

        return Annotation::of(
            $data->get('sha256')->word(64), $shape, $points, trim($data->maybe('words')?->text(1000) ?? ''), $known,
        )->toArray();
    }

    /** @return array<string, mixed> */
    private function photograph(Node $data, CaseRecord $case): array
    {
        $sha = $data->get('sha256')->word(64);
        if (!$this->pictures->has($case, $sha)) {
            throw BadDocument::at('/data/sha256', 'this photograph has not been received for this case yet: upload it first.');
        }

        return [
            'sha256' => $sha,
            'caption' => $data->maybe('caption')?->text(400) ?? '',
            ...($data->has('about') ? ['about' => $data->get('about')->word(80)] : []),
            'state' => ($data->maybe('state')?->choice(SeenState::class) ?? SeenState::AsFound)->value,
        ];
    }

    /** @return array<string, mixed> what was typed, and the quantity it means */
    private function figure(Node $data, string $textKey, string $key, PlausibleRange $range, UnitSystem $units): array
    {
        $text = $data->get($textKey)->text(self::MOST_TEXT);

        return [$textKey => trim($text), $key => self::quantity((new EntryParser($units))->parse($text, $range))];
    }

    /** @return array<string, mixed> */
    private static function quantity(Typed $typed): array
    {
        return ['number' => $typed->number, 'unit' => $typed->unit->value, 'decimals' => $typed->decimals];
    }
}
