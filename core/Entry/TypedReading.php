<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Quantity\EntryParser;
use MuteTapper\Core\Quantity\NotUnderstood;
use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\Typed;

/**
 * What was typed into a cell of a sheet: a figure; a figure that is kept although nobody would expect it, with the reason behind a
 * “!”; or a word in place of a figure that says why there is none.
 */
final readonly class TypedReading
{
    private const KEPT = '!';

    private function __construct(public ?Typed $figure, public ?string $kept, public ?NotMeasurable $none)
    {
    }

    /** @throws NotUnderstood */
    public static function of(string $text, PlausibleRange $range, EntryParser $parser): self
    {
        $none = NotMeasurable::spelled($text);
        if ($none !== null) {
            return new self(null, null, $none);
        }
        $any = $range->unbounded();
        if (!str_contains($text, self::KEPT)) {
            return new self(self::plausible($text, $range, $any, $parser), null, null);
        }
        [$figure, $why] = array_map(trim(...), explode(self::KEPT, $text, 2));
        $typed = $parser->parse($figure, $any);
        if ($why === '') {
            throw NotUnderstood::because($text, 'Behind the “!” stands why it is kept.', $figure.' ! read twice', []);
        }

        return new self($typed, $why, null);
    }

    /** @throws NotUnderstood a figure outside the range is refused with the way to keep it */
    private static function plausible(string $text, PlausibleRange $range, PlausibleRange $any, EntryParser $parser): Typed
    {
        try {
            return $parser->parse($text, $range);
        } catch (NotUnderstood $refusal) {
            try {
                $parser->parse($text, $any);
            } catch (NotUnderstood) {
                throw $refusal;
            }
            throw NotUnderstood::because(
                $refusal->typed, $refusal->reason.sprintf(' If it is so, write why behind it: “%s ! …”.', trim($text)),
                $refusal->accepted, $refusal->offers,
            );
        }
    }
}
