<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Sheet\Sheets;

/** What can be changed on an engine besides parts that are taken whole. [practice] */
final class Adjustments
{
    /** Parts taken whole, with everything that is known of them. */
    public const PARTS = [Part::Spring, Part::Lobe];

    private const CUT = 'Metal does not come back';

    /** @return list<Adjustment> those that an engine such as this one has */
    public static function of(Engine $engine, Sheets $sheets): array
    {
        return array_values(array_filter(
            self::all(), static fn (Adjustment $one): bool => $sheets->value($one->name)->column?->isFittedTo($engine) === true,
        ));
    }

    public static function named(string $name): ?Adjustment
    {
        foreach (self::all() as $one) {
            if ($one->name === $name) {
                return $one;
            }
        }

        return null;
    }

    /** @return list<Adjustment> */
    public static function all(): array
    {
        return [
            new Adjustment('shim_stack', 'spring seat', label: 'shims under the spring'),
            new Adjustment('locator_thickness', 'spring seat'),
            new Adjustment('installed_height', 'spring seat'),
            new Adjustment(
                'pocket_diameter', 'spring seat',
                self::CUT.': a spring of the old diameter then needs a locator, and the wall of the pocket is thinner.',
            ),
            new Adjustment(
                'guide_cut', 'guide',
                self::CUT.': the step that centred the spring is shorter, a seal that sat on it may find no hold, and cut guides '
                .'are found loose more often below 0.550 in of lift.',
            ),
            new Adjustment('seal_height', 'guide'),
            new Adjustment('longer_valve', 'valve and locks'),
            new Adjustment('lock_offset', 'valve and locks'),
            new Adjustment('retainer_offset', 'valve and locks'),
            new Adjustment('valve_mass', 'valve and locks'),
            new Adjustment('retainer_mass', 'valve and locks'),
            new Adjustment('lock_mass', 'valve and locks'),
            new Adjustment(
                'seat_width', 'seat',
                self::CUT.': the valve sits deeper after every cut, and the height of its spring grows with it.',
            ),
            new Adjustment(
                'contact_outside', 'seat',
                self::CUT.': a contact that was moved outward leaves less insert around it.',
            ),
            new Adjustment('lash', 'drive'),
            new Adjustment('preload', 'drive'),
            new Adjustment('ratio', 'drive'),
            new Adjustment('lobe_lift', 'drive'),
            new Adjustment('follower_mass', 'drive'),
            new Adjustment('rocker_mass', 'drive'),
            new Adjustment('pushrod_mass', 'drive'),
            new Adjustment('pushrod_length', 'drive'),
            new Adjustment('train_stiffness', 'drive'),
            new Adjustment('cam_phase_found', 'drive', label: 'cam phase'),
            new Adjustment(
                'relief_depth', 'piston',
                self::CUT.': a deeper relief is a thinner land over the ring groove. Depth at several places, metal left, '
                .'balance between pistons; bores and oilways sealed, swarf accounted for.',
            ),
            new Adjustment(
                'relief_radius', 'piston',
                self::CUT.': a wider relief comes nearer to the edge of the crown.',
            ),
            new Adjustment('gasket_thickness', 'piston'),
            new Adjustment('highest_speed', 'running', label: 'limiter: the highest speed it can reach', kinds: [
                new AdjustmentKind('fuel', 'cuts the fuel', 'a fuel cut leans the last charges before it is dry'),
                new AdjustmentKind(
                    'ignition', 'cuts the ignition',
                    'an ignition cut sends charge into the exhaust that burns there and presses on the valves: see the seat load left',
                ),
                new AdjustmentKind('throttle', 'closes the throttle', 'a throttle closes late: the engine overshoots'),
            ]),
            new Adjustment('port_pressure', 'running', label: 'ceiling of boost or exhaust pressure in the port'),
            new Adjustment('oil_viscosity_100', 'running'),
            new Adjustment('oil_viscosity_40', 'running'),
            new Adjustment('oil_temperature', 'running'),
            new Adjustment('oil_phosphorus', 'running'),
        ];
    }
}
