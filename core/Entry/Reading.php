<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\Typed;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;

/** A measurement: what was typed, the gauge it came from, and for a load the height at which it was taken. */
final readonly class Reading
{
    private function __construct(public string $entryId, public Typed $typed, public Gauge $gauge, public ?Typed $at)
    {
    }

    /** @throws BadDocument */
    public static function of(Entry $entry): self
    {
        $data = $entry->node();
        $at = $data->maybe('at');

        return new self($entry->id, self::typed($data->get('value')), Gauge::fromNode($data->get('gauge')), $at === null ? null : self::typed($at));
    }

    /** The figure with what its gauge is worth. */
    public function uncertain(): Uncertain
    {
        return $this->gauge->reading($this->typed->quantity(), $this->entryId);
    }

    /** The test height of a load, set on the tester's own scale and taken as exact: its error is in the load's gain. */
    public function height(): ?Uncertain
    {
        return $this->at === null ? null : Uncertain::exact($this->at->quantity());
    }

    public static function typed(Node $node): Typed
    {
        return new Typed($node->get('number')->number(), $node->get('unit')->choice(Unit::class), $node->get('decimals')->whole(0, 12));
    }
}
