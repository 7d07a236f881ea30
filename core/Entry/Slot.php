<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** What an entry fills: a place, a part, a quantity or sign, and an index such as a coil or spot. One slot has one head. */
final readonly class Slot
{
    public function __construct(public string $place, public string $part, public string $item, public ?string $index = null)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        $word = static function (Node $node): string {
            $text = $node->word(80);
            if (preg_match('/^[A-Za-z0-9._-]+$/', $text) !== 1) {
                throw BadDocument::at(
                    $node->pointer,
                    sprintf('“%s” is not a code; letters, digits, point, hyphen and underscore are accepted.', $text),
                );
            }

            return $text;
        };

        return new self(
            $word($node->get('place')), $word($node->get('part')), $word($node->get('item')),
            $node->has('index') ? $word($node->get('index')) : null,
        );
    }

    /** The same slot under another index. */
    public function at(string $index): self
    {
        return new self($this->place, $this->part, $this->item, $index);
    }

    public function key(): string
    {
        return implode('/', [$this->place, $this->part, $this->item, $this->index ?? '']);
    }

    /** @return array<string, string|null> */
    public function toArray(): array
    {
        return ['place' => $this->place, 'part' => $this->part, 'item' => $this->item, 'index' => $this->index];
    }
}
