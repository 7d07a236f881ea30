<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\ValveKind;

/** From a parent (cause or event) to the event or sign that it brings about, with the reason for its strength. */
final readonly class Link
{
    /**
     * @param string|null $when the form of the cause in which it leads there; any, where null
     * @param ValveKind|null $at the kind of valve at which it leads there; any, where null
     */
    private function __construct(
        public string $parent,
        public Strength $strength,
        public string $reason,
        public string $mark,
        public ?string $when,
        public ?ValveKind $at,
    ) {
    }

    public static function fromNode(Node $node): self
    {
        return new self(
            $node->get('from')->word(), $node->get('word')->choice(Strength::class), $node->get('reason')->word(1000),
            $node->get('mark')->word(), $node->maybe('when')?->word(), $node->maybe('at')?->choice(ValveKind::class),
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
