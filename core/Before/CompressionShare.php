<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Compression of one cylinder, in per cent of the highest. */
final class CompressionShare implements Calculation
{
    public function name(): string
    {
        return 'compression-share';
    }

    public function title(): string
    {
        return 'Compression against the highest cylinder';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('compression', 'compression of this cylinder', Dimension::GaugePressure),
            Input::scalar('highest', 'highest compression of the engine', Dimension::GaugePressure),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Percent;
    }

    public function formula(): string
    {
        return '100 × compression ÷ highest';
    }

    public function source(): Source
    {
        return Source::practice('the lowest cylinder reaches at least 75 per cent of the highest');
    }

    public function compute(Values $values): Uncertain
    {
        if ($values->one('highest')->base <= 0.0) {
            throw Contradiction::because(
                'No cylinder has any compression: a gauge that is not screwed home, an open throttle or a cam that does not turn would '.
                'do that. Test again.',
            );
        }

        return $values->one('compression')->dividedBy($values->one('highest'), Dimension::Percent)->scaled(100);
    }
}
