<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\Typed;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;

/** A measurement: what was typed, the gauge it came from, and for a load the height at which it was taken. */
final class Reading
{
    /** @var array<string, array{mixed, Gauge}> the last gauge of each code, with the data it was read from: readings repeat it */
    private static array $gauges = [];

    private ?Uncertain $uncertain = null;

    private function __construct(
        public readonly string $entryId,
        public readonly string $place,
        public readonly Typed $typed,
        public readonly Gauge $gauge,
        public readonly ?Typed $at,
        public readonly ?string $kept,
    ) {
    }

    /** @throws BadDocument */
    public static function of(Entry $entry): self
    {
        $data = $entry->node();
        $at = $data->maybe('at');

        return new self(
            $entry->id, $entry->slot->place, self::typed($data->get('value')), self::gauge($data->get('gauge')),
            $at === null ? null : self::typed($at),
            $data->maybe('kept')?->word(),
        );
    }

    /** The figure with what its gauge is worth. */
    public function uncertain(): Uncertain
    {
        return $this->uncertain ??= $this->gauge->reading($this->typed->quantity(), $this->entryId);
    }

    /** The test height of a load, set on the tester's own scale and taken as exact: its error is in the load's gain. */
    public function height(): ?Uncertain
    {
        return $this->at === null ? null : Uncertain::exact($this->at->quantity());
    }

    /** @throws BadDocument */
    private static function gauge(Node $node): Gauge
    {
        $data = $node->raw();
        $code = is_array($data) && is_string($data['code'] ?? null) ? $data['code'] : '';
        if (!isset(self::$gauges[$code]) || self::$gauges[$code][0] !== $data) {
            self::$gauges[$code] = [$data, Gauge::fromNode($node)];
        }

        return self::$gauges[$code][1];
    }

    public static function typed(Node $node): Typed
    {
        return new Typed($node->get('number')->number(), $node->get('unit')->choice(Unit::class), $node->get('decimals')->whole(0, 12));
    }
}
