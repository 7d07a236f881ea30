<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** How far a free height may lie from its claim: what a tenth of the seat load is at this rate. */
final class FreeHeightAllowance implements Calculation
{
    private const SHARE = 0.1;

    public function name(): string
    {
        return 'free-height-allowance';
    }

    public function title(): string
    {
        return 'Allowance of the free height';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('load', 'seat load as claimed', Dimension::Force),
            Input::scalar('rate', 'rate of the spring', Dimension::Stiffness),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return '0.1 × seat load ÷ rate';
    }

    public function source(): Source
    {
        return Source::practice('a short spring is tired; loads decide, and 10 per cent of load is what counts');
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('load')->dividedBy($values->one('rate'), Dimension::Length)->scaled(self::SHARE);
    }
}
