<?php

declare(strict_types=1);

namespace MuteTapper\Core\Timeline;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Slot;

/** How a component went into what an event of the timeline began or ended. */
final readonly class Carry
{
    private const ITEM = 'carry.';

    private function __construct(public PartState $state)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        return new self($data->get('state')->choice(PartState::class));
    }

    public static function slot(Component $component, string $event): Slot
    {
        return new Slot(Place::ENGINE, Event::PART, self::ITEM.$component->value, $event);
    }

    public static function componentOf(Slot $slot): ?Component
    {
        return str_starts_with($slot->item, self::ITEM) ? Component::tryFrom(substr($slot->item, strlen(self::ITEM))) : null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['state' => $this->state->value];
    }
}
