<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\Chain\ChainEdit;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Engine\BuildPart;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Claim;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Finding;
use MuteTapper\Core\Entry\Look;
use MuteTapper\Core\Entry\MeasuredLift;
use MuteTapper\Core\Entry\NotMeasurable;
use MuteTapper\Core\Entry\PartTag;
use MuteTapper\Core\Entry\Reading;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Entry\SweptCurve;
use MuteTapper\Core\Photograph\Annotation;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Reassembly\Joint;
use MuteTapper\Core\Reassembly\LineRecord;
use MuteTapper\Core\Reassembly\Outcome;
use MuteTapper\Core\Reassembly\Tightening;
use MuteTapper\Core\Remedy\Remedy;
use MuteTapper\Core\Remedy\Reuse;
use MuteTapper\Core\Remedy\Taken;
use MuteTapper\Core\Report\Issue;
use MuteTapper\Core\RunLog\LogUse;
use MuteTapper\Core\Schedule\LaboratoryReport;
use MuteTapper\Core\Schedule\Promise;
use MuteTapper\Core\Schedule\Task;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\Sheets;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Teardown\Custody;
use MuteTapper\Core\Teardown\Pieces;
use MuteTapper\Core\Teardown\StepOrder;
use MuteTapper\Core\Teardown\StepRecord;
use MuteTapper\Core\Timeline\Carry;
use MuteTapper\Core\Timeline\Event;

/**
 * What an entry must be to be read at all, whatever the catalogue of the day lists: it stands at a place of the engine, in a
 * slot of its kind, and its content can be read. A stored entry that is not so is shown as not read and harms no other.
 */
final readonly class EntryForm
{
    private const PHOTOGRAPH = 'photograph';

    public function __construct(private Sheets $sheets)
    {
    }

    /** @throws BadDocument */
    public function check(Entry $entry, Engine $engine): void
    {
        if ($entry->kind !== EntryKind::Withdrawal) {
            // What stands at a place that the engine does not have can still be taken back.
            $this->checkPlace($entry, $engine);
        }
        match ($entry->kind) {
            EntryKind::Reading => $this->reading($entry, $engine),
            EntryKind::Claim => $this->claim($entry, $engine),
            EntryKind::Look => $this->look($entry, $engine),
            EntryKind::Withdrawal => self::withdrawal($entry),
            default => self::ownSlot($entry, $engine),
        };
        $this->content($entry, $engine);
    }

    /** @throws BadDocument */
    public function checkPlace(Entry $entry, Engine $engine): void
    {
        if ($engine->placeLabel($entry->slot->place) === null) {
            throw BadDocument::at('/slot/place', sprintf('this engine has no place “%s”.', $entry->slot->place));
        }
    }

    /**
     * The column that a reading fills.
     *
     * @throws BadDocument
     */
    public function columnOf(Slot $slot, Engine $engine): Column
    {
        $column = $this->sheets->columns[$slot->item]
            ?? throw BadDocument::at('/slot/item', sprintf('“%s” is not a reading of any sheet.', $slot->item));
        $column->accept($slot->asFound(), $engine, false);

        return $column;
    }

    /**
     * The value that a claim states, and whether it is a figure of the build or a limit of the maker.
     *
     * @throws BadDocument
     */
    public function claimed(Slot $slot, Engine $engine): Value
    {
        if (str_starts_with($slot->item, Claim::CLAIMED)) {
            $column = $this->sheets->columns[substr($slot->item, strlen(Claim::CLAIMED))] ?? null;
            if ($column === null) {
                throw BadDocument::at('/slot/item', sprintf('“%s” is not a figure of the build as claimed.', $slot->item));
            }
            $column->accept($slot, $engine, true);

            return $this->sheets->value($column->code);
        }
        $name = preg_replace('/\.(least|most)$/', '', substr($slot->item, strlen(Claim::MAKER)));
        $isLimit = $slot->item !== Claim::MAKER.$name;
        $value = $this->sheets->values[$name] ?? null;
        if (
            !str_starts_with($slot->item, Claim::MAKER)
            || $value === null
            || ($isLimit ? !isset($this->sheets->judged[$name]) : $value->column === null)
        ) {
            throw BadDocument::at(
                '/slot/item',
                sprintf('“%s” is neither a figure of the build as claimed nor one of the maker.', $slot->item),
            );
        }

        return $value;
    }

    /** @throws BadDocument with the path of the field in the entry */
    private function content(Entry $entry, Engine $engine): void
    {
        try {
            match ($entry->kind) {
                EntryKind::Finding => Finding::of($entry),
                EntryKind::Look => Look::of($entry),
                EntryKind::Photograph => self::checksum($entry),
                EntryKind::Task => self::task($entry),
                EntryKind::Remedy => Remedy::of($entry)->change($engine, $this->sheets),
                // Read with their column above.
                EntryKind::Reading, EntryKind::Claim, EntryKind::Withdrawal => null,
                default => EntryContent::normal($entry->kind, $entry->node()),
            };
        } catch (BadDocument $problem) {
            throw BadDocument::at('/data'.$problem->pointer, $problem->reason);
        }
    }

    /** @throws BadDocument when an entry of this kind is never looked for where it stands */
    private static function ownSlot(Entry $entry, Engine $engine): void
    {
        $slot = $entry->slot;
        $index = $slot->index ?? '';
        $part = Part::tryFrom($slot->part);
        $own = match ($entry->kind) {
            EntryKind::Finding => $part === null ? null : new Slot($slot->place, $part->value, $slot->item, $slot->index),
            EntryKind::Answer => $part === null ? null : new Slot($slot->place, $part->value, $slot->item),
            EntryKind::Photograph => new Slot($slot->place, $slot->part, self::PHOTOGRAPH, $index),
            EntryKind::Annotation => new Slot($slot->place, $slot->part, Annotation::ITEM, $index),
            EntryKind::Event => Event::slot($index),
            EntryKind::Carry => ($component = Carry::componentOf($slot)) === null ? null : Carry::slot($component, $index),
            EntryKind::Log => LogUse::slot($entry->node()->maybe('sha256')?->text() ?? ''),
            EntryKind::Step => self::stepSlot($slot->item),
            EntryKind::Order => StepOrder::slot(),
            EntryKind::Pieces => $part === null ? null : new Slot($slot->place, $part->value, Pieces::ITEM, $slot->index),
            EntryKind::Sweep => $engine->station($slot->place) === null && Place::asLoose($slot->place) === null
                ? null : SweptCurve::slot($slot->place, $slot->index),
            EntryKind::Lift => $engine->station($slot->place) === null && Place::asKind($slot->place) === null
                ? null : MeasuredLift::slot($slot->place),
            EntryKind::Tag => $part === null ? null : PartTag::slot($slot->place, $part, $slot->index),
            EntryKind::Custody => $part === null ? null : Custody::slot($slot->place, $part),
            EntryKind::Task => Task::slot($index),
            EntryKind::Promise => Promise::slot(),
            EntryKind::Report => LaboratoryReport::slot($index),
            EntryKind::Issue => Issue::slot($index),
            EntryKind::Chain => self::chainSlot($entry),
            EntryKind::Remedy => Remedy::slot($index),
            EntryKind::Taken => Taken::slot(),
            EntryKind::Reuse => $part === null || !$part->isFittedTo($engine) ? null : Reuse::slot($slot->place, $part),
            EntryKind::Tightening => ($joint = Joint::tryFrom($index)) === null ? null : Tightening::slot($joint),
            EntryKind::Line => LineRecord::slot($slot->place, $index),
            EntryKind::Outcome => Outcome::slot($index),
            EntryKind::Reading, EntryKind::Claim, EntryKind::Look, EntryKind::Withdrawal => $slot,
        };
        if ($own === null || $own->index === '' || $own->toArray() !== $slot->toArray()) {
            throw BadDocument::at('/slot', sprintf('no %s is kept at %s.', $entry->kind->value, $slot->key()));
        }
    }

    /** Null where its content cannot be read: that is said of the content. */
    private static function chainSlot(Entry $entry): Slot
    {
        try {
            return ChainEdit::of($entry)->slot();
        } catch (BadDocument $problem) {
            throw BadDocument::at('/data'.$problem->pointer, $problem->reason);
        }
    }

    private static function stepSlot(string $item): ?Slot
    {
        $code = explode('.', $item, 2)[1] ?? '';

        return match (true) {
            $code === '' => null,
            $item === StepRecord::slot($code)->item => StepRecord::slot($code),
            $item === StepRecord::confirmation($code)->item => StepRecord::confirmation($code),
            default => null,
        };
    }

    /** @throws BadDocument */
    private static function withdrawal(Entry $entry): void
    {
        if ($entry->supersedes === null) {
            throw BadDocument::at('/supersedes', 'a withdrawal names the entry that it takes back.');
        }
    }

    /** @throws BadDocument */
    private static function task(Entry $entry): void
    {
        $before = array_search($entry->slot->index, Task::fromNode($entry->node())->after, true);
        if ($before !== false) {
            throw BadDocument::at('/after/'.$before, 'a task cannot come after itself.');
        }
    }

    /** @throws BadDocument */
    private static function checksum(Entry $entry): void
    {
        $sha256 = $entry->node()->get('sha256');
        if (preg_match('/^[0-9a-f]{64}$/', $sha256->word(64)) !== 1) {
            throw BadDocument::at('/sha256', sprintf('“%s” is not a SHA-256 checksum.', $sha256->word(64)));
        }
    }

    /** @throws BadDocument */
    private function reading(Entry $entry, Engine $engine): void
    {
        $column = $this->columnOf($entry->slot, $engine);
        if ($this->inData(static fn (): ?NotMeasurable => NotMeasurable::in($entry->node())) !== null) {
            return;
        }
        $reading = $this->inData(static fn (): Reading => Reading::of($entry));
        self::checkDimension($reading->typed->unit->dimension(), $column->dimension(), $column->label);
        if ($column->isAtHeight && $reading->at === null) {
            throw BadDocument::at('/data/at', sprintf('the %s needs the height at which it was taken.', $column->label));
        }
        if ($reading->at !== null && $reading->at->unit->dimension() !== Dimension::Length) {
            throw BadDocument::at('/data/at/unit', 'a test height is a length.');
        }
    }

    /** @throws BadDocument */
    private function claim(Entry $entry, Engine $engine): void
    {
        if ($entry->slot->item === Claim::WORDS) {
            $part = BuildPart::tryFrom($entry->slot->part);
            if ($part === null || !$part->isFittedTo($engine)) {
                throw BadDocument::at('/slot/part', sprintf('this engine has no “%s” that could be claimed.', $entry->slot->part));
            }
            $this->inData(static fn (): Claim => Claim::of($entry));

            return;
        }
        $value = $this->claimed($entry->slot, $engine);
        $claim = $this->inData(static fn (): Claim => Claim::of($entry));
        if ($claim->typed !== null) {
            self::checkDimension($claim->typed->unit->dimension(), $value->dimension, $value->title);
        }
    }

    /** @throws BadDocument */
    private function look(Entry $entry, Engine $engine): void
    {
        $part = Part::tryFrom($entry->slot->part);
        if ($part === null || !$part->isFittedTo($engine) || $entry->slot->item !== Look::ITEM) {
            throw BadDocument::at('/slot/part', sprintf('this engine has no “%s” to look at.', $entry->slot->part));
        }
        if ($engine->siteOf($entry->slot->place, $part->site()) === null) {
            throw BadDocument::at('/slot/place', sprintf('the %s is not looked at in “%s”.', $part->label($engine), $entry->slot->place));
        }
    }

    private static function checkDimension(Dimension $given, Dimension $wanted, string $label): void
    {
        if ($given !== $wanted) {
            throw BadDocument::at(
                '/data/value/unit',
                sprintf(
                    'the %s is a %s; a %s stands here.', $label, str_replace('_', ' ', $wanted->value),
                    str_replace('_', ' ', $given->value),
                ),
            );
        }
    }

    /**
     * @template T
     *
     * @param \Closure(): T $read
     *
     * @return T
     *
     * @throws BadDocument
     */
    private function inData(\Closure $read): mixed
    {
        try {
            return $read();
        } catch (BadDocument $problem) {
            throw BadDocument::at('/data'.$problem->pointer, $problem->reason);
        }
    }
}
