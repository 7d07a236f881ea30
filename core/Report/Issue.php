<?php

declare(strict_types=1);

namespace MuteTapper\Core\Report;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\EntryLog;
use MuteTapper\Core\Entry\Slot;

/** That a report was given out, as it stood then: one that follows says what changed since. */
final readonly class Issue
{
    public const PART = 'report';
    public const ITEM = 'issue';
    private const MOST = 999;

    /** @param string $whom who got it, in words */
    private function __construct(public string $whom)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        return new self(trim($data->get('whom')->word()));
    }

    /** Null where it is no number of a report. */
    public static function slot(string $number): ?Slot
    {
        return preg_match('/^[1-9]\d{0,2}$/D', $number) === 1 && (int) $number <= self::MOST
            ? new Slot(Place::ENGINE, self::PART, self::ITEM, $number) : null;
    }

    /** The last that was given out; null where none was. */
    public static function last(EntryLog $log): ?Entry
    {
        $last = null;
        foreach ($log->standing(EntryKind::Issue) as $entry) {
            $last = $last === null || self::number($entry) > self::number($last) ? $entry : $last;
        }

        return $last;
    }

    public static function number(Entry $entry): int
    {
        return (int) $entry->slot->index;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['whom' => $this->whom];
    }
}
