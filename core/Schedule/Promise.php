<?php

declare(strict_types=1);

namespace MuteTapper\Core\Schedule;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Slot;

/** The day for which the case is promised. */
final readonly class Promise
{
    private function __construct(public \DateTimeImmutable $date)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        return new self($data->get('date')->day() ?? throw BadDocument::at('/date', 'a promise needs its day.'));
    }

    public static function slot(): Slot
    {
        return new Slot(Place::ENGINE, Task::PART, 'promise');
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['date' => $this->date->format('Y-m-d')];
    }
}
