<?php

declare(strict_types=1);

namespace MuteTapper\Core\Clearance;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Room left between the retainer and the seal or guide top at full lift. */
final class RetainerToSeal implements Calculation
{
    public function name(): string
    {
        return 'retainer-to-seal';
    }

    public function title(): string
    {
        return 'Retainer to seal';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('installed_height', 'installed height', Dimension::Length),
            Input::scalar('seal_height', 'top of seal or guide above the spring seat', Dimension::Length),
            Input::scalar('retainer_depth', 'retainer: spring face to lowest underside, positive toward the seal', Dimension::Length),
            Input::scalar('net_lift', 'net valve lift', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return 'installed height − seal height − retainer depth − net lift';
    }

    public function source(): Source
    {
        return Source::practice();
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('installed_height')->minus($values->one('seal_height'))->minus($values->one('retainer_depth'))->minus($values->one('net_lift'));
    }
}
