<?php

declare(strict_types=1);

namespace MuteTapper\Core\Piston;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** Volume of a cylinder with the piston down over that with the piston up; the gasket’s hole is taken as wide as the bore. */
final class CompressionRatio implements Calculation
{
    public function name(): string
    {
        return 'compression-ratio';
    }

    public function title(): string
    {
        return 'Compression ratio';
    }

    public function inputs(): array
    {
        return [
            Input::scalar('bore', 'bore', Dimension::Length),
            Input::scalar('stroke', 'stroke', Dimension::Length),
            Input::scalar('chamber', 'volume of the chamber in the head', Dimension::Volume),
            Input::scalar('piston', 'dish of the piston, a dome is negative', Dimension::Volume),
            Input::scalar('gasket_thickness', 'head gasket, compressed', Dimension::Length),
            Input::scalar('deck_clearance', 'piston below the deck at top dead centre', Dimension::Length),
        ];
    }

    public function resultDimension(): Dimension
    {
        return Dimension::Ratio;
    }

    public function formula(): string
    {
        return '1 + swept ÷ (chamber + dish + π ÷ 4·bore²·(gasket + deck)), swept = π ÷ 4·bore²·stroke';
    }

    public function source(): Source
    {
        return Source::published('geometric compression ratio; any text on engines; from memory');
    }

    public function compute(Values $values): Uncertain
    {
        $area = $values->one('bore')->toThe(2, Dimension::Ratio)->scaled(M_PI / 4);
        $left = $values->one('chamber')->plus($values->one('piston'))->plus(
            $area->times($values->one('gasket_thickness')->plus($values->one('deck_clearance')), Dimension::Volume),
        );
        if ($left->base <= 0) {
            throw Contradiction::because('The dome fills the whole chamber: check its sign and the volumes.');
        }
        $swept = $area->times($values->one('stroke'), Dimension::Volume);

        return $swept->plus($left)->dividedBy($left, Dimension::Ratio);
    }
}
