<?php

declare(strict_types=1);

namespace MuteTapper\Core\Teardown;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Slot;

/** Where a part is. Each move supersedes the one before, so that the entries of its slot are the custody record. */
final readonly class Custody
{
    public const ITEM = 'custody';

    private function __construct(public Whereabouts $where, public string $whom, public string $note)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        $custody = new self(
            $data->get('where')->choice(Whereabouts::class), trim($data->maybe('whom')?->text(200) ?? ''),
            trim($data->maybe('note')?->text(1000) ?? ''),
        );
        if ($custody->where->isOutside() && $custody->whom === '') {
            throw BadDocument::at('/whom', 'a part that leaves the shop needs the name of who has it.');
        }

        return $custody;
    }

    public static function slot(string $place, Part $part): Slot
    {
        return new Slot($place, $part->value, self::ITEM);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_filter(
            ['where' => $this->where->value, 'whom' => $this->whom, 'note' => $this->note], static fn (string $text): bool => $text !== '',
        );
    }
}
