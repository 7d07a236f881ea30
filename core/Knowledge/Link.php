<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\Node;

/** From a parent (cause or event) to the event or sign that it brings about, with the reason for its strength. */
final readonly class Link
{
    private function __construct(public string $parent, public Strength $strength, public string $reason, public string $mark)
    {
    }

    public static function fromNode(Node $node): self
    {
        return new self(
            $node->get('from')->word(), $node->get('word')->choice(Strength::class), $node->get('reason')->word(1000),
            $node->get('mark')->word(),
        );
    }
}
