<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\LongCalculation;
use MuteTapper\Core\Calculation\Solution;
use MuteTapper\Core\Calculation\Solved;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Quantity\Dimension;

/** A question to a moving valve train, answered once for its figures: with how it moves with each, and what the model leaves open. */
final readonly class SpeedCalculation implements LongCalculation
{
    use Solved;

    /** What smoothing leaves open of a measured lobe, as a share of a speed: some per cent with an indicator’s noise. [own] */
    private const TABLE = 0.03;

    /**
     * @param \Closure(ValveTrain, float|null, bool, array<string, float>): ?float $ask of a train, with the answer that is near, whether
     *                                                                                  its spring surges, and the figures
     * @param string $never what is said where there is no answer
     * @param list<Input> $inputs
     */
    private function __construct(
        private string $name,
        private string $title,
        private Dimension $dimension,
        private string $formula,
        private Source $source,
        private bool $isByTable,
        private \Closure $ask,
        private string $never,
        private array $inputs,
    ) {
    }

    /** Speed of float, by the card of the cam or by a measured lift. */
    public static function floatSpeed(bool $isByTable): self
    {
        return new self(
            $isByTable ? 'float-speed-by-table' : 'float-speed', $isByTable ? 'Speed of float, by the measured lift' : 'Speed of float',
            Dimension::RotationSpeed, 'speed at which the valve flies 0.25 mm past full lift: one mass between lobe, spring and seat',
            self::ownModel(), $isByTable,
            static fn (ValveTrain $train, ?float $near, bool $surges): ?float => Threshold::floatSpeed($train, $near, $surges),
            'Up to a third above the bound of a stiff train the valve does not float.', TrainInputs::of($isByTable),
        );
    }

    /** Speed at which the train first lets go of the lobe, over the nose. */
    public static function firstLoss(bool $isByTable): self
    {
        return new self(
            $isByTable ? 'first-loss-by-table' : 'first-loss',
            $isByTable ? 'First loss of contact, by the measured lift' : 'First loss of contact', Dimension::RotationSpeed,
            'least speed at which a gap opens at the cam where the lobe slows the valve down', self::ownModel(), $isByTable,
            // A spring that surges opens gaps of its own, at speeds of its own: they are told by the harmonics.
            static fn (ValveTrain $train, ?float $near, bool $surges): ?float => $surges ? null : Threshold::firstLoss($train, $near),
            'Up to a third above the bound of a stiff train contact is not lost.', TrainInputs::of($isByTable),
        );
    }

    /** How far past full lift the valve flies at a speed. */
    public static function loftAt(bool $isByTable): self
    {
        return new self(
            $isByTable ? 'loft-at-speed-by-table' : 'loft-at-speed',
            $isByTable ? 'Loft at a speed, by the measured lift' : 'Loft at a speed', Dimension::Length,
            'greatest excess over full lift at this speed: one mass between lobe, spring and seat', self::ownModel(), $isByTable,
            static fn (ValveTrain $train, ?float $near, bool $surges, array $figures): float => (
                $surges ? SurgingSpring::turn($train, $figures['speed']) : OneMass::turn($train, $figures['speed'])
            )->loft,
            '', [...TrainInputs::of($isByTable), Input::scalar('speed', 'speed of the crank', Dimension::RotationSpeed)],
        );
    }

    public function inputs(): array
    {
        return $this->inputs === [] ? throw new \LogicException('A train of nothing.') : $this->inputs;
    }

    public function solve(array $figures): Solution
    {
        $single = array_map(static fn (array $list): float => $list[0] ?? 0.0, $figures);
        $measured = $this->isByTable ? LiftTable::curve($figures['degrees'], $figures['lifts']) : null;
        $train = TrainInputs::train($measured ?? TrainInputs::lobe($single), $single);
        $value = ($this->ask)($train, null, false, $single) ?? throw Contradiction::because($this->never);
        $slopes = [];
        foreach (TrainInputs::steps($single) as $name => $step) {
            if (isset($figures[$name]) && count($figures[$name]) === 1) {
                $slopes[$name] = Slope::of(function (float $by) use ($measured, $single, $name, $value): ?float {
                    $moved = array_replace($single, [$name => $single[$name] + $by]);

                    return ($this->ask)(TrainInputs::train($measured ?? TrainInputs::lobe($moved), $moved), $value, false, $moved);
                }, $step, $value);
            }
        }

        return Solution::of($value, $slopes, $this->ownBands($train, $single, $value));
    }

    /**
     * Half-widths of what neither the readings nor the card tell.
     *
     * @param array<string, float> $single
     *
     * @return array<string, float>
     */
    private function ownBands(ValveTrain $train, array $single, float $value): array
    {
        $open = $this->isByTable ? self::TABLE * abs($value) : FlankShape::open(
            fn (FlankShape $shape): ?float => ($this->ask)($train->withLobe(TrainInputs::lobe($single, $shape)), $value, false, $single),
            $value,
        );
        $own = [$this->isByTable ? 'what the gauge’s noise leaves open of the lobe' : 'what a card leaves open of its lobe' => $open];
        if ($train->springMass > 0.0) {
            $own['surge of the spring'] = 0.0;
            foreach (ValveTrain::SURGE_DAMPING_RANGE as $damping) {
                $other = ($this->ask)($train->withSurgeDamping($damping), $value, true, $single);
                $own['surge of the spring'] = max($own['surge of the spring'], $other === null ? 0.0 : abs($other - $value));
            }
        }

        return array_filter($own, static fn (float $half): bool => $half > 0.0);
    }

    private static function ownModel(): Source
    {
        return Source::own(
            'solved cell by cell, agreed with SciPy’s solve_ivp; never held against a running engine. Stiffness, damping and the lobe’s '.
            'shape are worth 3 to 10 per cent of a speed',
        );
    }
}
