<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Height that the inner spring stands at under a stepped retainer. */
final class InnerInstalledHeight implements Calculation
{
    public function name(): string
    {
        return 'inner-installed-height';
    }

    public function title(): string
    {
        return 'Installed height of the inner spring';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('installed_height', 'installed height of the outer spring', Dimension::Length),
            Input::scalar('inner_step', 'step of the retainer down to the inner spring', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return 'installed height − retainer step';
    }

    public function source(): Source
    {
        return Source::practice();
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('installed_height')->minus($values->one('inner_step'));
    }
}
