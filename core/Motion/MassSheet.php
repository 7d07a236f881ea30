<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Slider;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** What moves with a valve, and the speed up to which its springs could hold all of it to the nose if nothing gave way. */
final class MassSheet
{
    /** What such parts usually weigh in grams, and the half-width of that, by kind of drive: guesses from memory. [own] */
    private const LOCKS = [
        DriveKind::Pushrod->value => [4.5, 1.5], DriveKind::Bucket->value => [2.5, 1.0], DriveKind::Finger->value => [2.2, 1.0],
    ];
    private const SPRINGS = [
        DriveKind::Pushrod->value => [110.0, 35.0], DriveKind::Bucket->value => [55.0, 20.0], DriveKind::Finger->value => [48.0, 18.0],
    ];
    private const PUSHROD = [DriveKind::Pushrod->value => [70.0, 25.0]];
    private const ROCKER = [DriveKind::Pushrod->value => [25.0, 12.0], DriveKind::Finger->value => [14.0, 7.0]];

    public static function declare(): Sheet
    {
        $gram = static fn (
            string $code, Part $part, float $least, float $most, string $label, string $short, float $usual,
        ): Column => Column::of($code, $part, $least, $most, Unit::Gram, $label)
            ->headed($short)->by('scale')->usually($usual, Unit::Gram)
            ->triedOn(Slider::around(0.6 * $usual, 0.6 * $usual, 0.5, Unit::Gram));
        $pushrods = static fn (Engine $engine): bool => $engine->drive === DriveKind::Pushrod;
        $rocks = static fn (Engine $engine): bool => $engine->drive !== DriveKind::Bucket;

        return new Sheet(
            code: 'masses',
            title: 'Masses that move',
            step: Step::Bench,
            what: 'masses',
            columns: [
                $gram('lock_mass', Part::Locks, 0.5, 25, 'mass of both lock halves', 'locks', 4.2)
                    ->orElse(...Way::typical(self::LOCKS, Unit::Gram)),
                $gram('spring_mass', Part::Spring, 8, 350, 'mass of all springs of the valve', 'springs', 118)->statable()
                    ->orElse(...Way::typical(self::SPRINGS, Unit::Gram)),
                self::orNone(
                    $gram('pushrod_mass', Part::Pushrod, 10, 250, 'mass of the pushrod', 'pushrod', 82), $pushrods, 'no pushrod',
                    self::PUSHROD,
                ),
                self::orNone(
                    $gram('rocker_mass', Part::Rocker, 2, 150, 'rocker or finger, as if at the valve: inertia ÷ arm²', 'rocker', 28),
                    $rocks, 'no rocker', self::ROCKER,
                ),
                SpeedValues::stiffness(),
            ],
            values: [...self::values(), ...SpeedValues::declare()],
            judged: [
                Judged::of('bound_over_speed', 'bound ÷ speed')->restsOn('bound')->accusingOnly(),
                Judged::of('float_margin', 'float beyond speed')->restsOn('float_speed'),
                Judged::of('surge_order', 'surge, harmonic')->restsOn('frequency'),
            ],
            also: ['valve_mass', 'retainer_mass', 'follower_mass'],
            wants: ['lock_mass' => 1, 'spring_mass' => 1],
        );
    }

    /**
     * @param \Closure(Engine): bool $has engines that have the part; with the others it weighs nothing
     * @param array<string, array{float, float}> $typical
     */
    private static function orNone(Column $column, \Closure $has, string $why, array $typical): Column
    {
        $none = Way::usual(0, Unit::Gram, $why, basis: Basis::Claimed)->on(static fn (Engine $engine): bool => !$has($engine));

        return $column->on($has)->orElse(...Way::typical($typical, Unit::Gram), ...[$none]);
    }

    /** @return list<Value> */
    private static function values(): array
    {
        return [
            Value::named('gas_at_lift', 'gas force that opens the valve at full lift', Dimension::Force, Site::Engine)->by(
                Way::usual(0, Unit::PoundForce, 'open to both sides, taken as nothing'),
            ),
            Value::named('top_speed', 'speed that the engine is meant for', Dimension::RotationSpeed, Site::Engine)->by(
                Way::fact(static fn (Engine $engine): ?Given => $engine->intendedSpeed === null ? null : new Given(
                    Uncertain::exact(Quantity::of($engine->intendedSpeed, Unit::RevolutionPerMinute)),
                    'intended speed of the engine description', Basis::Claimed,
                )),
            ),
            Value::named('effective_mass', 'effective mass at the valve', Dimension::Mass)->headed('moving mass')->by(
                Way::derived(MotionCalculations::effectiveMass(), [
                    'valve' => From::value('valve_mass'), 'retainer' => From::value('retainer_mass'), 'locks' => From::value('lock_mass'),
                    'spring' => From::value('spring_mass'), 'follower' => From::value('follower_mass'),
                    'pushrod' => From::value('pushrod_mass'), 'rocker' => From::value('rocker_mass'), 'ratio' => From::value('ratio'),
                ]),
            ),
            Value::named('speed_bound', 'quasi-static upper bound of speed', Dimension::RotationSpeed)->headed('bound, stiff train')->by(
                Way::derived(MotionCalculations::quasiStaticBound(), [
                    'load_open' => From::value('valve_open_load'), 'gas_force' => From::value('gas_at_lift'),
                    'mass' => From::value('effective_mass'), 'ratio' => From::value('ratio'), 'bend' => From::value('nose_bend'),
                ]),
            ),
            Value::named('bound_over_speed', 'quasi-static bound over the intended speed', Dimension::Ratio)->by(
                Way::derived(MotionCalculations::boundOverSpeed(), [
                    'bound' => From::value('speed_bound'), 'speed' => From::value('top_speed'),
                ]),
            ),
        ];
    }
}
