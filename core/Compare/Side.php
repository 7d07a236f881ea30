<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Quantity\Uncertain;

/** One of two sides: a bank, what is claimed, the others. */
final readonly class Side
{
    /**
     * @param Uncertain|null $middle null where it is words
     * @param string $words what it is, where it is no figure
     */
    private function __construct(
        public string $name,
        public ?Uncertain $middle,
        public ?Uncertain $least,
        public ?Uncertain $most,
        public int $count,
        public string $words,
    ) {
    }

    /** @param non-empty-list<Uncertain> $values */
    public static function of(string $name, array $values): self
    {
        usort($values, static fn (Uncertain $one, Uncertain $other): int => $one->base <=> $other->base);

        return new self($name, Uncertain::median($values), $values[0], $values[count($values) - 1], count($values), '');
    }

    public static function said(string $name, string $words, int $count): self
    {
        return new self($name, null, null, null, $count, $words);
    }
}
