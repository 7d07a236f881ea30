<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\Node;

/** A mechanism or consequence between causes and signs. Its marks hang on it, so that correlated marks count once. */
final readonly class Event
{
    /**
     * @param list<string> $requires build flags without which it cannot happen
     * @param list<Link> $parents
     * @param string|null $contained what commonly keeps it from doing further damage, which is no cure of its cause [practice]
     */
    private function __construct(
        public string $code,
        public string $label,
        public EventMode $mode,
        public array $requires,
        public array $parents,
        public ?string $contained = null,
    ) {
    }

    public static function fromNode(Node $node): self
    {
        return new self(
            $node->get('code')->word(),
            $node->get('label')->word(),
            $node->get('mode')->choice(EventMode::class),
            $node->maybe('requires')?->words() ?? [],
            array_map(static fn (Node $link): Link => Link::fromNode($link), $node->get('parents')->items()),
            $node->maybe('contained')?->word(1000),
        );
    }

    /**
     * The same with other parents.
     *
     * @param list<Link> $parents
     */
    public function after(array $parents): self
    {
        return new self($this->code, $this->label, $this->mode, $this->requires, $parents, $this->contained);
    }
}
