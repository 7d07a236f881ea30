<?php

declare(strict_types=1);

namespace MuteTapper\App\Evidence;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Photograph\Photograph;
use MuteTapper\Core\Assessment\EntryContent;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\BuildPart;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\FillState;
use MuteTapper\Core\Entry\SeenState;
use MuteTapper\Core\Entry\Severity;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Entry\Standing;
use MuteTapper\Core\Photograph\Annotation;
use MuteTapper\Core\Photograph\Shape;
use MuteTapper\Core\Quantity\EntryParser;
use MuteTapper\Core\Quantity\NotUnderstood;
use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Columns;
use MuteTapper\Core\Spring\SheetColumn;

/** Turns what a person typed into the content of an entry: reads figures, checks signs, adds the gauge's worth. */
final readonly class EntryPreparer
{
    public const CLAIMED = 'claimed.';
    public const CLAIMED_WORDS = 'claimed.words';

    public function __construct(private KnowledgeFiles $knowledge, private EntityManagerInterface $entities)
    {
    }

    /**
     * @throws BadDocument
     * @throws NotUnderstood
     */
    public function prepare(Entry $typed, Engine $engine, UnitSystem $units): Entry
    {
        CaseFile::checkPlace($typed, $engine);
        $data = $typed->node();
        $prepared = new Entry(
            $typed->id, $typed->kind, $typed->slot, $typed->supersedes, $typed->reason, $typed->by, $typed->at, $this->knowledge->current()->hash,
            match ($typed->kind) {
                EntryKind::Reading => $this->reading($typed->slot, $data, $engine, $units),
                EntryKind::Claim => $this->claim($typed->slot, $data, $engine, $units),
                EntryKind::Finding => $this->finding($typed, $data, $engine),
                EntryKind::Look => $this->look($typed, $data, $engine),
                EntryKind::Photograph => $this->photograph($data),
                EntryKind::Withdrawal => [],
                default => $this->content($typed, $data, $engine, $units),
            },
        );
        CaseFile::checkEntry($prepared, $engine);

        return $prepared;
    }

    /** @return array<string, mixed> */
    private function reading(Slot $slot, Node $data, Engine $engine, UnitSystem $units): array
    {
        $item = $slot->item;
        $column = Columns::find($item) ?? throw BadDocument::at('/slot/item', sprintf('“%s” is not a reading of any sheet.', $item));
        if (!in_array($slot->place, $engine->sites($column->site()), true)) {
            throw BadDocument::at('/slot/place', sprintf('each %s has its own %s; “%s” is none.', $column->site()->value, $column->label(), $slot->place));
        }
        $code = $data->maybe('gauge')?->word() ?? $column->gauge();
        $gauge = $this->knowledge->current()->gauges[$code] ?? throw BadDocument::at('/data/gauge', sprintf('there is no gauge “%s” in the library.', $code));
        $content = $this->figure($data, 'text', 'value', $column->range(), $units) + ['gauge' => $gauge->toArray()] + (($data->maybe('received')?->flag() ?? false) ? ['received' => true] : []);
        if ($column->isAtHeight()) {
            if (!$data->has('atText')) {
                throw BadDocument::at('/data/atText', 'a load needs the height at which it was taken: type the test height in the head of the column first.');
            }
            $content += $this->figure($data, 'atText', 'at', SheetColumn::testHeightRange(), $units);
        }

        return $content;
    }

    /** @return array<string, mixed> */
    private function claim(Slot $slot, Node $data, Engine $engine, UnitSystem $units): array
    {
        $item = $slot->item;
        if ($item === self::CLAIMED_WORDS) {
            $part = BuildPart::tryFrom($slot->part);
            if ($part === null || !$part->isFittedTo($engine)) {
                throw BadDocument::at('/slot/part', sprintf('this engine has no “%s” that could be claimed.', $slot->part));
            }
            $standing = $data->maybe('standing')?->choice(Standing::class) ?? Standing::Said;

            return ['standing' => $standing->value] + ($standing === Standing::Unknown ? [] : ['words' => $data->get('words')->word(1000)]);
        }
        $column = str_starts_with($item, self::CLAIMED) ? Columns::find(substr($item, strlen(self::CLAIMED))) : null;
        if ($column === null || !$column->isClaimable()) {
            throw BadDocument::at('/slot/item', sprintf('“%s” is not a figure of the build as claimed.', $item));
        }
        $standing = $data->maybe('standing')?->choice(Standing::class) ?? Standing::Said;
        $content = ['standing' => $standing->value];
        if ($standing === Standing::Unknown) {
            return $content;
        }
        $content += $this->figure($data, 'text', 'value', $column->range(), $units);
        if ($column->isAtHeight()) {
            if (!$data->has('atText')) {
                throw BadDocument::at('/data/atText', 'a claimed load needs its height: write it as “115 lb at 1.800 in”.');
            }
            $content += $this->figure($data, 'atText', 'at', SheetColumn::testHeightRange(), $units);
        }

        return $content;
    }

    /** @return array<string, mixed> */
    private function finding(Entry $entry, Node $data, Engine $engine): array
    {
        $sign = $this->knowledge->current()->signs[$entry->slot->item] ?? throw BadDocument::at('/slot/item', sprintf('the catalogue has no sign “%s”.', $entry->slot->item));
        $part = Part::tryFrom($entry->slot->part);
        if ($part === null || !in_array($part, $sign->parts, true)) {
            throw BadDocument::at('/slot/part', sprintf('“%s” is not seen on the %s.', $sign->name, $entry->slot->part));
        }
        if ($sign->bench !== null) {
            throw BadDocument::at('/slot/item', sprintf('“%s” comes from the spring sheet: enter the readings there.', $sign->name));
        }
        if ($engine->siteOf($entry->slot->place, $part->site()) === null) {
            throw BadDocument::at('/slot/place', sprintf('the %s is not looked at in “%s”.', $part->label($engine), $entry->slot->place));
        }
        if ($sign->needsFill && !$data->has('fill')) {
            throw BadDocument::at('/data/fill', sprintf('“%s” says nothing without the state of the element: filled or drained.', $sign->name));
        }

        return array_filter([
            'severity' => $data->get('severity')->choice(Severity::class)->value,
            'state' => ($data->maybe('state')?->choice(SeenState::class) ?? SeenState::AsFound)->value,
            'sureness' => $data->maybe('sureness')?->number(),
            'fill' => $data->maybe('fill')?->choice(FillState::class)->value,
            'note' => $data->maybe('note')?->text(4000),
        ], static fn (mixed $value): bool => $value !== null && $value !== '');
    }

    /** @return array<string, mixed> */
    private function look(Entry $entry, Node $data, Engine $engine): array
    {
        $part = Part::tryFrom($entry->slot->part);
        if ($part === null || !$part->isFittedTo($engine) || $entry->slot->item !== 'look') {
            throw BadDocument::at('/slot/part', sprintf('this engine has no “%s” to look at.', $entry->slot->part));
        }

        return ['state' => ($data->maybe('state')?->choice(SeenState::class) ?? SeenState::AsFound)->value];
    }

    /** @throws BadDocument when the catalogue does not have it */
    private function sign(Node $code): string
    {
        return isset($this->knowledge->current()->signs[$code->word()]) ? $code->word() : throw BadDocument::at($code->pointer, sprintf('the catalogue has no sign “%s”.', $code->word()));
    }

    /** @return array<string, mixed> */
    private function content(Entry $typed, Node $data, Engine $engine, UnitSystem $units): array
    {
        if ($typed->kind === EntryKind::Annotation && $data->has('points')) {
            return $this->annotation($data, $units);
        }
        if ($typed->kind === EntryKind::Answer) {
            $question = $this->knowledge->current()->questions[$typed->slot->item] ?? throw BadDocument::at('/slot/item', sprintf('there is no question “%s”.', $typed->slot->item));
            $choice = $data->get('choice')->word(80);
            if (!isset($question->choices[$choice])) {
                throw BadDocument::at('/data/choice', sprintf('“%s” is no answer to “%s”.', $choice, $question->ask));
            }
            if (!in_array($typed->slot->place, $engine->sites($question->site), true)) {
                throw BadDocument::at('/slot/place', sprintf('“%s” is asked of each %s.', $question->ask, $question->site->value));
            }
        }

        return EntryContent::normal($typed->kind, $data) ?? throw new \LogicException('No content for '.$typed->kind->value);
    }

    /** @return array<string, mixed> points and typed distance, as the W3C describes an annotation */
    private function annotation(Node $data, UnitSystem $units): array
    {
        $shape = $data->get('shape')->choice(Shape::class);
        $known = null;
        if ($shape === Shape::Scale) {
            $known = (new EntryParser($units))->parse($data->maybe('text')?->text(40) ?? '', new PlausibleRange(Quantity::of(0.1, Unit::Millimetre), Quantity::of(2000, Unit::Millimetre)));
        }
        $points = array_map(static function (Node $point): array {
            $xy = $point->items();

            return count($xy) === 2 ? [$xy[0]->number(), $xy[1]->number()] : throw BadDocument::at($point->pointer, 'a point is two numbers.');
        }, $data->get('points')->items());

        return Annotation::of($data->get('sha256')->word(64), $shape, $points, trim($data->maybe('words')?->text(1000) ?? ''), $known)->toArray();
    }

    /** @return array<string, mixed> */
    private function photograph(Node $data): array
    {
        $sha = $data->get('sha256')->word(64);
        if ($this->entities->find(Photograph::class, $sha) === null) {
            throw BadDocument::at('/data/sha256', 'this photograph has not been received yet: upload it first.');
        }

        return [
            'sha256' => $sha,
            'caption' => $data->maybe('caption')?->text(400) ?? '',
            ...($data->has('about') ? ['about' => $this->sign($data->get('about'))] : []),
            'state' => ($data->maybe('state')?->choice(SeenState::class) ?? SeenState::AsFound)->value,
        ];
    }

    /** @return array<string, mixed> what was typed, and the quantity it means */
    private function figure(Node $data, string $textKey, string $key, PlausibleRange $range, UnitSystem $units): array
    {
        $text = $data->get($textKey)->text(200);
        $typed = (new EntryParser($units))->parse($text, $range);

        return [$textKey => trim($text), $key => ['number' => $typed->number, 'unit' => $typed->unit->value, 'decimals' => $typed->decimals]];
    }
}
