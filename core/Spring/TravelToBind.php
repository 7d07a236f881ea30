<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Travel that is left before the coils touch, at full lift. */
final class TravelToBind implements Calculation
{
    public function name(): string
    {
        return 'travel-to-bind';
    }

    public function title(): string
    {
        return 'Travel to bind';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('installed_height', 'installed height, above all shims and locator', Dimension::Length),
            Input::scalar('net_lift', 'net valve lift', Dimension::Length),
            Input::scalar('bind_height', 'height at which the spring goes solid', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return 'installed height − net lift − bind height';
    }

    public function source(): Source
    {
        return Source::practice();
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('installed_height')->minus($values->one('net_lift'))->minus($values->one('bind_height'));
    }
}
