<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** What an entry fills: a place, a part, a quantity or sign, and an index such as a coil or spot. One slot has one head. */
final readonly class Slot
{
    /** Begins the index of what was measured for a rebuild, or after it: the judgement reads only what has none. */
    public const BUILT = 'built-';

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

    /**
     * The event of a rebuild or of a return for which it was measured; null of everything found on the engine as it came.
     */
    public function builtFor(): ?string
    {
        return preg_match('/^'.self::BUILT.'([a-z0-9-]+)(\.|$)/D', $this->index ?? '', $match) === 1 ? $match[1] : null;
    }

    /** The slot of the same, as found. */
    public function asFound(): self
    {
        $built = $this->builtFor();
        if ($built === null) {
            return $this;
        }
        $rest = substr($this->index ?? '', strlen(self::BUILT.$built) + 1);

        return new self($this->place, $this->part, $this->item, $rest === '' ? null : $rest);
    }

    /** The slot of the same, as measured for a rebuild or at a return. */
    public function asBuilt(string $event): self
    {
        return $this->at(self::BUILT.$event.($this->index === null ? '' : '.'.$this->index));
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
