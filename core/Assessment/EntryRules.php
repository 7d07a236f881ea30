<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Chain\ChainEdit;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Answer;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Teardown\StepOrder;

/** What an entry may say, and where, by the catalogue: one set of rules for recording, checking and importing. */
final readonly class EntryRules
{
    public function __construct(private Knowledge $knowledge, public EntryForm $form)
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
            $this->form->check($entry, $engine);
            match ($entry->kind) {
                EntryKind::Finding => $this->finding($entry, $engine),
                EntryKind::Answer => $this->answer($entry, $engine),
                default => null,
            };
        } catch (BadDocument $problem) {
            throw BadDocument::at($pointer.$problem->pointer, $problem->reason);
        }
    }

    public function allow(Entry $entry, Engine $engine): bool
    {
        try {
            $this->check($entry, $engine);

            return true;
        } catch (BadDocument) {
            return false;
        }
    }

    /**
     * The same for what is recorded now: it can name nothing that the catalogue does not list.
     *
     * @throws BadDocument
     */
    public function checkNew(Entry $entry, Engine $engine): void
    {
        match ($entry->kind) {
            EntryKind::Finding => self::listed(
                $this->knowledge->signs, $entry->slot->item, '/slot/item', 'the catalogue has no sign “%s”.',
            ),
            EntryKind::Answer => self::listed(
                $this->knowledge->questions, $entry->slot->item, '/slot/item', 'there is no question “%s”.',
            ),
            EntryKind::Photograph => $entry->node()->has('about')
                ? self::listed(
                    $this->knowledge->signs, $entry->node()->get('about')->text(), '/data/about', 'the catalogue has no sign “%s”.',
                )
                : null,
            EntryKind::Order => array_map(
                fn (string $code, int $i): mixed => self::listed(
                    $this->knowledge->steps, $code, '/data/codes/'.$i, 'the plan has no step “%s”.',
                ),
                StepOrder::fromNode($entry->node())->codes, array_keys(StepOrder::fromNode($entry->node())->codes),
            ),
            EntryKind::Chain => $this->chain($entry, $engine),
            default => null,
        };
        $this->check($entry, $engine);
    }

    /** @throws BadDocument */
    private function chain(Entry $entry, Engine $engine): void
    {
        $edit = ChainEdit::of($entry);
        foreach (['event' => $edit->event, 'to' => $edit->to] as $name => $code) {
            if ($code !== null && !str_starts_with($code, ChainEdit::OWN)) {
                self::listed(
                    $this->knowledge->network->causes + $this->knowledge->network->events, $code, '/data/'.$name,
                    'the catalogue has no cause or event “%s”.',
                );
            }
        }
        if ($edit->place !== null && $engine->placeLabel($edit->place) === null) {
            throw BadDocument::at('/data/place', sprintf('this engine has no place “%s”.', $edit->place));
        }
    }

    /**
     * @param array<string, mixed> $catalogue
     *
     * @throws BadDocument
     */
    private static function listed(array $catalogue, string $code, string $pointer, string $words): mixed
    {
        return $catalogue[$code] ?? throw BadDocument::at($pointer, sprintf($words, $code));
    }

    /** @throws BadDocument */
    private function finding(Entry $entry, Engine $engine): void
    {
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
    private function answer(Entry $entry, Engine $engine): void
    {
        $answer = Answer::fromNode($entry->node());
        $question = $this->knowledge->questions[$entry->slot->item] ?? null;
        if ($question === null) {
            return;
        }
        foreach ($answer->choices() as $choice) {
            if (!isset($question->choices[$choice])) {
                throw BadDocument::at('/data/choice', sprintf('“%s” is no answer to “%s”.', $choice, $question->ask));
            }
            if ($answer->also !== [] && (!$question->several || $question->choices[$choice]->denies)) {
                throw BadDocument::at('/data/also', sprintf('“%s” is an answer by itself.', $question->choices[$choice]->label));
            }
        }
        if ($entry->slot->part !== $question->part->value) {
            throw BadDocument::at('/slot/part', sprintf('“%s” is asked about the %s.', $question->ask, $question->part->value));
        }
        if (!in_array($entry->slot->place, $engine->sites($question->site), true)) {
            throw BadDocument::at('/slot/place', sprintf('“%s” is asked of each %s.', $question->ask, $question->site->value));
        }
    }
}
