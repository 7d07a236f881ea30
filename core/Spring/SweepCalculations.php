<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Declared;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/** What is told from the sweep of a spring: its points, and heights of which something is wanted. */
final readonly class SweepCalculations implements Calculation
{
    use Declared;

    /**
     * @param \Closure(Sweep, Values): Uncertain $tell
     * @param list<Input> $wanted
     */
    private function __construct(
        private string $name,
        private string $title,
        private Dimension $dimension,
        private string $formula,
        private Source $source,
        private \Closure $tell,
        private array $wanted,
    ) {
    }

    public static function load(): self
    {
        return new self(
            'load-from-sweep', 'Load of a swept spring at a height', Dimension::Force,
            'straight line of least squares through the points within 0.025 in, at the height wanted',
            Source::own('a curve that was measured goes before a line through two of its points'),
            static fn (Sweep $sweep, Values $values): Uncertain => $sweep->loadAt($values->one('wanted_height')),
            [Input::scalar('wanted_height', 'height at which the load is wanted', Dimension::Length)],
        );
    }

    public static function rate(): self
    {
        return new self(
            'rate-from-sweep', 'Rate of a swept spring', Dimension::Stiffness,
            'slope of the straight line of least squares through the points between the two heights',
            Source::published('least squares, any text'),
            static fn (Sweep $sweep, Values $values): Uncertain => $sweep->rateBetween($values->one('height'), $values->one('open_height')),
            [
                Input::scalar('height', 'installed height of the spring', Dimension::Length),
                Input::scalar('open_height', 'height at full lift', Dimension::Length),
            ],
        );
    }

    public static function bindHeight(): self
    {
        return new self(
            'bind-height-from-sweep', 'Bind height from a sweep', Dimension::Length,
            'height at which the line of the solid spring meets the line of the last 0.050 in above it',
            Source::own('solid is where the load rises more than four times as fast as the spring does as a whole'),
            static fn (Sweep $sweep): Uncertain => $sweep->bindHeight(), [],
        );
    }

    public function inputs(): array
    {
        return [
            Input::list('heights', 'heights of the sweep', Dimension::Length), Input::list('loads', 'loads of the sweep', Dimension::Force),
            ...$this->wanted,
        ];
    }

    public function compute(Values $values): Uncertain
    {
        return ($this->tell)(new Sweep($values->all('heights'), $values->all('loads')), $values);
    }
}
