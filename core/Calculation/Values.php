<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Uncertain;

/** The inputs of one run, by name. Invariant: each list holds at least one value. */
final readonly class Values
{
    /** @param array<string, non-empty-list<Given>> $given */
    private function __construct(public array $given)
    {
    }

    /** @param array<string, Given|non-empty-list<Given>> $given */
    public static function of(array $given): self
    {
        return new self(array_map(static fn (Given|array $value): array => $value instanceof Given ? [$value] : $value, $given));
    }

    public function one(string $name): Uncertain
    {
        return $this->all($name)[0];
    }

    /** @return non-empty-list<Uncertain> */
    public function all(string $name): array
    {
        $given = $this->given[$name] ?? throw new \LogicException(sprintf('The input “%s” is missing.', $name));

        return array_map(static fn (Given $value): Uncertain => $value->value, $given);
    }
}
