<?php

declare(strict_types=1);

namespace MuteTapper\App\Queue;

use MuteTapper\App\Record\CaseRecord;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Story;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Finding;
use MuteTapper\Core\Knowledge\Knowledge;

/** What of a case can be found by words, by where it stands. */
final class SearchTexts
{
    /** Members of an entry's content that a person wrote. */
    private const WRITTEN = ['note', 'caption', 'words', 'label', 'whom', 'fileName'];

    /** @return array<string, string> by field of the search */
    public static function of(CaseRecord $record, CaseFile $case, Story $story, Knowledge $knowledge): array
    {
        $found = array_filter($case->findings(), static fn (Finding $finding): bool => $finding->isPresent());
        $call = $record->callDocument ?? [];
        $causes = array_filter(is_array($call['causes'] ?? null) ? $call['causes'] : [], is_string(...));

        return [
            'number' => sprintf('%d %04d', $record->number, $record->number),
            'name' => $record->name,
            'customer' => $story->answers['customer'],
            'words' => self::joined(array_diff_key($story->answers, ['customer' => ''])),
            'notes' => self::joined(self::notes($case)),
            'parts' => self::joined(array_map(
                static fn (Finding $finding): string => Part::tryFrom($finding->part)?->label($case->engine) ?? $finding->part, $found,
            )),
            'signs' => self::joined(array_map(
                static fn (Finding $finding): string => $knowledge->signs[$finding->sign]->name ?? $finding->sign, $found,
            )),
            'causes' => self::joined(array_map($knowledge->network->nameOf(...), $causes)),
            'calls' => is_string($call['words'] ?? null) ? $call['words'] : '',
        ];
    }

    /** @return list<string> */
    private static function notes(CaseFile $case): array
    {
        $notes = [];
        foreach (EntryKind::cases() as $kind) {
            foreach ($case->log->standing($kind) as $entry) {
                foreach (array_intersect_key($entry->data, array_flip(self::WRITTEN)) as $text) {
                    $notes[] = is_string($text) ? $text : '';
                }
            }
        }

        return $notes;
    }

    /** @param array<string> $texts */
    private static function joined(array $texts): string
    {
        return implode(' · ', array_unique(array_filter($texts, static fn (string $text): bool => $text !== '')));
    }
}
