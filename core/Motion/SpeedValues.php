<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\LashKind;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Slider;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** What the moving train says of its speeds: when it lets go of the lobe, when it floats, how far past full lift at the highest speed. */
final class SpeedValues
{
    /** Stiffness of a train seen from its valve, in N/mm, and a quarter of it either way. [own] */
    private const STIFFNESS = [
        DriveKind::Pushrod->value => [2000.0, 500.0], DriveKind::Bucket->value => [7000.0, 1750.0],
        DriveKind::Finger->value => [5000.0, 1250.0],
    ];

    /** What a lobe is known by from its card: by input of the calculations, the name of the value. */
    public const CARD = [
        'lobe_lift' => 'lobe_lift', 'high_lift' => 'card_high_lift', 'high_duration' => 'card_high_duration', 'low_lift' => 'card_low_lift',
        'low_duration' => 'card_low_duration', 'ramp_height' => 'ramp_height', 'ramp_rate' => 'ramp_rate', 'skew' => 'card_skew',
    ];
    /** What a train is made of beside its lobe, likewise. */
    public const TRAIN = [
        'mass' => 'effective_mass', 'spring_mass' => 'spring_mass', 'ratio' => 'ratio', 'lash' => 'lash_of_train',
        'stiffness' => 'train_stiffness', 'seat_load' => 'valve_seat_load', 'half_load' => 'valve_half_load',
        'open_load' => 'valve_open_load', 'net_lift' => 'net_lift', 'gas_force' => 'gas_at_lift',
    ];

    public static function stiffness(): Column
    {
        return Column::of('train_stiffness', Part::Follower, 200, 40000, Unit::NewtonPerMillimetre, 'stiffness of the train at the valve')
            ->headed('stiffness')->neverRead()->statable()->usually(2000, Unit::NewtonPerMillimetre)
            ->triedOn(Slider::around(1500, 3000, 50, Unit::NewtonPerMillimetre))
            ->orElse(...Way::typical(self::STIFFNESS, Unit::NewtonPerMillimetre));
    }

    /** @return list<Value> */
    public static function declare(): array
    {
        $value = static fn (string $name): From => From::value($name);
        $train = array_map($value, self::TRAIN);
        $card = array_map($value, self::CARD) + $train;
        $table = ['degrees' => From::measuredDegrees(), 'lifts' => From::measuredLifts()] + $train;
        $speed = ['speed' => From::value('highest_speed')];
        $margin = LinearForm::of(
            'float-margin', 'Speed of float beyond the highest speed', Dimension::RotationSpeed, 'speed of float − highest speed',
            Source::own(),
        )
            ->plus('float_speed', 'speed of float')->minus('highest_speed', 'highest speed it saw');

        return [
            Value::named('float_speed', 'speed of float', Dimension::RotationSpeed)->headed('float')
                ->by(
                    Way::derived(SpeedCalculation::floatSpeed(true), $table), Way::derived(SpeedCalculation::floatSpeed(false), $card),
                ),
            Value::named('first_loss_speed', 'speed at which contact is first lost', Dimension::RotationSpeed)->headed('first loss')
                ->by(Way::derived(SpeedCalculation::firstLoss(true), $table), Way::derived(SpeedCalculation::firstLoss(false), $card)),
            Value::named('loft_at_highest', 'loft at the highest speed', Dimension::Length)->headed('loft, at its highest')
                ->by(
                    Way::derived(SpeedCalculation::loftAt(true), $table + $speed),
                    Way::derived(SpeedCalculation::loftAt(false), $card + $speed),
                ),
            Value::named('float_margin', 'speed of float beyond the highest speed', Dimension::RotationSpeed)->by(
                Way::derived($margin, ['float_speed' => From::value('float_speed'), 'highest_speed' => From::value('highest_speed')]),
            ),
            Value::named('surge_order', 'harmonic of the cam that meets the spring at the highest speed', Dimension::Ratio)
                ->headed('surge, harmonic')->by(Way::derived(MotionCalculations::surgeOrder(), [
                    'frequency' => From::value('surge_frequency', Coil::Outer->value), 'speed' => From::value('highest_speed'),
                ])),
            Value::named('clearance_at_phase', 'piston to valve, by cam and phase as found', Dimension::Length)->by(...self::clearance()),
            Value::named('lash_of_train', 'lash of the train, at the valve', Dimension::Length)->by(
                Way::same(From::value('lash'))->on(static fn (Engine $engine): bool => $engine->lash === LashKind::Solid),
                Way::usual(0, Unit::Inch, 'the element takes it up')->on(
                    static fn (Engine $engine): bool => $engine->lash === LashKind::Hydraulic,
                ),
            ),
        ];
    }

    /** @return list<Way> by kind of valve, the measured lift of its lobe before the card */
    private static function clearance(): array
    {
        $card = array_map(static fn (string $name): From => From::value($name), self::CARD);
        $table = ['degrees' => From::measuredDegrees(), 'lifts' => From::measuredLifts()];
        $ways = [];
        foreach (ValveKind::cases() as $kind) {
            $engine = array_map(static fn (string $name): From => From::value($name), [
                'stroke' => 'stroke', 'rod_length' => 'rod_length', 'pin_offset' => 'pin_offset', 'free_drop' => 'free_drop',
                'lean' => $kind->word().'_valve_angle', 'ratio' => 'ratio', 'lash' => 'lash_of_train', 'centre' => 'card_centre',
                'early' => 'cam_early',
            ]);
            $ways[] = Way::derived(ClearanceAtPhase::of($kind, true), $table + $engine)->ofKind($kind);
            $ways[] = Way::derived(ClearanceAtPhase::of($kind, false), $card + $engine)->ofKind($kind);
        }

        return $ways;
    }
}
