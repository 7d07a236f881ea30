<?php

declare(strict_types=1);

namespace MuteTapper\Core\Report;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Answer;
use MuteTapper\Core\Entry\Claim;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Finding;
use MuteTapper\Core\Entry\NotMeasurable;
use MuteTapper\Core\Entry\Reading;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Teardown\Custody;

/** What was recorded, mended or taken back after a report was given out: slot by slot, as it was and as it is. */
final readonly class ChangedSince
{
    /** Told by other lines of the report, or no content of it. */
    private const UNTOLD = [EntryKind::Issue, EntryKind::Look, EntryKind::Order, EntryKind::Promise, EntryKind::Annotation];

    private function __construct(private Bench $bench, private Knowledge $knowledge)
    {
    }

    /**
     * @param list<Entry> $all every entry of the case in the order of recording
     *
     * @return list<string>
     */
    public static function of(Bench $bench, Knowledge $knowledge, array $all, Entry $issue): array
    {
        $before = $after = [];
        $isSince = false;
        foreach ($all as $entry) {
            if ($isSince) {
                $after[$entry->slot->key()] = $entry;
            } else {
                $before[$entry->slot->key()] = $entry;
            }
            $isSince = $isSince || $entry->id === $issue->id;
        }
        $words = new self($bench, $knowledge);
        $lines = [];
        foreach ($after as $key => $entry) {
            $lines[] = $words->line(self::standing($before[$key] ?? null), self::standing($entry));
        }

        return array_values(array_filter($lines, static fn (string $line): bool => $line !== ''));
    }

    private static function standing(?Entry $entry): ?Entry
    {
        return $entry?->kind === EntryKind::Withdrawal ? null : $entry;
    }

    private function line(?Entry $was, ?Entry $is): string
    {
        $of = $is ?? $was;
        if ($of === null || in_array($of->kind, self::UNTOLD, true) || $was?->data === $is?->data) {
            return '';
        }
        $name = ucfirst($this->name($of));
        [$old, $new] = [$was === null ? '' : $this->told($was), $is === null ? '' : $this->told($is)];

        return match (true) {
            $is === null => sprintf('%s: taken back%s.', $name, $old === '' ? '' : ', it was '.$old),
            $was === null => sprintf('%s: %s.', $name, $new === '' ? 'new' : $new.', new'),
            $old === $new => sprintf('%s: changed.', $name),
            default => sprintf('%s: %s, was %s.', $name, $new, $old),
        };
    }

    /** What a slot is about, in words. */
    private function name(Entry $entry): string
    {
        $slot = $entry->slot;
        $engine = $this->bench->case->engine;
        $part = Part::tryFrom($slot->part)?->label($engine);
        $place = $engine->placeLabel($slot->place) ?? $slot->place;
        $index = $slot->index === null ? '' : ', '.str_replace('.', ' ', $slot->index);

        return match ($entry->kind) {
            EntryKind::Reading => ($this->bench->sheets->columns[$slot->item] ?? null)->label ?? $slot->item,
            EntryKind::Claim => sprintf('claimed %s', str_replace([Claim::CLAIMED, '_'], ['', ' '], $slot->item)),
            EntryKind::Finding => ($this->knowledge->signs[$slot->item] ?? null)->name ?? $slot->item,
            EntryKind::Answer => ($this->knowledge->questions[$slot->item] ?? null)->ask ?? $slot->item,
            EntryKind::Photograph => 'photograph of the '.($part ?? $slot->part),
            EntryKind::Custody => 'hand-over of the '.($part ?? $slot->part),
            EntryKind::Report => 'laboratory report',
            EntryKind::Sweep => 'sweep of the spring',
            EntryKind::Lift => 'measured lift',
            EntryKind::Pieces => 'pieces of the '.($part ?? $slot->part),
            default => str_replace('_', ' ', $entry->kind->value),
        }.($place === 'engine' ? '' : ' at '.$place).($entry->kind === EntryKind::Reading ? $index : '');
    }

    /** Its content, where it can be said in a word or two. */
    private function told(Entry $entry): string
    {
        try {
            return match ($entry->kind) {
                EntryKind::Reading => $this->reading($entry),
                EntryKind::Finding => $this->finding(Finding::of($entry)),
                EntryKind::Answer => $this->answer($entry),
                EntryKind::Photograph => $entry->node()->maybe('caption')?->text() ?? '',
                EntryKind::Custody => Custody::fromNode($entry->node())->words(),
                EntryKind::Remedy => $entry->node()->get('name')->text(),
                default => '',
            };
        } catch (BadDocument) {
            return ''; // what cannot be read is said elsewhere
        }
    }

    private function reading(Entry $entry): string
    {
        if ($entry->node()->has('notMeasurable')) {
            return 'not measurable: '.$entry->node()->get('notMeasurable')->choice(NotMeasurable::class)->value;
        }
        $column = $this->bench->sheets->columns[$entry->slot->item] ?? null;
        $value = Reading::of($entry)->uncertain()->quantity();

        return $column === null ? '' : $this->bench->case->settings->units->show($value, $column->fineness);
    }

    private function finding(Finding $finding): string
    {
        $words = ($this->knowledge->signs[$finding->sign] ?? null)->severity[$finding->severity->value] ?? '';

        return trim($finding->severity->value.' '.$words);
    }

    private function answer(Entry $entry): string
    {
        $question = $this->knowledge->questions[$entry->slot->item] ?? null;

        return implode(', ', array_map(
            static fn (string $choice): string => ($question->choices[$choice] ?? null)->label ?? $choice,
            Answer::fromNode($entry->node())->choices(),
        ));
    }
}
