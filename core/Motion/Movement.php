<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Sheet\Value;

/** How the valve of a station moves, by what the bench knows of its train. */
final readonly class Movement
{
    /** What is weighed, stated and assumed of a train, in the order in which it is shown. */
    private const FIGURES = [
        'valve_mass', 'retainer_mass', 'lock_mass', 'spring_mass', 'follower_mass', 'pushrod_mass', 'rocker_mass', 'effective_mass',
        'ratio', 'lash_of_train', 'train_stiffness', 'valve_seat_load', 'valve_half_load', 'valve_open_load', 'net_lift', 'gas_at_lift',
    ];
    /** What is tried, in the order of use. */
    private const TRIED = [
        'installed_height', 'retainer_mass', 'spring_mass', 'valve_mass', 'follower_mass', 'pushrod_mass', 'lash', 'lobe_lift', 'ratio',
        'train_stiffness', 'highest_speed',
    ];
    private const STATICS = [
        'speed_bound', 'gas_force', 'seat_load_left', 'emptying_pressure', 'nose_force', 'nose_force_at_speed', 'sliding_nose_stress',
        'rolling_nose_stress', 'film_ratio', 'loft_at_highest',
    ];
    /** Higher harmonics, and smaller ones, set nothing swinging. [own] */
    private const HARMONICS = 20;
    private const LEAST_SHARE = 5e-5;
    /** A sweep begins and ends at these shares of the speed of float, and goes in such steps. Turns a minute. */
    private const SWEPT = [0.45, 1.15];
    private const STEP = 100;
    private const MOST = 90;

    public function __construct(public string $place, private Bench $bench)
    {
    }

    /** @return array<string, Given> of what the train is made, as far as it is known, by name */
    public function figures(): array
    {
        return $this->known(self::FIGURES);
    }

    /** @return array<string, Given> what the lobe is known by */
    public function card(): array
    {
        return $this->known(array_values(SpeedValues::CARD));
    }

    /** @return list<array{Value, Given}> what may be tried here, and what was found of it */
    public function tried(): array
    {
        $tried = [];
        foreach ($this->known(self::TRIED) as $name => $given) {
            $value = $this->bench->sheets->value($name);
            // Of a part that weighs nothing the engine has none.
            if ($value->column?->isFittedTo($this->bench->case->engine) === true && $given->value->base !== 0.0) {
                $tried[] = [$value, $given];
            }
        }

        return $tried;
    }

    /** The lobe alone: it can be drawn before anything was weighed. As measured; where it was not, as its card says. */
    public function lobe(?FlankShape $shape = null): LobeCurve|Missing
    {
        $measured = $this->bench->lift($this->place);
        $figures = $measured === null ? $this->gathered(SpeedValues::CARD) : [];
        try {
            return match (true) {
                $figures instanceof Missing => $figures,
                $measured !== null => $this->asTried(LiftTable::of($measured[1])),
                default => TrainInputs::lobe($figures, $shape),
            };
        } catch (Contradiction $contradiction) {
            return Missing::because($contradiction->getMessage());
        }
    }

    /** @return list<LobeCurve> what the lobe may be as well, as far as its card leaves that open; none where it was measured */
    public function otherLobes(): array
    {
        $lobes = $this->bench->lift($this->place) === null ? array_map($this->lobe(...), FlankShape::others()) : [];

        return array_values(array_filter($lobes, static fn (LobeCurve|Missing $lobe): bool => $lobe instanceof LobeCurve));
    }

    /** Where another lift is tried, the measured lobe grows to it in every point. */
    private function asTried(LobeCurve $measured): LobeCurve
    {
        $lift = $this->bench->value($this->place, 'lobe_lift');

        return $lift instanceof Given && $lift->basis === Basis::Changed
            ? $measured->scaled($lift->value->base / $measured->peak()) : $measured;
    }

    public function train(): ValveTrain|Missing
    {
        $figures = $this->gathered(SpeedValues::TRAIN);
        $lobe = $this->lobe();
        if ($figures instanceof Missing || $lobe instanceof Missing) {
            return Missing::all($figures, $lobe);
        }
        try {
            return TrainInputs::train($lobe, $figures);
        } catch (Contradiction $contradiction) {
            return Missing::because($contradiction->getMessage());
        }
    }

    /**
     * Speeds of a sweep that shows where this train floats, and the highest that it saw.
     *
     * @return non-empty-list<float>
     */
    public static function speeds(float $float, float $highest): array
    {
        $from = floor(self::SWEPT[0] * $float / self::STEP) * self::STEP;
        $to = ceil(max(self::SWEPT[1] * $float, 1.02 * $highest) / self::STEP) * self::STEP;
        $step = self::STEP * max(1, (int) ceil(($to - $from) / self::STEP / self::MOST));

        return range($from, $to, $step);
    }

    /** @return array<string, Given> what follows without any motion, by name */
    public function statics(): array
    {
        return $this->known(self::STATICS);
    }

    /**
     * Harmonics of the lift that the springs answer to, and the crank speeds at which they meet: those that matter, between two speeds.
     *
     * @return array<int, array{float, float}> speed in turns a minute and share of the lift, by number
     */
    public function harmonics(LobeCurve $lobe, float $from, float $to): array
    {
        $frequency = $this->surge();
        if ($frequency === null) {
            return [];
        }
        $met = [];
        foreach ($lobe->harmonics(self::HARMONICS) as $number => $share) {
            $speed = 120 * $frequency / $number;
            if ($speed >= $from && $speed <= $to && $share > self::LEAST_SHARE) {
                $met[$number] = [$speed, $share];
            }
        }

        return $met;
    }

    /** Of the outer spring by its wire; else of all of them by what they weigh. Hertz. */
    private function surge(): ?float
    {
        $known = $this->bench->value($this->place, 'surge_frequency', Coil::Outer->value);
        if ($known instanceof Given) {
            return $known->value->base;
        }
        $train = $this->train();

        return $train instanceof Missing || $train->springMass <= 0.0 ? null
            : sqrt($train->spring->rateTo($train->fullLift()) / $train->springMass) / 2;
    }

    /** @return list<string> what the lobe and its train do not get along in, in words */
    public function remarks(ValveTrain $train): array
    {
        $units = $this->bench->case->settings->units;
        $remarks = [];
        $ramp = $this->bench->lift($this->place) === null ? $this->bench->value($this->place, 'ramp_height') : null;
        $gives = $train->lash / $train->ratio + $train->spring->seatLoad() / $train->stiffness / $train->ratio;
        if ($ramp instanceof Given && $ramp->value->base < $gives) {
            $show = static fn (float $base): string => $units->show(Quantity::of(
                $base, Unit::Metre,
            ));
            $remarks[] = sprintf(
                'The ramp is %s high; lash and what the train gives under its seat load take %s at the lobe. The valve leaves and meets '.
                'its seat on the flank, not on the ramp.',
                $show($ramp->value->base), $show($gives),
            );
        }

        return $remarks;
    }

    /**
     * @param list<string> $names
     *
     * @return array<string, Given>
     */
    private function known(array $names): array
    {
        $known = [];
        foreach ($names as $name) {
            $given = $this->bench->value($this->place, $name);
            if ($given instanceof Given) {
                $known[$name] = $given;
            }
        }

        return $known;
    }

    /**
     * @param array<string, string> $names by input
     *
     * @return array<string, float>|Missing
     */
    private function gathered(array $names): array|Missing
    {
        $figures = $missing = [];
        $because = null;
        foreach ($names as $input => $name) {
            $given = $this->bench->value($this->place, $name);
            if ($given instanceof Given) {
                $figures[$input] = $given->value->base;
            } else {
                $missing = [...$missing, ...$given->what];
                $because ??= $given->because;
            }
        }

        return count($figures) === count($names) ? $figures : Missing::of($missing, $because);
    }
}
