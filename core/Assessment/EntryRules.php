<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Engine\BuildPart;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Answer;
use MuteTapper\Core\Entry\Claim;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Finding;
use MuteTapper\Core\Entry\Look;
use MuteTapper\Core\Entry\Reading;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\Sheets;
use MuteTapper\Core\Sheet\Value;

/** What an entry may say, and where: one set of rules for recording, checking and importing. */
final readonly class EntryRules
{
    public function __construct(private Knowledge $knowledge, private Sheets $sheets)
    {
    }

    /**
     * That every entry of a document stands at a place of its engine, and can be read by something.
     *
     * @throws BadDocument
     */
    public function checkAll(CaseFile $case): void
    {
        foreach ($case->log->entries as $i => $entry) {
            $this->check($entry, $case->engine, '/entries/'.$i);
        }
    }

    /** @throws BadDocument */
    public function check(Entry $entry, Engine $engine, string $pointer = ''): void
    {
        try {
            $this->checkPlace($entry, $engine);
            match ($entry->kind) {
                EntryKind::Reading => $this->reading($entry, $engine),
                EntryKind::Claim => $this->claim($entry, $engine),
                EntryKind::Finding => $this->finding($entry, $engine),
                EntryKind::Look => $this->look($entry, $engine),
                EntryKind::Answer => $this->answer($entry, $engine),
                EntryKind::Photograph => $this->inData(static fn (): string => $entry->node()->get('sha256')->word(64)),
                EntryKind::Withdrawal => null,
                default => $this->inData(static fn (): ?array => EntryContent::normal($entry->kind, $entry->node())),
            };
        } catch (BadDocument $problem) {
            throw BadDocument::at($pointer.$problem->pointer, $problem->reason);
        }
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
        $column->accept($slot, $engine, false);

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

    /** @throws BadDocument */
    private function reading(Entry $entry, Engine $engine): void
    {
        $column = $this->columnOf($entry->slot, $engine);
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
    private function finding(Entry $entry, Engine $engine): void
    {
        $this->inData(static fn (): Finding => Finding::of($entry));
        $sign = $this->knowledge->signs[$entry->slot->item] ?? null;
        if ($sign === null) {
            return; // a sign that the catalogue does not list any more is shown by its code
        }
        $part = Part::tryFrom($entry->slot->part);
        if ($part === null || !in_array($part, $sign->parts, true)) {
            throw BadDocument::at('/slot/part', sprintf('“%s” is not seen on the %s.', $sign->name, $entry->slot->part));
        }
        if ($sign->isFromBench()) {
            throw BadDocument::at('/slot/item', sprintf('“%s” comes from the bench: enter the readings there.', $sign->name));
        }
        if ($engine->siteOf($entry->slot->place, $part->site()) === null) {
            throw BadDocument::at('/slot/place', sprintf('the %s is not looked at in “%s”.', $part->label($engine), $entry->slot->place));
        }
        if ($sign->needsFill && !$entry->node()->has('fill')) {
            throw BadDocument::at(
                '/data/fill',
                sprintf('“%s” says nothing without the state of the element: filled or drained.', $sign->name),
            );
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
        $this->inData(static fn (): Look => Look::of($entry));
    }

    /** @throws BadDocument */
    private function answer(Entry $entry, Engine $engine): void
    {
        $answer = $this->inData(static fn (): Answer => Answer::fromNode($entry->node()));
        $question = $this->knowledge->questions[$entry->slot->item] ?? null;
        if ($question === null) {
            return;
        }
        if (!isset($question->choices[$answer->choice])) {
            throw BadDocument::at('/data/choice', sprintf('“%s” is no answer to “%s”.', $answer->choice, $question->ask));
        }
        if (!in_array($entry->slot->place, $engine->sites($question->site), true)) {
            throw BadDocument::at('/slot/place', sprintf('“%s” is asked of each %s.', $question->ask, $question->site->value));
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
