<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\ValveKind;

/** From a parent (cause or event) to the event or sign that it brings about, with the reason for its strength. */
final readonly class Link
{
    /** How often it leads there. */
    public float $probability;

    /**
     * @param string|null $when the form of the cause in which it leads there; any, where null
     * @param ValveKind|null $at the kind of valve at which it leads there; any, where null
     * @param bool $isShops whether a shop set its strength otherwise than it is shipped
     */
    private function __construct(
        public string $parent,
        public Strength $strength,
        public string $reason,
        public string $mark,
        public ?string $when,
        public ?ValveKind $at,
        public bool $isShops = false,
    ) {
        $this->probability = $strength->probability();
    }

    public static function fromNode(Node $node): self
    {
        return new self(
            $node->get('from')->word(), $node->get('word')->choice(Strength::class), $node->get('reason')->word(1000),
            $node->get('mark')->word(), $node->maybe('when')?->word(), $node->maybe('at')?->choice(ValveKind::class),
        );
    }

    /** Name of the link to a child: a parent can lead there by several, each in a form or at a kind of valve of its own. */
    public function code(string $child): string
    {
        $distinct = array_filter([$this->when, $this->at?->value], static fn (?string $one): bool => $one !== null);

        return strtolower(implode('.', [$child, $this->parent, ...$distinct]));
    }

    /**
     * The same with the strength that a shop gives it.
     *
     * @param Node $own its word, and where the shop has it from
     */
    public function asSet(Node $own): self
    {
        return new self(
            $this->parent, $own->get('word')->choice(Strength::class), $own->get('source')->word(1000), $own->get('mark')->word(),
            $this->when, $this->at, true,
        );
    }

    /**
     * Whether it holds of a parent in this form, where it is.
     *
     * @param string $form of a cause; empty where it has one form only, and for events
     * @param string|null $kinds kinds of valve there, such as I, E, IE; null for any
     */
    public function holds(string $form, ?string $kinds): bool
    {
        return ($this->when === null || $this->when === $form)
            && ($this->at === null || $kinds === null || str_contains($kinds, $this->at->value));
    }
}
