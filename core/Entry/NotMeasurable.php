<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** Why nothing can be read at a place: said instead of a figure, so that the gap is no oversight. */
enum NotMeasurable: string
{
    case Worn = 'worn';
    case Missing = 'missing';
    case Unreachable = 'unreachable';

    /** The word a person typed, or how it begins. */
    public static function spelled(string $text): ?self
    {
        $text = mb_strtolower(trim($text));
        foreach ($text === '' ? [] : self::cases() as $case) {
            if (str_starts_with($case->value, $text)) {
                return $case;
            }
        }

        return null;
    }

    /**
     * What an entry says of it; null where it holds a figure.
     *
     * @throws BadDocument
     */
    public static function in(Node $data): ?self
    {
        return $data->maybe('notMeasurable')?->choice(self::class);
    }
}
