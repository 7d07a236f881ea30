<?php

declare(strict_types=1);

namespace MuteTapper\Core\Teardown;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Slot;

/** That a step was made, left out, or made without what should have been recorded first; the last two with a reason. */
final readonly class StepRecord
{
    public const PART = 'plan';

    private function __construct(public StepState $state, public string $reason)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        $record = new self($data->get('state')->choice(StepState::class), trim($data->maybe('note')?->text(1000) ?? ''));
        if ($record->state === StepState::Skipped && $record->reason === '') {
            throw BadDocument::at('/note', 'a step that is left out needs its reason.');
        }

        return $record;
    }

    public static function slot(string $step): Slot
    {
        return new Slot(Place::ENGINE, self::PART, 'step.'.$step);
    }

    /** Slot of something a person confirms before a step. */
    public static function confirmation(string $code): Slot
    {
        return new Slot(Place::ENGINE, self::PART, 'confirm.'.$code);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['state' => $this->state->value] + ($this->reason === '' ? [] : ['note' => $this->reason]);
    }
}
