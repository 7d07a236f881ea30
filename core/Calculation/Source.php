<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

/** Where a formula or a limit comes from. */
final readonly class Source
{
    private function __construct(public string $mark, public string $text)
    {
    }

    /** A published standard, handbook or paper. */
    public static function published(string $text): self
    {
        return new self('pub', $text);
    }

    /** Common practice of the trade, with no published source. */
    public static function practice(string $text = 'common practice of the trade'): self
    {
        return new self('practice', $text);
    }

    /** Our own choice or computation. */
    public static function own(string $text = 'own computation'): self
    {
        return new self('own', $text);
    }
}
