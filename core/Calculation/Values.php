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
        $lists = [];
        foreach ($given as $name => $value) {
            $lists[$name] = $value instanceof Given ? [$value] : $value;
        }

        return new self($lists);
    }

    public function one(string $name): Uncertain
    {
        return $this->given($name)[0]->value;
    }

    /** @return non-empty-list<Uncertain> */
    public function all(string $name): array
    {
        return array_map(static fn (Given $value): Uncertain => $value->value, $this->given($name));
    }

    /** @return array<string, list<float>> by input, in base units */
    public function figures(): array
    {
        return array_map(
            static fn (array $list): array => array_map(static fn (Given $given): float => $given->value->base, $list), $this->given,
        );
    }

    /** @return non-empty-list<Given> */
    public function given(string $name): array
    {
        return $this->given[$name] ?? throw new \LogicException(sprintf('The input “%s” is missing.', $name));
    }
}
