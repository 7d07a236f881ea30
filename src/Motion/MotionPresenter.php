<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\App\Sheet\MarginView;
use MuteTapper\App\Tried\PartChoiceView;
use MuteTapper\App\Tried\Sliders;
use MuteTapper\App\Tried\SliderView;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Motion\LiftTable;
use MuteTapper\Core\Motion\LobeCurve;
use MuteTapper\Core\Motion\Movement;
use MuteTapper\Core\Motion\OneMass;
use MuteTapper\Core\Motion\Threshold;
use MuteTapper\Core\Motion\Turn;
use MuteTapper\Core\Motion\ValveTrain;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Verdict\Margin;

/** Puts the motion of a valve, as found and as tried, into the shape in which it is drawn. */
final readonly class MotionPresenter
{
    /** What loft takes away, in the order in which it is met. */
    private const GAPS = ['retainer_to_seal', 'retainer_to_guide', 'travel_to_bind'];
    private const NO_FLOAT = 12000.0;
    private const WORN = 'lobe_lift_from_claim';
    /** Too little spring shows in the first, too much in the others. */
    private const WEIGHED = ['seat_load_left', 'sliding_nose_stress', 'rolling_nose_stress', 'element_load'];

    private UnitSystem $units;

    /** @param Bench|null $tried the same bench with what is tried */
    public function __construct(private Bench $bench, private ?Bench $tried)
    {
        $this->units = $bench->case->settings->units;
    }

    /** @param list<PartChoiceView> $shelved */
    public function motion(string $place, array $shelved): MotionView
    {
        $found = new Movement($place, $this->bench);
        $tried = $this->tried === null ? null : new Movement($place, $this->tried);
        $lobe = $found->lobe();
        $curve = $lobe instanceof LobeCurve ? $this->curve($lobe) : null;
        $train = $found->train();
        $triedTrain = $tried?->train();
        $sliders = new Sliders($this->bench);
        $highest = $this->speed($place, 'highest_speed');
        $known = $train instanceof ValveTrain
            ? $this->thresholds($place, $train, $triedTrain instanceof ValveTrain ? $triedTrain : null) : [];
        $float = array_column($known, 'found', 'name')['float'] ?? null;
        $speeds = $train instanceof ValveTrain ? Movement::speeds($float ?? self::NO_FLOAT, $highest ?? 0.0) : [];
        $meets = $this->tightest($place);

        return new MotionView(
            $place, $this->bench->case->engine->placeLabel($place) ?? $place, $this->figures($found->card()),
            $curve, $curve === null ? null : $this->band($curve, $found), $this->changed($lobe, $tried?->lobe()),
            $lobe instanceof LobeCurve ? $this->measured($place, $lobe) : null, $this->worn($place),
            $this->figures($found->figures()), $this->figures($found->statics()),
            $train instanceof Missing ? $train->what : [], $train instanceof Missing ? $train->because : null,
            $train instanceof ValveTrain ? $found->remarks($train) : [], $known, $speeds,
            $train instanceof ValveTrain ? $this->sweep($train, $speeds, true) : null,
            $triedTrain instanceof ValveTrain && $speeds !== [] ? $this->sweep($triedTrain, $speeds, false) : null,
            $triedTrain instanceof Missing ? $triedTrain->because ?? implode(', ', $triedTrain->what) : null,
            $meets === null ? null : $this->length($meets->value()->base ?? 0.0), $meets?->limit->title,
            $this->length(Threshold::FLOAT_LOFT), $highest,
            $train instanceof ValveTrain && $speeds !== [] ? $this->harmonics($found, $train->lobe, min($speeds), max($speeds)) : [],
            array_map(static fn (array $one): SliderView => $sliders->of($one[0], $one[1], $one[0]->title), $found->tried()),
            $sliders->parts($shelved), $this->weighed($place), $this->bench->value($place, 'float_speed') instanceof Given,
            $this->units->unitOf(Dimension::Length)->symbol(), $this->units->unitOf(Dimension::Force)->symbol(),
        );
    }

    /**
     * Every computed point of the lift or of the sweep, as found and as tried.
     *
     * @return list<list<string|float>> heads first
     */
    public function table(string $place, string $table): array
    {
        $view = $this->motion($place, []);
        $heads = $table === 'lift'
            ? [
                '', 'cam degrees from the nose', 'lift, '.$view->unitLength, 'velocity', 'acceleration', 'jerk',
                'lift, least', 'lift, most', 'velocity, least', 'velocity, most',
                'acceleration, least', 'acceleration, most', 'jerk, least', 'jerk, most',
            ]
            : [
                '', 'engine speed, 1/min', 'loft, '.$view->unitLength, 'gap at the cam', 'bounce', 'bounce, least', 'bounce, most',
                'landing, m/s', 'peak force, '.$view->unitForce, 'varies from turn to turn',
            ];
        $lines = [$heads];
        foreach (['found' => [$view->lobe, $view->sweep], 'tried' => [$view->triedLobe, $view->triedSweep]] as $whose => [$lobe, $sweep]) {
            if ($table === 'lift' && $lobe !== null) {
                $band = $whose === 'found' ? $view->lobeBand : null;
                foreach ($lobe->lift as $i => $lift) {
                    $lines[] = [
                        $whose, (float) ($lobe->first + $i), $lift, $lobe->velocity[$i], $lobe->acceleration[$i], $lobe->jerk[$i],
                        ...($band === null ? array_fill(0, 8, '') : [
                            ...$band->lift[$i], ...$band->velocity[$i], ...$band->acceleration[$i], ...$band->jerk[$i],
                        ]),
                    ];
                }
            }
            if ($table === 'sweep' && $sweep !== null) {
                foreach ($view->speeds as $i => $speed) {
                    $lines[] = [
                        $whose, $speed, $sweep->loft[$i], $sweep->gap[$i], $sweep->bounce[$i] ?? '', $sweep->bounceLow[$i] ?? '',
                        $sweep->bounceHigh[$i] ?? '', $sweep->landing[$i] ?? '', $sweep->peak[$i], $sweep->varies[$i] ? 'yes' : 'no',
                    ];
                }
            }
        }

        return $lines;
    }

    /** @return TurnView|null null while there is no train */
    public function turn(string $place, float $speed): ?TurnView
    {
        $train = (new Movement($place, $this->tried ?? $this->bench))->train();
        if ($train instanceof Missing) {
            return null;
        }
        $turn = OneMass::turn($train, $speed, true);
        $degrees = $asked = $lift = $force = $held = [];
        foreach ($turn->trace as [$degree, $y, $pressed, $isHeld]) {
            $degrees[] = round(2 * $degree, 2);
            $asked[] = $this->length($train->lobe->atValve($degree, $train->ratio, $train->lash));
            $lift[] = $this->length($y);
            $force[] = $this->force($pressed);
            $held[] = $isHeld;
        }

        return new TurnView(
            $speed, $degrees, $asked, $lift, $force, $held, round(2 * $turn->lost, 1), $this->length($turn->loft),
            $this->length($train->fullLift()), $turn->bounces, round($turn->landing, 2), $turn->varies,
        );
    }

    /** @return list<ThresholdView> */
    private function thresholds(string $place, ValveTrain $train, ?ValveTrain $tried): array
    {
        $ask = [
            'first_loss' => ['contact first lost over the nose', Threshold::firstLoss(...), 'first_loss_speed'],
            'float' => ['float, 0.25 mm past full lift', static fn (ValveTrain $one): ?float => Threshold::floatSpeed($one), 'float_speed'],
            'bound' => ['bound of a stiff train, never float', Threshold::bound(...), null],
        ];
        $views = [];
        foreach ($ask as $name => [$label, $of, $value]) {
            $kept = $value === null ? null : $this->bench->value($place, $value);
            $views[] = new ThresholdView(
                $name, $label, self::whole($of($train)), $kept instanceof Given ? round(2 * $kept->value->standard()) : null,
                $tried === null ? null : self::whole($of($tried)),
            );
        }

        return $views;
    }

    /** @param list<float> $speeds */
    private function sweep(ValveTrain $train, array $speeds, bool $hasBand): SpeedSweepView
    {
        $bounces = static fn (ValveTrain $one): array => array_map(static fn (float $speed): Turn => OneMass::turn($one, $speed), $speeds);
        $turns = $bounces($train);
        [$hard, $soft] = $hasBand
            ? array_map(static fn (float $damping): array => $bounces($train->withSeatDamping($damping)), ValveTrain::SEAT_DAMPING_RANGE)
            : [[], []];
        $bounce = fn (Turn $turn): ?float => $turn->varies ? null : $this->length($turn->bounce);

        return new SpeedSweepView(
            array_map(fn (Turn $turn): float => $this->length($turn->loft), $turns),
            array_map(fn (Turn $turn): float => $this->length($turn->gap), $turns),
            array_map($bounce, $turns), array_map($bounce, $soft), array_map($bounce, $hard),
            array_map(static fn (Turn $turn): ?float => $turn->varies ? null : round($turn->landing, 3), $turns),
            array_map(fn (Turn $turn): float => $this->force($turn->peakForce), $turns),
            array_map(static fn (Turn $turn): bool => $turn->varies, $turns),
        );
    }

    /** @return list<HarmonicView> */
    private function harmonics(Movement $found, LobeCurve $lobe, float $from, float $to): array
    {
        $views = [];
        foreach ($found->harmonics($lobe, $from, $to) as $number => [$speed, $share]) {
            $views[] = new HarmonicView($number, round($speed), round(1000 * $share, 3));
        }

        return $views;
    }

    /** @throws Contradiction never: a lobe came of it */
    private function measured(string $place, LobeCurve $lobe): ?MeasuredLiftView
    {
        $measured = $this->bench->lift($place);
        if ($measured === null) {
            return null;
        }
        [$of, $lift] = $measured;
        $points = LiftTable::points($lift);
        $off = array_map(static fn (array $point): float => ($lobe->of($point[0])[0] - $point[1]) ** 2, $points);

        return new MeasuredLiftView(
            $of, $this->bench->case->engine->placeLabel($of) ?? $of, $lift->wheel, $lift->gauge->label,
            array_map(static fn (array $point): float => round($point[0], 3), $points),
            array_map(fn (array $point): float => $this->length($point[1]), $points), $this->length(sqrt(array_sum($off) / count($off))),
        );
    }

    /** The lift that was read of the lobe, against that of its card. */
    private function worn(string $place): ?MarginView
    {
        $margin = $this->bench->margin($place, self::WORN);

        return $margin?->value() === null ? null : MarginView::of($margin, $this->bench);
    }

    /** @return list<WeighedView> */
    private function weighed(string $place): array
    {
        $views = [];
        foreach (self::WEIGHED as $quantity) {
            $margin = $this->bench->margin($place, $quantity);
            $tried = $this->tried?->margin($place, $quantity);
            if ($margin?->value() !== null) {
                $views[] = new WeighedView(
                    $quantity, MarginView::of($margin, $this->bench),
                    $this->tried === null || $tried?->value() === null ? null : MarginView::of($tried, $this->tried),
                );
            }
        }

        return $views;
    }

    /** The gap that loft would close first. */
    private function tightest(string $place): ?Margin
    {
        $tightest = null;
        foreach (self::GAPS as $quantity) {
            foreach ($this->bench->marginsOf($quantity) as $margin) {
                $value = $margin->value();
                if ($margin->place === $place && $value !== null && $value->base > 0.0
                    && ($tightest === null || $value->base < ($tightest->value()->base ?? INF))) {
                    $tightest = $margin;
                }
            }
        }

        return $tightest;
    }

    /**
     * @param array<string, Given> $known
     *
     * @return list<MotionFigureView>
     */
    private function figures(array $known): array
    {
        $views = [];
        foreach ($known as $name => $given) {
            $views[] = MotionFigureView::of($this->bench->sheets->value($name), $given, $this->units);
        }

        return $views;
    }

    private function changed(LobeCurve|Missing $found, LobeCurve|Missing|null $tried): ?LiftCurveView
    {
        return $tried instanceof LobeCurve && ($found instanceof Missing || $found->lift !== $tried->lift) ? $this->curve($tried) : null;
    }

    private function band(LiftCurveView $lobe, Movement $movement): ?LiftBandView
    {
        $others = array_map($this->curve(...), $movement->otherLobes());

        return $others === [] ? null : LiftBandView::about($lobe, $others);
    }

    private function curve(LobeCurve $lobe): LiftCurveView
    {
        return LiftCurveView::of($lobe, $this->units->unitOf(Dimension::Length)->baseFactor());
    }

    private function speed(string $place, string $name): ?float
    {
        $given = $this->bench->value($place, $name);

        return $given instanceof Given ? $given->value->base : null;
    }

    private function length(float $base): float
    {
        return round($base / $this->units->unitOf(Dimension::Length)->baseFactor(), 6);
    }

    private function force(float $base): float
    {
        return round($base / $this->units->unitOf(Dimension::Force)->baseFactor(), 1);
    }

    private static function whole(?float $speed): ?float
    {
        return $speed === null ? null : round($speed);
    }
}
