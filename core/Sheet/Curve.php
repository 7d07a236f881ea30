<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Quantity\Quantity;

/** A line over a quantity, drawn with its like so that they can be told apart: load over height, spring by spring. */
final readonly class Curve
{
    /**
     * @param string $name of what it is
     * @param string|null $key of the page that it is drawn on; null where the sheet has none
     * @param non-empty-list<array{Quantity, Quantity}> $points along and up, in the order in which they are joined
     * @param array{Quantity, Quantity}|null $beyond where it goes on to by computation alone
     */
    public function __construct(public string $name, public ?string $key, public array $points, public ?array $beyond = null)
    {
    }
}
