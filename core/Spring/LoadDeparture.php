<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Signed departure of a load from a reference load at the same height, in per cent of the reference. */
final class LoadDeparture implements Calculation
{
    public function name(): string
    {
        return 'load-departure';
    }

    public function title(): string
    {
        return 'Departure of a load';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('load', 'load as found', Dimension::Force),
            Input::scalar('reference', 'specified load, or middle value of the set, at the same height', Dimension::Force),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Percent;
    }

    public function formula(): string
    {
        return '100 × (load − reference) ÷ reference';
    }

    public function source(): Source
    {
        return Source::practice('more than 10 per cent from specification or from the middle value is a weak or wrong spring');
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('load')->minus($values->one('reference'))->dividedBy($values->one('reference'), Dimension::Percent)->scaled(100);
    }
}
