<?php

declare(strict_types=1);

namespace MuteTapper\Core\RunLog;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/**
 * Speed to which the wheels turn the engine in a gear, clutch closed: a missed shift that a slow logger does not show, and
 * that no limiter stops.
 */
final class EngineSpeedFromRoadSpeed implements Calculation
{
    public function name(): string
    {
        return 'engine-speed-from-road-speed';
    }

    public function title(): string
    {
        return 'Engine speed from road speed and gear';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('road_speed', 'road speed when the gear went in', Dimension::Velocity),
            Input::scalar('overall_ratio', 'gear ratio × final drive', Dimension::Ratio),
            Input::scalar('circumference', 'rolling circumference of the driven tyre', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::RotationSpeed;
    }

    public function formula(): string
    {
        return '60 × road speed × overall ratio ÷ circumference';
    }

    public function source(): Source
    {
        return Source::own('without slip of tyre and clutch');
    }

    public function compute(Values $values): Uncertain
    {
        return $values->one('road_speed')
            ->times($values->one('overall_ratio'), Dimension::RotationSpeed)
            ->dividedBy($values->one('circumference'), Dimension::RotationSpeed)->scaled(60);
    }
}
