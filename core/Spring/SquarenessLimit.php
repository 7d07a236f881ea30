<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Gap allowed at the top of a standing spring where its maker gives no figure. */
final class SquarenessLimit implements Calculation
{
    public function name(): string
    {
        return 'spring-squareness-limit';
    }

    public function title(): string
    {
        return 'Squareness limit of a standing spring';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('free_height', 'free height', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return 'free height × tan 2°';
    }

    public function source(): Source
    {
        return Source::practice();
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('free_height')->scaled(tan(deg2rad(2)));
    }
}
