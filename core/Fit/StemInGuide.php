<?php

declare(strict_types=1);

namespace MuteTapper\Core\Fit;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Clearance of a valve stem in its guide at one depth. */
final class StemInGuide implements Calculation
{
    public function name(): string
    {
        return 'stem-in-guide';
    }

    public function title(): string
    {
        return 'Stem in guide';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('guide_bore', 'guide bore', Dimension::Length),
            Input::scalar('stem_diameter', 'stem diameter at the same depth', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Length;
    }

    public function formula(): string
    {
        return 'guide bore − stem diameter';
    }

    public function source(): Source
    {
        return Source::practice();
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('guide_bore')->minus($values->one('stem_diameter'));
    }
}
