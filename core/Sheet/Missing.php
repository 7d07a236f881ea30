<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

/** That a value is not known: what would have to be read, or why what was read cannot be. */
final readonly class Missing
{
    /** @param list<string> $what names, as they stand in the heads of sheets */
    private function __construct(public array $what, public ?string $because)
    {
    }

    /** @param list<string> $what */
    public static function of(array $what, ?string $because = null): self
    {
        return new self(array_values(array_unique($what)), $because);
    }

    /** What is missing of several that are wanted together; what is there is passed over. */
    public static function all(mixed ...$wanted): self
    {
        $what = [];
        $because = null;
        foreach ($wanted as $one) {
            if ($one instanceof self) {
                $what = [...$what, ...$one->what];
                $because ??= $one->because;
            }
        }

        return self::of($what, $because);
    }

    public static function because(string $sentence): self
    {
        return new self([], $sentence);
    }
}
