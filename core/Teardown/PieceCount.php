<?php

declare(strict_types=1);

namespace MuteTapper\Core\Teardown;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\EntryKind;

/** All pieces counted so far. What is missing at a place stays open until it is found. */
final readonly class PieceCount
{
    /** @param list<array{place: string, part: Part, pieces: Pieces}> $counted */
    private function __construct(public array $counted)
    {
    }

    public static function of(CaseFile $case): self
    {
        $counted = [];
        foreach ($case->log->standing(EntryKind::Pieces) as $entry) {
            $part = Part::tryFrom($entry->slot->part);
            if ($part !== null) {
                $counted[] = ['place' => $entry->slot->place, 'part' => $part, 'pieces' => Pieces::fromNode($entry->node())];
            }
        }

        return new self($counted);
    }

    /** @return list<array{place: string, part: Part, pieces: Pieces}> */
    public function missing(): array
    {
        return array_values(array_filter($this->counted, static fn (array $one): bool => $one['pieces']->missing() > 0));
    }
}
