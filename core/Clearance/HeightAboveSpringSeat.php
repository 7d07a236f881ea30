<?php

declare(strict_types=1);

namespace MuteTapper\Core\Clearance;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** A height taken from the bare head, converted to the face that the spring stands on. */
final class HeightAboveSpringSeat implements Calculation
{
    public function name(): string
    {
        return 'height-above-spring-seat';
    }

    public function title(): string
    {
        return 'Height above the spring seat';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('height_from_head', 'height above the bare head', Dimension::Length),
            Input::scalar('shims', 'all spring shims and locator under the spring', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return 'height above the head − shims and locator';
    }

    public function source(): Source
    {
        return Source::practice();
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('height_from_head')->minus($values->one('shims'));
    }
}
