<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\LashKind;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** What the moving train says of its speeds: when it lets go of the lobe, when it floats, how far past full lift at the highest speed. */
final class SpeedValues
{
    /** Stiffness of a train seen from its valve, in N/mm, and the half-width that engines of a kind make of it: a quarter. [own] */
    private const STIFFNESS = [
        DriveKind::Pushrod->value => 2000.0, DriveKind::Bucket->value => 7000.0, DriveKind::Finger->value => 5000.0,
    ];
    private const STIFFNESS_WITHIN = 0.25;

    public static function stiffness(): Column
    {
        $usual = static fn (DriveKind $drive): Way => Way::usual(
            self::STIFFNESS[$drive->value], Unit::NewtonPerMillimetre, 'as such trains usually have it',
            self::STIFFNESS_WITHIN * self::STIFFNESS[$drive->value],
        )->on(static fn (Engine $engine): bool => $engine->drive === $drive);

        return Column::of('train_stiffness', Part::Follower, 200, 40000, Unit::NewtonPerMillimetre, 'stiffness of the train at the valve')
            ->headed('stiffness')->neverRead()->statable()->usually(2000, Unit::NewtonPerMillimetre)
            ->orElse(...array_map($usual, DriveKind::cases()));
    }

    /** @return list<Value> */
    public static function declare(): array
    {
        $train = [
            'mass' => From::value('effective_mass'), 'spring_mass' => From::value('spring_mass'), 'ratio' => From::value('ratio'),
            'lash' => From::value('lash_of_train'), 'stiffness' => From::value('train_stiffness'),
            'seat_load' => From::value('valve_seat_load'), 'half_load' => From::value('valve_half_load'),
            'open_load' => From::value('valve_open_load'), 'net_lift' => From::value('net_lift'), 'gas_force' => From::value('gas_at_lift'),
        ];
        $card = [
            'lobe_lift' => From::value('lobe_lift'), 'high_lift' => From::value('card_high_lift'),
            'high_duration' => From::value('card_high_duration'), 'low_lift' => From::value('card_low_lift'),
            'low_duration' => From::value('card_low_duration'), 'ramp_height' => From::value('ramp_height'),
            'ramp_rate' => From::value('ramp_rate'),
        ] + $train;
        $margin = LinearForm::of(
            'float-margin', 'Speed of float beyond the highest speed', Dimension::RotationSpeed, 'speed of float − highest speed',
            Source::own(),
        )
            ->plus('float_speed', 'speed of float')->minus('highest_speed', 'highest speed it saw');

        return [
            Value::named('float_speed', 'speed of float', Dimension::RotationSpeed)->headed('float')
                ->by(Way::derived(SpeedCalculation::floatSpeed(false), $card)),
            Value::named('first_loss_speed', 'speed at which contact is first lost', Dimension::RotationSpeed)->headed('first loss')
                ->by(Way::derived(SpeedCalculation::firstLoss(false), $card)),
            Value::named('loft_at_highest', 'loft at the highest speed', Dimension::Length)->headed('loft, at its highest')
                ->by(Way::derived(SpeedCalculation::loftAt(false), $card + ['speed' => From::value('highest_speed')])),
            Value::named('float_margin', 'speed of float beyond the highest speed', Dimension::RotationSpeed)->by(
                Way::derived($margin, ['float_speed' => From::value('float_speed'), 'highest_speed' => From::value('highest_speed')]),
            ),
            Value::named('lash_of_train', 'lash of the train, at the valve', Dimension::Length)->by(
                Way::same(From::value('lash'))->on(static fn (Engine $engine): bool => $engine->lash === LashKind::Solid),
                Way::usual(0, Unit::Inch, 'the element takes it up')->on(
                    static fn (Engine $engine): bool => $engine->lash === LashKind::Hydraulic,
                ),
            ),
        ];
    }
}
