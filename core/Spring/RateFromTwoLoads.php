<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Mean rate of a spring between two heights. */
final class RateFromTwoLoads implements Calculation
{
    public function name(): string
    {
        return 'spring-rate-from-two-loads';
    }

    public function title(): string
    {
        return 'Spring rate from two loads';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('load_seat', 'load at the greater height', Dimension::Force),
            Input::scalar('height_seat', 'the greater height', Dimension::Length),
            Input::scalar('load_open', 'load at the lesser height', Dimension::Force),
            Input::scalar('height_open', 'the lesser height', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Stiffness;
    }

    public function formula(): string
    {
        return '(open load − seat load) ÷ (seat height − open height)';
    }

    public function source(): Source
    {
        return Source::published('elastic rate, any text on helical springs; from memory');
    }

    public function compute(Values $values): Uncertain
    {
        $travel = $values->one('height_seat')->minus($values->one('height_open'));
        if ($travel->base <= 0) {
            throw Contradiction::because('The open height is not less than the seat height: one of the two test heights is wrong.');
        }
        $gain = $values->one('load_open')->minus($values->one('load_seat'));
        if ($gain->base <= 0) {
            throw Contradiction::because(
                'The open load is not above the seat load: no spring gets softer than nothing, so one of the two loads is wrong.',
            );
        }

        return $gain->dividedBy($travel, Dimension::Stiffness);
    }
}
