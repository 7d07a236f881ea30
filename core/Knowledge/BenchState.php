<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** What a sign asks of the bench: a value by its name, and the state in which it amounts to the sign. */
final readonly class BenchState
{
    private function __construct(public string $value, public ValueState $state)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        return new self($node->get('value')->word(), $node->get('state')->choice(ValueState::class));
    }
}
