<?php

declare(strict_types=1);

namespace MuteTapper\Core\Teardown;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Knowledge\PlannedStep;

/** The order of the plan as a person put it. Steps that it does not name keep their usual place after the named ones. */
final readonly class StepOrder
{
    private const MOST = 200;

    /** @param list<string> $codes */
    private function __construct(public array $codes)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        $codes = $data->get('codes')->words(self::MOST);
        if (count(array_unique($codes)) !== count($codes)) {
            throw BadDocument::at('/codes', 'a step stands twice in this order.');
        }

        return new self($codes);
    }

    public static function slot(): Slot
    {
        return new Slot(Place::ENGINE, StepRecord::PART, 'order');
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['codes' => $this->codes];
    }

    /**
     * @param array<string, PlannedStep> $steps in their usual order
     *
     * @return array<string, PlannedStep>
     */
    public function apply(array $steps): array
    {
        $ordered = [];
        foreach ($this->codes as $code) {
            if (isset($steps[$code])) {
                $ordered[$code] = $steps[$code];
            }
        }

        return $ordered + $steps;
    }
}
