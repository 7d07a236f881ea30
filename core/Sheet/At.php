<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Station;

/** A place on a bench, for declarations that look around themselves. */
final readonly class At
{
    public function __construct(public Bench $bench, public string $place)
    {
    }

    public function value(string $name, ?string $index = null): Given|Missing
    {
        return $this->bench->value($this->place, $name, $index);
    }

    public function station(): ?Station
    {
        return $this->bench->case->engine->station($this->place);
    }

    public function label(): string
    {
        return $this->bench->case->engine->placeLabel($this->place) ?? $this->place;
    }
}
