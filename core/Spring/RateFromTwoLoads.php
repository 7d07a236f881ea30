<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
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
            throw new \DomainException('The open height must be less than the seat height.');
        }

        return $values->one('load_open')->minus($values->one('load_seat'))->dividedBy($travel, Dimension::Stiffness);
    }
}
