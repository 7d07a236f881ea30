<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** What a sign asks of the bench: a value by its name, and the state in which it amounts to the sign. */
final readonly class BenchState
{
    /**
     * @param list<self> $and states of other values at the same place that must hold too
     * @param bool $withNeighbour a cylinder next to it must be in the same state
     * @param bool $atAll it must be so everywhere
     */
    private function __construct(
        public string $value,
        public ValueState $state,
        public array $and,
        public bool $withNeighbour,
        public bool $atAll,
    ) {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        return new self(
            $node->get('value')->word(), $node->get('state')->choice(ValueState::class),
            array_map(self::fromNode(...), $node->maybe('and')?->items() ?? []),
            $node->maybe('with_neighbour')?->flag() ?? false, $node->maybe('at_all')?->flag() ?? false,
        );
    }

    /** @return list<string> names of all values that it asks for */
    public function values(): array
    {
        return [$this->value, ...array_merge(...array_map(static fn (self $other): array => $other->values(), $this->and))];
    }
}
