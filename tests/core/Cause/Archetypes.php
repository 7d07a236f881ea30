<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Tests\Core\Example;

/**
 * Hand-written cases with a known answer and its reason, and for each a twin in which one fact is turned and the answer must
 * change. Invented; the reasons are common practice.
 *
 * @phpstan-type Archetype array{family: string, because: string, case: Example, is: Expected, twin: Example, becomes: Expected}
 */
final class Archetypes
{
    /** @return array<string, Archetype> */
    public static function all(): array
    {
        return [
            ...self::float(), ...self::bind(), ...self::contact(), ...self::lubrication(), ...self::mismatch(), ...self::follower(),
            ...self::material(), ...self::assembly(), ...self::outside(), ...self::scopes(),
        ];
    }

    private static function flatHydraulicEight(): Example
    {
        return new Example(['layout' => 'vee', 'drive' => 'pushrod', 'lash' => 'hydraulic', 'cylinders' => 8, 'rocker_ratio' => 1.6]);
    }

    private static function hydraulicBuckets(): Example
    {
        return new Example(['layout' => 'inline', 'drive' => 'bucket', 'lash' => 'hydraulic', 'cylinders' => 6]);
    }

    private static function fingerSix(): Example
    {
        return new Example(['layout' => 'vee', 'drive' => 'finger', 'face' => 'roller', 'lash' => 'hydraulic', 'cylinders' => 6]);
    }

    /** @param array<string, string> $flags */
    private static function bucketFour(array $flags = []): Example
    {
        return new Example(['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4, 'flags' => $flags]);
    }

    /** Wire of the springs of each bank; the second bank's exhausts are hammered. */
    private static function banks(string $one, string $other): Example
    {
        $example = Example::pushrodEight()->shows('seat_hammered', 2, 'B1-E1', 'B2-E1', 'B3-E1', 'B4-E1');
        foreach (['A' => $one, 'B' => $other] as $bank => $wire) {
            for ($i = 1; $i <= 4; ++$i) {
                $example->measures($bank.$i.'-E1', 'wire_diameter', $wire)->looks($bank.$i.'-E1', 'seat');
            }
        }

        return $example;
    }

    private static function single(): Example
    {
        return new Example(['layout' => 'inline', 'drive' => 'finger', 'cylinders' => 1]);
    }

    /** @return list<string> */
    private static function every(Example $example, string $kind = ''): array
    {
        $places = [];
        foreach ($example->engine()->stations as $station) {
            if ($kind === '' || $station->kind->value === $kind) {
                $places[] = $station->code();
            }
        }

        return $places;
    }

    /** Springs looked at everywhere else, nothing there. */
    private static function springsClearBut(Example $example, string ...$places): Example
    {
        foreach (array_diff(self::every($example), $places) as $place) {
            $example->looks($place, 'spring');
        }

        return $example;
    }

    private static function floated(Example $example): Example
    {
        $exhausts = self::every($example, 'E');

        return $example->shows('seat_hammered', 2, ...$exhausts)->shows('tip_peened', 2, ...$exhausts)->shows('misfire_high', 2);
    }

    /** @return array<string, Archetype> */
    private static function float(): array
    {
        $weak = Example::bucketFour()->claims('kind-E', 'load_seat', '62', '1.440')->shows('overspeed_seen', 0);
        foreach (self::every($weak, 'E') as $i => $place) {
            $weak->measures($place, 'load_seat', (string) (46 + $i % 4), '1.440')->shows('seat_hammered', 2, $place)
                ->shows('tip_peened', 2, $place);
        }
        $tall = Example::pushrodEight()->claims('kind-E', 'installed_height', '1.900')->claims('kind-E', 'load_seat', '120', '1.900');
        $loads = static function (Example $example, string $load): void {
            foreach (self::every($example, 'E') as $place) {
                $example->measures($place, 'load_seat', $load, '1.900');
            }
        };
        $heights = static function (Example $example, string $height): void {
            foreach (self::every($example, 'E') as $place) {
                $example->measures($place, 'installed_height', $height);
            }
        };
        $loads($tall, '120');
        $heights($tall, '1.960');
        self::floated($tall)->shows('overspeed_seen', 0);
        $gas = self::floated(self::bucketFour(['charged' => 'yes', 'ignition_cut' => 'yes']))->shows('overrun_bangs', 3)
            ->shows('overspeed_seen', 0)->shows('lash_shim_thrown', 3, 'A2-E1');
        foreach (self::every($gas, 'E') as $place) {
            $gas->claims($place, 'load_seat', '62', '1.440')->measures($place, 'load_seat', '61', '1.440');
        }
        $surge = Example::pushrodEight()->shows('coil_clash', 3, ...self::every(Example::pushrodEight()))
            ->shows('broken_in_middle', 3, 'A1-I1', 'B3-I1')->shows('spring_broken', 3, 'A1-I1', 'B3-I1')
            ->shows('damper_displaced', 2, 'A2-I1')
            ->shows('coils_bright', 0, 'A1-I1', 'B3-I1')->shows('fracture_fatigue', 3, 'A1-I1', 'B3-I1')
            ->shows('wire_inclusion', 0, 'A1-I1', 'B3-I1');

        return [
            'springs have set' => [
                'family' => 'float', 'because' => 'Every exhaust spring is a fifth below its claim; nobody over-revved it.',
                'case' => $weak, 'is' => Expected::leader('spring_weak'),
                'twin' => $weak->but(static function (Example $twin): void {
                    foreach (self::every($twin, 'E') as $place) {
                        $twin->measures($place, 'load_seat', '62', '1.440');
                    }
                    $twin->shows('overspeed_seen', 3);
                }), 'becomes' => Expected::leader('over_speed'),
            ],
            'a whole set equally weak' => [
                'family' => 'float', 'because' => 'Alike among themselves, all of them low against the claim.',
                'case' => $weak->without('seat_hammered', 'tip_peened'), 'is' => Expected::open('spring_weak'),
                'twin' => $weak->without('seat_hammered', 'tip_peened')->but(static function (Example $twin): void {
                    foreach (self::every($twin, 'E') as $i => $place) {
                        $twin->measures($place, 'load_seat', (string) (62 + $i % 2), '1.440');
                    }
                }), 'becomes' => Expected::notEnough(),
            ],
            'over-speed' => [
                'family' => 'float', 'because' => 'Marks of float, springs as claimed, and it was turned too fast.',
                'case' => Example::bucketFour()->shows('overspeed_seen', 3)->shows('seat_hammered', 2, 'A1-E1', 'A2-E1', 'A3-E2')
                    ->shows('lash_shim_thrown', 3, 'A2-E1')->shows('tip_peened', 2, 'A2-E1')->shows('spring_rust', 1, 'A1-E1'),
                'is' => Expected::leader('over_speed'),
                'twin' => Example::bucketFour()->shows('overspeed_seen', 0)->shows('seat_hammered', 2, 'A1-E1', 'A2-E1', 'A3-E2')
                    ->shows('lash_shim_thrown', 3, 'A2-E1')->shows('tip_peened', 2, 'A2-E1')->shows('spring_rust', 1, 'A1-E1'),
                'becomes' => Expected::established('seat_hammer'),
            ],
            'springs stand too tall' => [
                'family' => 'float', 'because' => 'Loads are right at their height; they stand 0.060 in taller, so the seat has less.',
                'case' => $tall, 'is' => Expected::leader('installed_height_large', 'kind A1-E1'),
                'twin' => $tall->but(static function (Example $twin) use ($heights, $loads): void {
                    $heights($twin, '1.900');
                    $loads($twin, '96');
                }), 'becomes' => Expected::leader('spring_weak'),
            ],
            'gas beats the seat' => [
                'family' => 'float', 'because' => 'Boost, an ignition cut, bangs, sound springs, nobody over-revved it.',
                'case' => $gas, 'is' => Expected::first('gas_force'),
                'twin' => $gas->but(static fn (Example $twin) => $twin->shows('overspeed_seen', 3)->shows('overrun_bangs', 0)),
                'becomes' => Expected::leader('over_speed'),
            ],
            'springs surge' => [
                'family' => 'float', 'because' => 'Coils hammered all round, breaks between the ends, no flaw in the wire, not solid.',
                'case' => $surge, 'is' => Expected::first('spring_surge'),
                'twin' => $surge->but(static fn (Example $twin) => $twin->shows('wire_inclusion', 3, 'A1-I1', 'B3-I1'))
                    ->without('coil_clash', 'damper_displaced'),
                'becomes' => Expected::leader('wire_flaw', 'several A1-I1 B3-I1'),
            ],
            'road test: nothing but the story' => [
                'family' => 'float', 'because' => 'What was told alone names nobody.',
                'case' => Example::pushrodEight()->shows('overspeed_seen', 3)->shows('misfire_high', 3), 'is' => Expected::notEnough(),
                'twin' => Example::pushrodEight()->shows('overspeed_seen', 3)->shows('misfire_high', 3)
                    ->shows('seat_hammered', 3, ...self::every(Example::pushrodEight()))
                    ->shows('flank_landing', 3, 'A1-I1', 'A3-I1', 'B2-I1'),
                'becomes' => Expected::leader('over_speed'),
            ],
        ];
    }

    /** A spring that went solid because its height is short. */
    public static function bound(): Example
    {
        return Example::pushrodEight()
            ->sees('A2-E1', 'spring', 'coils_bright', 3)->sees('A2-E1', 'spring_seat', 'end_coil_dug', 2)
            ->measures('A2-E1', 'installed_height', '1.720')->measures('A2-E1', 'bind_height', '1.150')
            ->measures('A2-E1', 'net_lift', '0.565')
            ->claims('kind-E', 'installed_height', '1.800');
    }

    /** @return array<string, Archetype> */
    private static function bind(): array
    {
        $lift = Example::pushrodEight()->claims('kind-E', 'net_lift', '0.565')->claims('kind-E', 'installed_height', '1.800');
        foreach (self::every($lift, 'E') as $place) {
            $lift->measures($place, 'net_lift', '0.565')->measures($place, 'installed_height', '1.800')
                ->measures($place, 'bind_height', '1.235')->shows('coils_bright', 3, $place);
        }
        $inner = Example::pushrodEight()->shows('inner_broken', 3, 'A1-E1', 'A4-E1', 'B2-E1')
            ->shows('inner_outer_marked', 2, 'A1-E1', 'A3-E1');
        foreach (self::every($inner, 'E') as $place) {
            $inner->measures($place, 'installed_height', '1.800')->measures($place, 'net_lift', '0.560')
                ->measures($place, 'bind_height', '1.150')->measures($place, 'bind_height', '1.160', coil: 'inner')
                ->measures($place, 'inner_step', '0.070');
        }

        return [
            'height short at one station' => [
                'family' => 'bind', 'because' => 'It went solid, and stands 0.080 in lower than the card.',
                'case' => self::bound(), 'is' => Expected::leader('installed_height_small', 'station A2-E1'),
                'twin' => self::bound()->but(static fn (Example $twin) => $twin->measures('A2-E1', 'installed_height', '1.800')
                    ->measures('A2-E1', 'bind_height', '1.237')),
                'becomes' => Expected::established('coil_bind'),
            ],
            'lift beyond the spring' => [
                'family' => 'bind', 'because' => 'Height, lift and spring are as claimed: together they leave nothing.',
                'case' => $lift, 'is' => Expected::first('lift_beyond_spring'),
                'twin' => $lift->but(static function (Example $twin): void {
                    foreach (self::every($twin, 'E') as $place) {
                        $twin->measures($place, 'net_lift', '0.625')->measures($place, 'bind_height', '1.175');
                    }
                }), 'becomes' => Expected::leader('lift_not_as_claimed'),
            ],
            'bind acquitted where the marks are' => [
                'family' => 'bind', 'because' => 'A tenth of an inch is left at the broken spring, whatever was not measured elsewhere.',
                'case' => Example::pushrodEight()->shows('spring_broken', 3, 'A2-E1')->measures('A2-E1', 'installed_height', '1.800')
                    ->measures('A2-E1', 'bind_height', '1.105')->measures('A2-E1', 'net_lift', '0.565')->shows('coils_bright', 0, 'A2-E1')
                    ->shows('fracture_fatigue', 3, 'A2-E1'),
                'is' => Expected::established('spring_break', 'spring_spent'),
                'twin' => Example::pushrodEight()->shows('spring_broken', 3, 'A2-E1')->measures('A2-E1', 'installed_height', '1.720')
                    ->measures('A2-E1', 'bind_height', '1.155')->measures('A2-E1', 'net_lift', '0.565')->shows('coils_bright', 3, 'A2-E1')
                    ->claims('kind-E', 'installed_height', '1.800'),
                'becomes' => Expected::leader('installed_height_small', 'station A2-E1'),
            ],
            'inner spring goes solid first' => [
                'family' => 'bind', 'because' => 'The inner has less travel than the outer and broke at three stations.',
                'case' => $inner, 'is' => Expected::first('inner_binds_first'),
                'twin' => $inner->without('bind_height', 'inner_step')->but(
                    static fn (Example $twin) => $twin->shows('spring_rubbed_inside', 3, 'A1-E1', 'A4-E1', 'B2-E1')
                        ->shows('guide_peened', 2, 'A1-E1'),
                ), 'becomes' => Expected::leader('spring_on_guide'),
            ],
            'a locator that is not on the card' => [
                'family' => 'bind', 'because' => 'What stands under the spring explains the height that is missing.',
                'case' => self::bound()->shows('shim_unlisted', 3, 'A2-E1')
                    ->without('installed_height'), 'is' => Expected::open('locator_unlisted', 'installed_height_small'),
                'twin' => self::bound()->shows('shim_unlisted', 0, 'A2-E1'), 'becomes' => Expected::leader('installed_height_small'),
            ],
        ];
    }

    /** @return array<string, Archetype> */
    private static function contact(): array
    {
        $prints = static fn (string $kind, float $found, float $card): Example => Example::bucketFour()
            ->shows('piston_print', 3, ...self::every(Example::bucketFour(), $kind))
            ->shows('stem_bent', 3, 'A1-'.$kind.'1', 'A2-'.$kind.'1')
            ->tests('engine', 'cam_phase_card', (string) $card, 'A-'.$kind)
            ->tests('engine', 'cam_phase_found', (string) $found, 'A-'.$kind);
        // Centres of exhaust cams of their own are counted before top dead centre: less is later.
        $late = $prints('E', 100, 110);
        $early = $prints('E', 120, 110);

        return [
            'exhaust cam late, exhausts printed' => [
                'family' => 'contact', 'because' => 'A late exhaust valve is nearer to its piston.',
                'case' => $late, 'is' => Expected::leader('phase_off', 'kind A1-E1'),
                'twin' => $early, 'becomes' => Expected::established('piston_contact', 'relief_shallow'),
            ],
            'intake cam early, intakes printed' => [
                'family' => 'contact', 'because' => 'An early intake valve is nearer to its piston.',
                'case' => $prints('I', 96, 106), 'is' => Expected::leader('phase_off', 'kind A1-I1'),
                'twin' => $prints('I', 116, 106), 'becomes' => Expected::established('piston_contact', 'relief_shallow'),
            ],
            'intake prints with the exhaust cam late' => [
                'family' => 'contact', 'because' => 'Each cam by itself: an intake print says nothing of the exhaust cam.',
                'case' => $prints('I', 106, 106)->tests('engine', 'cam_phase_card', '110', 'A-E')
                    ->tests('engine', 'cam_phase_found', '100', 'A-E'),
                'is' => Expected::first('phase_off'),
                'twin' => $prints('I', 106, 106)->tests('engine', 'cam_phase_card', '110', 'A-E')
                    ->tests('engine', 'cam_phase_found', '110', 'A-E'),
                'becomes' => Expected::established('piston_contact', 'relief_shallow'),
            ],
            'reliefs too shallow' => [
                'family' => 'contact', 'because' => 'Clay says there is no depth, and the cams are on their marks.',
                'case' => $prints('E', 110, 110)
                    ->shows('relief_no_depth', 3, 'A1-E1', 'A2-E1', 'A3-E1'), 'is' => Expected::leader('relief_shallow'),
                'twin' => $prints('E', 110, 110)->shows('relief_no_depth', 0, 'A1-E1', 'A2-E1', 'A3-E1')
                    ->shows('print_outside', 3, ...self::every(Example::bucketFour(), 'E')),
                'becomes' => Expected::first('radial_misfit'),
            ],
            'the drive broke' => [
                'family' => 'contact', 'because' => 'Few sharp prints on valves that stood open, intakes and exhausts mixed.',
                'case' => Example::bucketFour()->shows('sudden_stop', 3)->shows('drive_gone', 3)
                    ->shows('one_sharp_print', 3, 'A1-I1', 'A3-E2')
                    ->shows('piston_print', 2, 'A1-I1', 'A3-E2')->shows('stem_bent', 3, 'A1-I1', 'A3-E2')->looks('A2-I1', 'piston_relief')
                    ->looks('A2-E1', 'piston_relief')->looks('A4-I1', 'piston_relief')->looks('A4-E1', 'piston_relief'),
                'is' => Expected::leader('drive_broken'),
                'twin' => Example::bucketFour()->shows('drive_gone', 0)->tests('engine', 'cam_phase_card', '110', 'A-E')
                    ->tests('engine', 'cam_phase_found', '100', 'A-E')
                    ->shows('piston_print', 3, ...self::every(Example::bucketFour(), 'E'))->looks('A1-I1', 'piston_relief')
                    ->looks('A2-I1', 'piston_relief')->looks('A3-I1', 'piston_relief'),
                'becomes' => Expected::leader('phase_off', 'kind A1-E1'),
            ],
            'valves struck each other' => [
                'family' => 'contact', 'because' => 'Edges carry each other’s mark on all, no piston was touched.',
                'case' => Example::bucketFour()->shows('edge_struck_by_valve', 3, ...self::every(Example::bucketFour()))
                    ->shows('piston_print', 0, ...self::every(Example::bucketFour()))->measures('A1', 'valve_to_valve', '0.004')
                    ->measures('A2', 'valve_to_valve', '0.006'),
                'is' => Expected::leader('valve_to_valve_room'),
                'twin' => Example::bucketFour()->shows('edge_struck_by_valve', 0, ...self::every(Example::bucketFour()))
                    ->shows('piston_print', 3, ...self::every(Example::bucketFour()))
                    ->shows('relief_mismatch', 3, ...self::every(Example::bucketFour())),
                'becomes' => Expected::first('family_mismatch'),
            ],
            'one bucket printed its retainer' => [
                'family' => 'contact', 'because' => 'One station only: look at its follower first.',
                'case' => self::hydraulicBuckets()->shows('retainer_printed', 3, 'A4-E1')->shows('leaks_light', 3, 'A4-E1')
                    ->shows('retainer_printed', 0, ...array_diff(self::every(self::hydraulicBuckets()), ['A4-E1'])),
                'is' => Expected::first('element_stuck_up'),
                'twin' => self::hydraulicBuckets()->shows('retainer_printed', 3, ...self::every(self::hydraulicBuckets(), 'E'))
                    ->shows('retainer_printed', 0, ...self::every(self::hydraulicBuckets(), 'I')),
                'becomes' => Expected::first('retainer_over_travel'),
            ],
        ];
    }

    /** @return array<string, Archetype> */
    private static function lubrication(): array
    {
        $worn = static fn (string ...$places): Example => Example::pushrodEight()->shows('lobe_worn', 3, ...$places)
            ->shows('follower_dished', 3, ...$places)
            ->shows('lobe_worn', 0, ...array_diff(self::every(Example::pushrodEight()), $places));
        $some = ['A1-E1', 'A3-E1', 'B2-I1', 'B4-E1'];

        return [
            'anti-wear too low' => [
                'family' => 'lubrication', 'because' => 'Lobes and lifters gone on several; the oil has too little phosphorus.',
                'case' => $worn(...$some)->shows('phosphorus_low', 3)
                    ->shows('oil_feed_blocked', 0), 'is' => Expected::leader('antiwear_low'),
                'twin' => $worn(...$some)->shows('phosphorus_low', 0)->shows('oil_feed_blocked', 3)->shows('oil_pressure_low', 3),
                'becomes' => Expected::leader('oil_starved'),
            ],
            'wiped at its first start' => [
                'family' => 'lubrication', 'because' => 'A new flat cam, idled at once; the oil is good.',
                'case' => $worn(...$some)->shows('new_since_assembly', 3)->shows('first_start_bad', 3)->shows('phosphorus_low', 0),
                'is' => Expected::leader('run_in_bad'),
                'twin' => $worn(...$some)->shows('new_since_assembly', 0)->shows('first_start_bad', 0)->shows('phosphorus_low', 3),
                'becomes' => Expected::leader('antiwear_low'),
            ],
            'noses polished by slow running' => [
                'family' => 'lubrication',
                'because' => 'Nose polish and a wear line on all, no landing on any flank, slow most of its time.',
                'case' => Example::pushrodEight()->shows('nose_polished', 3, ...self::every(Example::pushrodEight()))
                    ->shows('face_worn_line', 2, ...self::every(Example::pushrodEight()))->shows('runs_slow_much', 3)
                    ->shows('flank_landing', 0, ...self::every(Example::pushrodEight())),
                'is' => Expected::leader('nose_load_much'),
                'twin' => Example::pushrodEight()->shows('nose_polished', 3, 'A1-E1')->shows('face_worn_line', 2, 'A1-E1')
                    ->shows('follower_still', 3, 'A1-E1')->shows('runs_slow_much', 0)
                    ->shows('nose_polished', 0, 'A2-E1', 'A3-E1', 'A4-E1', 'A1-I1', 'B1-E1', 'B2-E1', 'B3-I1')
                    ->shows('face_worn_line', 0, 'A2-E1', 'A3-E1', 'A4-E1', 'A1-I1', 'B1-E1', 'B2-E1', 'B3-I1'),
                'becomes' => Expected::leader('follower_not_turning', 'station A1-E1'),
            ],
            'one lobe without oil' => [
                'family' => 'lubrication', 'because' => 'One place only, and its pushrod passes nothing.',
                'case' => $worn('B2-I1')->shows('pushrod_oil_blocked', 3, 'B2-I1')->shows('pushrod_tip', 2, 'B2-I1'),
                'is' => Expected::leader('lobe_oil_path', 'station B2-I1'),
                'twin' => $worn('B2-I1')->shows('pushrod_oil_blocked', 0, 'B2-I1')->shows('lobe_soft', 3, 'B2-I1'),
                'becomes' => Expected::leader('lobe_flaw', 'station B2-I1'),
            ],
            'fuel in the oil' => [
                'family' => 'lubrication', 'because' => 'The laboratory found the fuel and the thin oil.',
                'case' => $worn(...$some)->shows('fuel_in_oil', 3)->shows('oil_thin', 3)
                    ->shows('oil_bad', 2), 'is' => Expected::leader('oil_fuel'),
                'twin' => $worn(...$some)->shows('fuel_in_oil', 0)->shows('oil_bad', 2)->shows('water_in_oil', 3),
                'becomes' => Expected::leader('oil_coolant'),
            ],
            'grit went round' => [
                'family' => 'lubrication', 'because' => 'Grit in passages and bearings, journals scored.',
                'case' => $worn('A1-E1', 'A2-I1')->shows('oil_debris', 3)->shows('dirt_in_oil', 3)
                    ->shows('journal_scored', 3, 'A1-E1', 'B3-I1')
                    ->shows('new_since_assembly', 0),
                'is' => Expected::open('oil_dirt', 'debris_left'),
                'twin' => $worn('A1-E1', 'A2-I1')->shows('oil_debris', 3)->shows('filter_swarf', 3)->shows('new_since_assembly', 3)
                    ->shows('journal_scored', 3, 'A1-E1', 'B3-I1'),
                'becomes' => Expected::first('debris_left'),
            ],
            'a dry guide' => [
                'family' => 'lubrication', 'because' => 'Bronze on the stem, the bore dry and blue, room as it should be.',
                'case' => Example::bucketFour()->shows('stem_scuffed', 3, 'A2-E1')->shows('guide_smeared', 3, 'A2-E1')
                    ->shows('guide_dry', 3, 'A2-E1'),
                'is' => Expected::leader('dry_guide', 'station A2-E1'),
                'twin' => Example::bucketFour()->shows('stem_scuffed', 3, 'A2-E1')->shows('guide_smeared', 3, 'A2-E1')
                    ->shows('guide_dry', 0, 'A2-E1')
                    ->tests('A2-E1', 'stem_diameter', '0.2352', 'middle.along')->tests('A2-E1', 'guide_bore', '0.2354', 'middle.along'),
                'becomes' => Expected::leader('guide_tight'),
            ],
            'air in the elements' => [
                'family' => 'lubrication', 'because' => 'Foam, and soft elements everywhere.',
                'case' => Example::hydraulicRollerEight()->shows('oil_foams', 3)->shows('rattle_after_standing', 2)
                    ->shows('ticks_always', 2)
                    ->shows('element_collapses', 2, 'A1-E1', 'A2-I1', 'B1-I1', 'B4-E1'),
                'is' => Expected::first('element_aerated'),
                'twin' => Example::hydraulicRollerEight()->shows('oil_foams', 0)->shows('ticks_always', 2)
                    ->shows('element_collapses', 3, 'A2-I1')
                    ->shows('check_ball_leaks', 3, 'A2-I1')->shows('element_collapses', 0, 'A1-E1', 'A1-I1', 'B1-I1', 'B4-E1'),
                'becomes' => Expected::leader('element_collapsed', 'station A2-I1'),
            ],
        ];
    }

    /** @return array<string, Archetype> */
    private static function mismatch(): array
    {
        $strong = self::flatHydraulicEight()->claims('engine', 'load_seat', '65', '1.700')->shows('rattle_after_standing', 3)
            ->shows('element_collapses', 0, ...self::every(self::flatHydraulicEight()));
        foreach (self::every($strong) as $place) {
            $strong->measures($place, 'load_seat', '128', '1.700');
        }
        $parent = Example::pushrodEight()->shows('seat_parent_metal', 3, ...self::every(Example::pushrodEight(), 'I'))
            ->shows('leaks_light', 2, ...self::every(Example::pushrodEight(), 'I'))->shows('contact_uneven', 2, 'A1-I1', 'B2-I1')
            ->shows('piston_print', 0, ...self::every(Example::pushrodEight(), 'I'));

        return [
            'springs too strong for the elements' => [
                'family' => 'mismatch', 'because' => 'Twice the load of the card, rattle after standing, elements good.',
                'case' => $strong, 'is' => Expected::leader('spring_over_element'),
                'twin' => $strong->but(static function (Example $twin): void {
                    foreach (self::every($twin) as $place) {
                        $twin->measures($place, 'load_seat', '66', '1.700');
                    }
                    $twin->shows('element_collapses', 3, 'A2-I1')->shows('check_ball_leaks', 3, 'A2-I1');
                }), 'becomes' => Expected::leader('element_collapsed', 'station A2-I1'),
            ],
            'valves on parent metal' => [
                'family' => 'mismatch', 'because' => 'They close beside their inserts; nothing struck them.',
                'case' => $parent, 'is' => Expected::leader('seat_misfit', 'kind A1-I1'),
                'twin' => $parent->without('seat_parent_metal')->but(static fn (Example $twin) => $twin
                    ->shows('piston_print', 3, ...self::every($twin, 'I'))->shows('stem_bent', 3, ...self::every($twin, 'I'))),
                'becomes' => Expected::established('piston_contact'),
            ],
            'heads of two specifications' => [
                'family' => 'mismatch', 'because' => 'Seats, springs and locks differ from bank to bank.',
                'case' => Example::pushrodEight()->shows('heads_differ', 3, 'B1', 'B2', 'B3', 'B4')->shows('locks_odd', 2, 'B1-E1', 'B2-E1')
                    ->shows('spring_differs', 3, 'B1-E1', 'B1-I1', 'B2-E1', 'B3-I1'),
                'is' => Expected::leader('heads_unlike', 'bank B1-E1'),
                'twin' => Example::pushrodEight()->shows('heads_differ', 0, 'B1', 'B2', 'B3', 'B4')
                    ->shows('spring_differs', 3, ...self::every(Example::pushrodEight()))->shows('locks_odd', 0, 'B1-E1', 'B2-E1')
                    ->measures('A1-E1', 'rate', '430')->measures('B1-E1', 'rate', '430')->claims('engine', 'rate', '330'),
                'becomes' => Expected::leader('wrong_spring'),
            ],
            'spring tight in its pocket' => [
                'family' => 'mismatch', 'because' => 'It rubs its pocket, and is wider than it.',
                'case' => Example::pushrodEight()->shows('spring_rubbed', 3, 'A1-E1', 'A3-E1')
                    ->measures('A1-E1', 'pocket_diameter', '1.540')
                    ->measures('A1-E1', 'outside_diameter', '1.541'),
                'is' => Expected::leader('spring_pocket_misfit'),
                'twin' => Example::pushrodEight()->shows('spring_rubbed', 0, 'A1-E1', 'A3-E1')
                    ->shows('spring_rubbed_inside', 3, 'A1-E1', 'A3-E1')->measures('A1-E1', 'pocket_diameter', '1.580')
                    ->measures('A1-E1', 'outside_diameter', '1.541'),
                'becomes' => Expected::first('spring_on_guide'),
            ],
            'locks of another kind' => [
                'family' => 'mismatch', 'because' => 'Odd locks, a rolled groove, a belled bore: it let go there.',
                'case' => Example::pushrodEight()->shows('locks_odd', 3, 'A1-E1')->shows('groove_rolled', 3, 'A1-E1')
                    ->shows('bore_belled', 2, 'A1-E1')->shows('valve_dropped', 3, 'A1-E1'),
                'is' => Expected::leader('lock_groove_mismatch', 'station A1-E1'),
                'twin' => Example::pushrodEight()->shows('locks_odd', 0, 'A1-E1')->shows('locks_uneven', 3, 'A1-E1')
                    ->shows('new_since_assembly', 3)->shows('valve_dropped', 3, 'A1-E1'),
                'becomes' => Expected::leader('locks_not_seated', 'station A1-E1'),
            ],
            'rocker geometry' => [
                'family' => 'mismatch', 'because' => 'Wide paths off the middle on all, guides bell-mouthed.',
                'case' => Example::pushrodEight()->shows('tip_edge_wipe', 3, ...self::every(Example::pushrodEight()))
                    ->shows('guide_bellmouth', 2, 'A1-E1', 'A2-E1', 'B1-I1'),
                'is' => Expected::leader('rocker_geometry'),
                'twin' => Example::pushrodEight()->shows('tip_edge_wipe', 3, 'A1-E1')->shows('pivot_loose', 3, 'A1-E1')
                    ->shows('tip_edge_wipe', 0, ...array_diff(self::every(Example::pushrodEight()), ['A1-E1'])),
                'becomes' => Expected::leader('adjuster_loose', 'station A1-E1'),
            ],
            'a bank pulls high' => [
                'family' => 'mismatch', 'because' => 'Exhausts of one bank pull more and stand lower.',
                'case' => (static function (): Example {
                    $bank = Example::pushrodEight()->claims('kind-E', 'installed_height', '1.800');
                    foreach (self::every($bank, 'E') as $place) {
                        $bank->measures($place, 'installed_height', $place[0] === 'B' ? '1.740' : '1.800')
                            ->tests($place, 'pull', $place[0] === 'B' ? '192' : '167', '1');
                    }

                    return $bank;
                })(),
                'is' => Expected::first('installed_height_small'),
                'twin' => (static function (): Example {
                    $bank = Example::pushrodEight()->claims('kind-E', 'installed_height', '1.800')->claims('kind-E', 'rate', '330');
                    foreach (self::every($bank, 'E') as $place) {
                        $bank->measures($place, 'installed_height', '1.800')->measures($place, 'rate', $place[0] === 'B' ? '410' : '331')
                            ->tests($place, 'pull', $place[0] === 'B' ? '192' : '167', '1');
                    }

                    return $bank;
                })(),
                'becomes' => Expected::first('wrong_spring'),
            ],
        ];
    }

    /** @return array<string, Archetype> */
    private static function follower(): array
    {
        $light = static fn (): Example => Example::hydraulicRollerEight()->shows('leaks_light', 3, 'B1-E1')
            ->shows('retainer_printed', 2, 'B1-E1')
            ->shows('hiss_exhaust', 3, 'B1');

        return [
            'element stuck up' => [
                'family' => 'follower', 'because' => 'Light past the valve, the retainer down, and the element does not sink.',
                'case' => $light()->shows('element_stuck', 3, 'B1-E1'), 'is' => Expected::leader('element_stuck_up', 'station B1-E1'),
                'twin' => $light()->shows('element_stuck', 0, 'B1-E1')->shows('stem_gummed', 3, 'B1-E1')->shows('stood_long', 3)
                    ->shows('valve_seized', 2, 'B1-E1'),
                'becomes' => Expected::leader('valve_stuck', 'station B1-E1'),
            ],
            'preload after skimming' => [
                'family' => 'follower', 'because' => 'New since assembly, valves leak everywhere, plungers at the bottom.',
                'case' => Example::hydraulicRollerEight()->shows('new_since_assembly', 3)
                    ->shows('leaks_light', 2, 'A1-E1', 'A2-I1', 'A3-E1', 'B1-I1', 'B2-E1', 'B4-I1')
                    ->shows('preload_much', 3, 'A1-E1', 'A2-I1', 'B1-I1'),
                'is' => Expected::leader('preload_mis_set'),
                'twin' => Example::hydraulicRollerEight()->shows('new_since_assembly', 0)
                    ->shows('leaks_light', 2, 'A1-E1', 'A3-E1', 'B2-E1')
                    ->shows('preload_much', 0, 'A1-E1', 'A3-E1', 'B2-E1')->shows('face_burnt', 3, 'A1-E1', 'A3-E1', 'B2-E1')
                    ->shows('stem_heat_colour', 3, 'A1-E1', 'A3-E1', 'B2-E1'),
                'becomes' => Expected::established('leak_at_seat', 'valve_heat'),
            ],
            'a roller at the end of its life' => [
                'family' => 'follower', 'because' => 'Roller and needles gone with their lobe at one place; oil came; it was in line.',
                'case' => Example::hydraulicRollerEight()->shows('roller_flat', 3, 'A4-I1')->shows('needles_loose', 3, 'A4-I1')
                    ->shows('lobe_worn', 3, 'A4-I1')->shows('filter_needles', 3)->shows('lobe_edge_loaded', 0, 'A4-I1')
                    ->shows('roller_guide_lost', 0, 'A4-I1')->shows('pushrod_oil_blocked', 0, 'A4-I1'),
                'is' => Expected::first('roller_fatigue'),
                'twin' => Example::hydraulicRollerEight()->shows('roller_flat', 3, 'A4-I1')->shows('lobe_edge_loaded', 3, 'A4-I1')
                    ->shows('lobe_worn', 3, 'A4-I1')->shows('roller_guide_lost', 3, 'A4-I1'),
                'becomes' => Expected::leader('roller_turned', 'station A4-I1'),
            ],
            'a lifter that does not turn' => [
                'family' => 'follower', 'because' => 'One straight line on one lifter; the others turned.',
                'case' => Example::pushrodEight()->shows('follower_still', 3, 'B3-E1')->shows('lobe_worn', 3, 'B3-E1')
                    ->shows('follower_still', 0, 'A1-E1', 'A2-E1', 'B1-E1', 'B2-E1', 'B4-E1')
                    ->shows('lobe_worn', 0, ...array_diff(self::every(Example::pushrodEight()), ['B3-E1'])),
                'is' => Expected::leader('follower_not_turning', 'station B3-E1'),
                'twin' => Example::pushrodEight()->shows('lobe_worn', 3, 'B3-E1')->shows('follower_still', 0, 'B3-E1')
                    ->shows('lobe_soft', 3, 'B3-E1')
                    ->shows('lobe_worn', 0, ...array_diff(self::every(Example::pushrodEight()), ['B3-E1'])),
                'becomes' => Expected::leader('lobe_flaw', 'station B3-E1'),
            ],
            'the fault moves with the follower' => [
                'family' => 'follower', 'because' => 'Swapped, the leak went with it, both in the same state.',
                'case' => $light()->shows('fault_moves_with_follower', 3, 'B1-E1'), 'is' => Expected::leader('element_stuck_up',
                    'station B1-E1'),
                'twin' => $light()->shows('fault_moves_with_follower', 0, 'B1-E1')->shows('fault_stays_without_follower', 3, 'B1-E1')
                    ->shows('stem_gummed', 3, 'B1-E1'),
                'becomes' => Expected::leader('valve_stuck', 'station B1-E1'),
            ],
            'a finger’s pad is gone' => [
                'family' => 'follower', 'because' => 'A finger engine wears where the finger is; the oil has fuel in it.',
                'case' => (new Example(['layout' => 'inline', 'drive' => 'finger', 'cylinders' => 4]))
                    ->shows('pad_worn', 3, 'A1-E1', 'A2-E1', 'A3-I1')->shows('lobe_worn', 2, 'A1-E1', 'A2-E1', 'A3-I1')
                    ->shows('fuel_in_oil', 3)
                    ->shows('oil_thin', 3),
                'is' => Expected::leader('oil_fuel'),
                'twin' => (new Example(['layout' => 'inline', 'drive' => 'finger', 'cylinders' => 4]))->shows('fuel_in_oil', 0)
                    ->shows('pad_worn', 3, 'A1-E1', 'A2-E1', 'A3-I1')->shows('lobe_worn', 2, 'A1-E1', 'A2-E1', 'A3-I1')
                    ->shows('phosphorus_low', 3),
                'becomes' => Expected::leader('antiwear_low'),
            ],
        ];
    }

    /** @return array<string, Archetype> */
    private static function material(): array
    {
        $pulls = static function (): Example {
            $example = Example::pushrodEight();
            foreach (self::every($example) as $i => $place) {
                $example->tests($place, 'pull', $place === 'B1-I1' ? '80' : (string) (110 + $i), '1');
            }

            return self::springsClearBut($example, 'B1-I1');
        };
        $broken = static fn (): Example => Example::pushrodEight()->shows('spring_broken', 3, 'A1-I1')->shows('misfire_cold', 2);

        return [
            'a broken spring among sound pulls' => [
                'family' => 'material', 'because' => 'One pull is low because that spring is broken, not because springs are weak.',
                'case' => $pulls()->shows('spring_broken', 3, 'B1-I1'),
                'is' => Expected::established('spring_break', 'spring_spent', 'spring_nick'),
                'twin' => $pulls()->shows('spring_broken', 0, 'B1-I1'),
                'becomes' => Expected::first('spring_weak'),
            ],
            'broken from a nick' => [
                'family' => 'material', 'because' => 'The crack began at a pit.',
                'case' => $broken()->shows('fracture_nick', 3, 'A1-I1')->shows('spring_rust', 2, 'A1-I1'),
                'is' => Expected::leader('spring_nick', 'station A1-I1'),
                'twin' => $broken()->shows('fracture_nick', 0, 'A1-I1')->shows('wire_inclusion', 3, 'A1-I1'),
                'becomes' => Expected::leader('wire_flaw', 'station A1-I1'),
            ],
            'springs past their clock' => [
                'family' => 'material', 'because' => 'Fatigue, no flaw, no nick, not solid, and more runs than their maker gives them.',
                'case' => $broken()->shows('fracture_fatigue', 3, 'A1-I1')->shows('fracture_nick', 0, 'A1-I1')
                    ->shows('wire_inclusion', 0, 'A1-I1')
                    ->shows('coils_bright', 0, 'A1-I1')->shows('broken_in_middle', 3, 'A1-I1'),
                'is' => Expected::first('spring_spent'),
                'twin' => $broken()->shows('fracture_fatigue', 3, 'A1-I1')->shows('fracture_nick', 0, 'A1-I1')
                    ->shows('coils_bright', 3, 'A1-I1')
                    ->shows('broken_at_end', 3, 'A1-I1')->measures('A1-I1', 'installed_height', '1.720')
                    ->measures('A1-I1', 'bind_height', '1.155')->measures('A1-I1', 'net_lift', '0.565')
                    ->claims('kind-I', 'installed_height', '1.800'),
                'becomes' => Expected::leader('installed_height_small', 'station A1-I1'),
            ],
            'a retainer flaw' => [
                'family' => 'material', 'because' => 'The laboratory found it at the origin.',
                'case' => Example::bucketFour()->shows('retainer_broken', 4, 'A2-E2')->shows('retainer_flaw_found', 3, 'A2-E2')
                    ->shows('valve_dropped', 4, 'A2-E2'),
                'is' => Expected::leader('retainer_flaw', 'station A2-E2'),
                'twin' => Example::bucketFour()->shows('retainer_broken', 4, 'A2-E2')->shows('retainer_flaw_found', 0, 'A2-E2')
                    ->shows('valve_dropped', 4, 'A2-E2')->shows('retainer_worn', 3, 'A1-E1', 'A2-E2', 'A3-E1')
                    ->shows('groove_fretted', 3, 'A1-E1', 'A2-E2', 'A3-E1'),
                'becomes' => Expected::first('beyond_hours'),
            ],
            'an overheated valve' => [
                'family' => 'material', 'because' => 'Necked, coloured up the stem, burnt in a channel.',
                'case' => Example::bucketFour()->shows('stem_necked', 3, 'A3-E1')->shows('stem_heat_colour', 3, 'A3-E1')
                    ->shows('face_burnt', 3, 'A3-E1'),
                'is' => Expected::leader('valve_heat'),
                'twin' => Example::bucketFour()->shows('stem_necked', 0, 'A3-E1')->shows('stem_heat_colour', 0, 'A3-E1')
                    ->shows('contact_uneven', 3, 'A3-E1')->shows('seat_offset', 3, 'A3-E1')->shows('face_burnt', 2, 'A3-E1'),
                'becomes' => Expected::established('leak_at_seat', 'seat_eccentric'),
            ],
            'seats recede' => [
                'family' => 'material', 'because' => 'Lash closes and stems rise on the exhausts; nothing hammers.',
                'case' => (static function (): Example {
                    $example = Example::pushrodEight()->claims('kind-E', 'lash', '0.020')->shows('base_rubbed', 2, 'A1-E1', 'B1-E1');
                    foreach (self::every($example, 'E') as $place) {
                        $example->measures($place, 'lash', '0.010')->shows('seat_hammered', 0, $place);
                    }

                    return $example->shows('new_since_assembly', 0);
                })(),
                'is' => Expected::first('seat_recession'),
                'twin' => Example::pushrodEight()->claims('kind-E', 'lash', '0.020')->measures('A1-E1', 'lash', '0.008')
                    ->measures('A2-E1', 'lash', '0.020')->measures('A3-E1', 'lash', '0.021')->measures('B1-E1', 'lash', '0.020')
                    ->shows('new_since_assembly', 3)->shows('base_rubbed', 2, 'A1-E1')->shows('seat_hammered', 0, 'A1-E1'),
                'becomes' => Expected::first('lash_mis_set'),
            ],
            'worn intake guides' => [
                'family' => 'material', 'because' => 'Oil past every intake guide, bell-mouths, blue smoke.',
                'case' => Example::pushrodEight()->shows('oil_past_guide', 2, ...self::every(Example::pushrodEight(), 'I'))
                    ->shows('guide_bellmouth', 2, ...self::every(Example::pushrodEight(), 'I'))->shows('blue_smoke', 2)
                    ->shows('tip_edge_wipe', 0, ...self::every(Example::pushrodEight(), 'I'))
                    ->shows('guide_dry', 0, ...self::every(Example::pushrodEight(), 'I')),
                'is' => Expected::leader('guide_worn', 'kind A1-I1'),
                'twin' => Example::pushrodEight()->shows('oil_past_guide', 2, ...self::every(Example::pushrodEight(), 'I'))
                    ->shows('guide_bellmouth', 0, ...self::every(Example::pushrodEight(), 'I'))
                    ->shows('seal_hard', 3, ...self::every(Example::pushrodEight(), 'I'))->shows('blue_smoke', 2),
                'becomes' => Expected::leader('seal_failed', 'kind A1-I1'),
            ],
            'a valve stuck after a winter' => [
                'family' => 'material', 'because' => 'It stood, the stem is gummed, its pushrod bent at the first start.',
                'case' => Example::pushrodEight()->shows('stood_long', 3)->shows('stem_gummed', 3, 'A3-I1')
                    ->shows('pushrod_bent', 3, 'A3-I1')
                    ->shows('valve_seized', 3, 'A3-I1'),
                'is' => Expected::leader('valve_stuck', 'station A3-I1'),
                'twin' => Example::pushrodEight()->shows('stood_long', 0)->shows('stem_gummed', 0, 'A3-I1')
                    ->shows('pushrod_bent', 3, 'A3-I1')
                    ->shows('valve_seized', 3, 'A3-I1')->shows('guide_smeared', 3, 'A3-I1')->shows('stem_scuffed', 3, 'A3-I1')
                    ->shows('guide_dry', 3, 'A3-I1'),
                'becomes' => Expected::leader('dry_guide', 'station A3-I1'),
            ],
            'a valve head came off by fatigue' => [
                'family' => 'material', 'because' => 'One origin in the fillet, the seat beside its guide.',
                'case' => Example::bucketFour()->shows('valve_head_off', 4, 'A1-E1')->shows('fracture_valve_fatigue', 3, 'A1-E1')
                    ->shows('seat_offset', 3, 'A1-E1')->shows('valve_inclusion', 0, 'A1-E1')->shows('crown_struck', 4, 'A1'),
                'is' => Expected::leader('seat_eccentric', 'station A1-E1'),
                'twin' => Example::bucketFour()->shows('valve_head_off', 4, 'A1-E1')->shows('fracture_valve_fatigue', 3, 'A1-E1')
                    ->shows('seat_offset', 0, 'A1-E1')->shows('valve_inclusion', 3, 'A1-E1')->shows('crown_struck', 4, 'A1'),
                'becomes' => Expected::leader('valve_flaw', 'station A1-E1'),
            ],
            'an insert came loose' => [
                'family' => 'material', 'because' => 'It rocks in its bore at one place.',
                'case' => Example::bucketFour()->shows('seat_loose', 3, 'A2-E1')->shows('leaks_light', 3, 'A2-E1')->shows('overheated', 0)
                    ->shows('seat_hammered', 0, 'A1-E1', 'A2-E1', 'A3-E1', 'A4-E1'),
                'is' => Expected::first('seat_loose'),
                'twin' => Example::bucketFour()->shows('seat_loose', 2, 'A2-E1', 'A3-E1', 'A1-E2')->shows('overheated', 3)
                    ->shows('head_warped', 3, 'A2', 'A3')->shows('seal_hard', 2, 'A1-E1', 'A2-E1', 'A3-E1', 'A2-I1'),
                'becomes' => Expected::leader('cooling'),
            ],
        ];
    }

    /** @return array<string, Archetype> */
    private static function assembly(): array
    {
        return [
            'a dead cylinder after the lifter job' => [
                'family' => 'assembly', 'because' => 'New since assembly, one cylinder does not fill: a pushrod beside its cup, by far.',
                'case' => Example::hydraulicRollerEight()->shows('new_since_assembly', 3)->shows('dead_cylinder', 3)
                    ->shows('misfire_high', 0),
                'is' => Expected::first('pushrod_not_seated'),
                'twin' => Example::hydraulicRollerEight()->shows('new_since_assembly', 0)->shows('dead_cylinder', 3)
                    ->shows('moves_with_ignition', 3)->shows('plug_wet', 3, 'A2'),
                'becomes' => Expected::leader('ignition_or_fuel'),
            ],
            'pushrod found out of its cup' => [
                'family' => 'assembly', 'because' => 'It lies beside the cup, and ticked since assembly.',
                'case' => Example::hydraulicRollerEight()->shows('pushrod_out', 3, 'A2-I1')->shows('ticks_always', 3)
                    ->shows('new_since_assembly', 3),
                'is' => Expected::leader('pushrod_not_seated', 'station A2-I1'),
                'twin' => Example::hydraulicRollerEight()->shows('pushrod_out', 2, 'A2-I1')->shows('ticks_always', 3)
                    ->shows('pivot_loose', 4, 'A2-I1')
                    ->shows('new_since_assembly', 0),
                'becomes' => Expected::established('pivot_moves', 'adjuster_loose'),
            ],
            'locks went together askew' => [
                'family' => 'assembly', 'because' => 'Halves at two heights, the right kind, dropped in its first hour.',
                'case' => Example::pushrodEight()->shows('locks_uneven', 3, 'B2-E1')->shows('valve_dropped', 4, 'B2-E1')
                    ->shows('new_since_assembly', 3)->shows('locks_odd', 0, 'B2-E1'),
                'is' => Expected::leader('locks_not_seated', 'station B2-E1'),
                'twin' => Example::pushrodEight()->shows('locks_uneven', 0, 'B2-E1')->shows('valve_dropped', 4, 'B2-E1')
                    ->shows('retainer_broken', 4, 'B2-E1')->shows('retainer_flaw_found', 3, 'B2-E1'),
                'becomes' => Expected::leader('retainer_flaw', 'station B2-E1'),
            ],
            'long and short pushrods swapped' => [
                'family' => 'assembly', 'because' => 'Two places have each other’s pushrods.',
                'case' => Example::pushrodEight()->shows('pushrod_length', 3, 'A1-E1', 'A1-I1')->shows('new_since_assembly', 3)
                    ->shows('ticks_always', 2),
                'is' => Expected::leader('wrong_part'),
                'twin' => Example::pushrodEight()->shows('pushrod_length', 0, 'A1-E1', 'A1-I1')->shows('new_since_assembly', 3)
                    ->shows('pivot_loose', 3, 'A1-E1')->shows('ticks_always', 2),
                'becomes' => Expected::leader('adjuster_loose', 'station A1-E1'),
            ],
            'lash set wide on all' => [
                'family' => 'assembly', 'because' => 'Twice the card everywhere since assembly, and a tick.',
                'case' => (static function (): Example {
                    $example = Example::pushrodEight()->claims('engine', 'lash', '0.014')->shows('ticks_always', 3)
                        ->shows('new_since_assembly', 3);
                    foreach (self::every($example) as $place) {
                        $example->measures($place, 'lash', '0.030')->looks($place, 'lobe')->shows('pushrod_bent', 0, $place)
                            ->shows('pivot_loose', 0, $place)->shows('pushrod_length', 0, $place);
                    }

                    return $example;
                })(),
                'is' => Expected::first('lash_mis_set'),
                'twin' => (static function (): Example {
                    $example = Example::pushrodEight()->claims('engine', 'lash', '0.014')->shows('ticks_always', 3)
                        ->shows('new_since_assembly', 0);
                    foreach (self::every($example) as $place) {
                        $example->measures($place, 'lash', $place === 'A3-E1' ? '0.060' : '0.014');
                    }

                    return $example->shows('lobe_worn', 4, 'A3-E1')->shows('follower_dished', 3, 'A3-E1')
                        ->shows('follower_still', 3, 'A3-E1');
                })(),
                'becomes' => Expected::leader('follower_not_turning', 'station A3-E1'),
            ],
            'a seal of the wrong kind' => [
                'family' => 'assembly', 'because' => 'Smoke since assembly; exhaust seals on intakes; guides sound.',
                'case' => Example::pushrodEight()->shows('seal_wrong', 3, 'A1-I1', 'A2-I1', 'B1-I1')->shows('blue_smoke', 3)
                    ->shows('oil_past_guide', 2, 'A1-I1', 'A2-I1', 'B1-I1')->shows('new_since_assembly', 3),
                'is' => Expected::leader('seal_mis_fitted'),
                'twin' => Example::pushrodEight()->shows('seal_wrong', 0, 'A1-I1', 'A2-I1', 'B1-I1')
                    ->shows('seal_hard', 3, 'A1-I1', 'A2-I1', 'B1-I1')
                    ->shows('blue_smoke', 3)->shows('oil_past_guide', 2, 'A1-I1', 'A2-I1', 'B1-I1')->shows('new_since_assembly', 0),
                'becomes' => Expected::leader('seal_failed'),
            ],
            'a rag was left in' => [
                'family' => 'assembly', 'because' => 'Threads in filter and passages in the first hour.',
                'case' => Example::pushrodEight()->shows('filter_swarf', 3)->shows('oil_debris', 3)->shows('new_since_assembly', 3)
                    ->shows('journal_scored', 2, 'A1-E1', 'B1-E1'),
                'is' => Expected::leader('debris_left'),
                'twin' => Example::pushrodEight()->shows('filter_swarf', 0)->shows('oil_debris', 3)->shows('dirt_in_oil', 3)
                    ->shows('new_since_assembly', 0)->shows('journal_scored', 2, 'A1-E1', 'B1-E1'),
                'becomes' => Expected::leader('oil_dirt'),
            ],
        ];
    }

    /** @return array<string, Archetype> */
    private static function outside(): array
    {
        $compression = static function (Example $example, string ...$figures): Example {
            foreach (array_values($figures) as $i => $figure) {
                $example->tests('A'.($i + 1), 'compression', $figure);
            }

            return $example;
        };

        return [
            'oil from the turbine' => [
                'family' => 'outside', 'because' => 'Oil stands before any guide, the backs are wet, the shaft seal too.',
                'case' => self::bucketFour(['charged' => 'yes'])->shows('oil_from_upstream', 3)
                    ->shows('back_wet', 2, 'A1-I1', 'A2-I1', 'A3-I1', 'A4-I1')
                    ->shows('blue_smoke', 3),
                'is' => Expected::leader('oil_upstream'),
                'twin' => self::bucketFour(['charged' => 'yes'])->shows('oil_from_upstream', 0)
                    ->shows('back_wet', 2, 'A1-I1', 'A2-I1', 'A3-I1', 'A4-I1')->shows('blue_smoke', 3)
                    ->shows('seal_hard', 3, 'A1-I1', 'A2-I1', 'A3-I1', 'A4-I1')->shows('port_half_wet', 2, 'A1-I1', 'A3-I1'),
                'becomes' => Expected::leader('seal_failed'),
            ],
            'gasket between two' => [
                'family' => 'outside', 'because' => 'Two neighbours low, air heard in the next cylinder.',
                'case' => $compression(Example::bucketFour(), '180', '90', '92', '178')->shows('hiss_neighbour', 3, 'A2', 'A3'),
                'is' => Expected::leader('gasket_or_crack'),
                'twin' => $compression(Example::bucketFour(), '180', '90', '176', '178')->shows('hiss_neighbour', 0, 'A2')
                    ->shows('hiss_exhaust', 3, 'A2')->shows('face_burnt', 3, 'A2-E1')->shows('stem_heat_colour', 2, 'A2-E1'),
                'becomes' => Expected::established('leak_at_seat', 'valve_heat'),
            ],
            'rings' => [
                'family' => 'outside', 'because' => 'It blows at the filler and rises with oil.',
                'case' => Example::bucketFour()->shows('compression_low', 3, 'A1')->shows('hiss_filler', 3, 'A1')
                    ->shows('rises_with_oil', 3, 'A1')
                    ->shows('hiss_exhaust', 0, 'A1')->shows('hiss_inlet', 0, 'A1'),
                'is' => Expected::leader('rings_or_piston'),
                'twin' => Example::bucketFour()->shows('compression_low', 3, 'A1')->shows('hiss_filler', 0, 'A1')
                    ->shows('rises_with_oil', 0, 'A1')
                    ->shows('hiss_exhaust', 3, 'A1'),
                'becomes' => Expected::established('leak_at_seat'),
            ],
            'a leaking exhaust valve, no boost' => [
                'family' => 'material', 'because' => 'Hiss in the exhaust, 95 of 180, popping: a valve, not gas force.',
                'case' => $compression(self::bucketFour(['charged' => 'no']), '180', '95', '178', '181')->shows('hiss_exhaust', 3, 'A2')
                    ->shows('overrun_bangs', 3),
                'is' => Expected::established('leak_at_seat'),
                'twin' => $compression(self::bucketFour(['charged' => 'no']), '180', '95', '178', '181')->shows('hiss_exhaust', 0, 'A2')
                    ->shows('hiss_inlet', 0, 'A2')->shows('hiss_filler', 0, 'A2')->tests('A2', 'leak_down', '5', 'cold'),
                'becomes' => Expected::notEnough(),
            ],
            'low and tight' => [
                'family' => 'assembly', 'because' => 'Sixty of 180, no loss at leak-down: a valve does not open.',
                'case' => Example::hydraulicRollerEight()->tests('A1', 'compression', '180')->tests('A2', 'compression', '60')
                    ->tests('A3', 'compression', '178')->tests('A2', 'leak_down', '5', 'cold')->shows('dead_cylinder', 3)
                    ->shows('hiss_exhaust', 0, 'A2')->shows('hiss_inlet', 0, 'A2')->shows('hiss_filler', 0, 'A2'),
                'is' => Expected::established('valve_stays_shut', 'pushrod_not_seated'),
                'twin' => Example::hydraulicRollerEight()->tests('A1', 'compression', '180')->tests('A2', 'compression', '60')
                    ->tests('A3', 'compression', '178')->tests('A2', 'leak_down', '70', 'cold')->shows('dead_cylinder', 3)
                    ->shows('hiss_filler', 3, 'A2')->shows('rises_with_oil', 3, 'A2'),
                'becomes' => Expected::leader('rings_or_piston'),
            ],
            'all low alike' => [
                'family' => 'contact', 'because' => 'Even, far below the card, the needle steady and low at idle: a late intake cam.',
                'case' => $compression(Example::bucketFour()->claims('engine', 'compression', '185'), '85', '84', '86', '85')
                    ->answers('engine', 'vacuum_needle', 'low'),
                'is' => Expected::leader('phase_off', 'kind A1-I1'),
                'twin' => $compression(Example::bucketFour()->claims('engine', 'compression', '185'), '85', '84', '86', '85')
                    ->answers('engine', 'vacuum_needle', 'steady')->tests('engine', 'cam_phase_card', '106', 'A-I')
                    ->tests('engine', 'cam_phase_found', '106', 'A-I'),
                'becomes' => Expected::first('test_conditions'),
            ],
            'oil on the plug from above' => [
                'family' => 'outside', 'because' => 'Threads wet, electrode and chamber dry.',
                'case' => Example::bucketFour()->shows('oil_on_plug_threads', 3, 'A2', 'A3')->shows('chamber_oily', 0, 'A2', 'A3')
                    ->shows('plug_wet', 0, 'A2', 'A3'),
                'is' => Expected::first('tube_seal'),
                'twin' => Example::bucketFour()->shows('oil_on_plug_threads', 0, 'A2', 'A3')->shows('chamber_oily', 3, 'A2')
                    ->shows('hiss_filler', 3, 'A2')->shows('rises_with_oil', 2, 'A2'),
                'becomes' => Expected::leader('rings_or_piston'),
            ],
            'a washed chamber' => [
                'family' => 'outside', 'because' => 'One chamber clean beside sooty ones, its plug wet, the gasket whole.',
                'case' => Example::bucketFour()->shows('chamber_washed', 3, 'A3')->shows('plug_wet', 3, 'A3')->shows('fuel_in_oil', 2)
                    ->shows('deck_gas_track', 0, 'A3')->shows('hiss_radiator', 0, 'A3'),
                'is' => Expected::leader('fluid_in_cylinder'),
                'twin' => Example::bucketFour()->shows('chamber_washed', 3, 'A3')->shows('coolant_lost', 3)->shows('hiss_radiator', 3, 'A3')
                    ->shows('deck_gas_track', 3, 'A3'),
                'becomes' => Expected::leader('gasket_or_crack'),
            ],
            'something came in with the air' => [
                'family' => 'foreign', 'because' => 'Pieces in the intake, one crown struck, valves and locks whole.',
                'case' => Example::bucketFour()->shows('intake_pieces', 3)->shows('crown_struck', 3, 'A2')->shows('head_struck', 3, 'A2')
                    ->looks('A2-E1', 'valve', 'locks')->looks('A2-E2', 'valve', 'locks')->looks('A2-I1', 'valve', 'locks')
                    ->looks('A2-I2', 'valve', 'locks'),
                'is' => Expected::leader('foreign_object'),
                'twin' => Example::bucketFour()->shows('intake_pieces', 0)->shows('crown_struck', 3, 'A2')
                    ->shows('valve_head_off', 4, 'A2-E1')
                    ->shows('fracture_valve_fatigue', 3, 'A2-E1')->shows('valve_inclusion', 3, 'A2-E1'),
                'becomes' => Expected::leader('valve_flaw', 'station A2-E1'),
            ],
            'a fault outside the valvetrain beside one inside' => [
                'family' => 'outside', 'because' => 'The bound spring does not wash a chamber: there is a gasket besides.',
                'case' => self::bound()->shows('deck_gas_track', 3, 'B3')->shows('hiss_radiator', 3, 'B3'),
                'is' => Expected::beside('installed_height_small', 'gasket_or_crack'),
                'twin' => self::bound()->shows('deck_gas_track', 0, 'B3'), 'becomes' => Expected::leader('installed_height_small',
                    'station A2-E1'),
            ],
        ];
    }

    /** @return array<string, Archetype> */
    private static function scopes(): array
    {
        $soft = static fn (string ...$places): Example => Example::hydraulicRollerEight()->shows('element_collapses', 3, ...$places)
            ->shows('check_ball_leaks', 3, ...$places)
            ->shows('element_collapses', 0, ...array_diff(self::every(Example::hydraulicRollerEight()), $places));
        $sunk = static function (string ...$places): Example {
            $example = Example::pushrodEight()->claims('engine', 'load_seat', '120', '1.800')->shows('overspeed_seen', 0);
            foreach (self::every($example) as $place) {
                $low = in_array($place, $places, true);
                $example->measures($place, 'load_seat', $low ? '90' : '121', '1.800')->shows('seat_hammered', $low ? 3 : 0, $place);
            }

            return $example;
        };

        return [
            'nothing is wrong' => [
                'family' => 'float', 'because' => 'Everything was looked at, readings are inside, somebody heard a tick.',
                'case' => (static function (): Example {
                    $example = Example::pushrodEight()->shows('ticks_cold_fades', 1);
                    foreach (self::every($example) as $place) {
                        $example->looks($place, 'spring', 'valve', 'seat', 'lobe', 'follower', 'retainer', 'locks');
                    }

                    return $example;
                })(),
                'is' => Expected::notEnough(),
                'twin' => (static function (): Example {
                    $example = Example::pushrodEight()->shows('ticks_cold_fades', 1)->shows('spring_broken', 3, 'A1-E1')
                        ->shows('fracture_nick', 3, 'A1-E1');
                    foreach (self::every($example) as $place) {
                        $example->looks($place, 'spring', 'valve', 'seat', 'lobe', 'follower', 'retainer', 'locks');
                    }

                    return $example;
                })(),
                'becomes' => Expected::leader('spring_nick', 'station A1-E1'),
            ],
            'only traces' => [
                'family' => 'float', 'because' => 'A few traces are what a used engine has.',
                'case' => Example::pushrodEight()->shows('tip_peened', 1, 'A1-E1')->shows('coil_clash', 1, 'B1-E1')
                    ->shows('retainer_worn', 1, 'A2-E1'),
                'is' => Expected::notEnough(),
                'twin' => Example::pushrodEight()->shows('tip_peened', 3, ...self::every(Example::pushrodEight()))
                    ->shows('seat_hammered', 3, ...self::every(Example::pushrodEight()))->shows('overspeed_seen', 3),
                'becomes' => Expected::leader('over_speed'),
            ],
            'half the stations not looked at' => [
                'family' => 'material', 'because' => 'What was seen names it; what was not seen says nothing.',
                'case' => $sunk('A1-E1', 'A2-E1', 'A3-E1', 'A4-E1', 'B1-E1', 'B2-E1', 'B3-E1', 'B4-E1')->but(
                    static function (Example $half): void {
                        foreach (self::every($half) as $place) {
                            if ($place[0] === 'B') {
                                $half->looks($place, 'spring');
                            }
                        }
                    },
                ), 'is' => Expected::leader('spring_weak', 'kind A1-E1'),
                'twin' => $sunk('A1-E1', 'A1-I1', 'A2-E1', 'A2-I1', 'A3-E1', 'A3-I1', 'A4-E1', 'A4-I1', 'B1-E1', 'B1-I1', 'B2-E1',
                    'B2-I1', 'B3-E1', 'B3-I1', 'B4-E1', 'B4-I1'),
                'becomes' => Expected::leader('spring_weak', 'all'),
            ],
            'one weak spring does not hammer seven other seats' => [
                'family' => 'float', 'because' => 'A cause explains marks where it is.',
                'case' => (static function (): Example {
                    $example = Example::pushrodEight()->claims('engine', 'load_seat', '120', '1.800');
                    foreach (self::every($example) as $place) {
                        $example->measures($place, 'load_seat', $place === 'A1-E1' ? '90' : '121', '1.800')
                            ->shows('seat_hammered', 3, $place);
                    }

                    return $example->shows('overspeed_seen', 3);
                })(),
                'is' => Expected::beside('over_speed', 'spring_weak'),
                'twin' => $sunk('A1-E1')->but(static fn (Example $twin) => $twin
                    ->shows('overspeed_seen', 3)), 'becomes' => Expected::first('spring_weak'),
            ],
            'a soft element, moved' => [
                'family' => 'follower', 'because' => 'The mark at another station is the fault at another station.',
                'case' => $soft('A2-I1'), 'is' => Expected::leader('element_collapsed', 'station A2-I1'),
                'twin' => $soft('B3-E1'), 'becomes' => Expected::leader('element_collapsed', 'station B3-E1'),
            ],
            'two causes at two places' => [
                'family' => 'follower', 'because' => 'A soft element here and a nicked spring there have nothing to do with each other.',
                'case' => $soft('A2-I1')->shows('spring_broken', 3, 'B4-E1')->shows('fracture_nick', 3, 'B4-E1'),
                'is' => Expected::pair('element_collapsed', 'spring_nick'),
                'twin' => $soft('A2-I1')->shows('spring_broken', 0, 'B4-E1'), 'becomes' => Expected::leader('element_collapsed',
                    'station A2-I1'),
            ],
            'only what was carried decides' => [
                'family' => 'bind', 'because' => 'It went solid twice, over new springs and the same cam and rockers.',
                'case' => Example::pushrodEight()->shows('coils_bright', 3, 'A2-E1', 'B1-E1')->shows('end_coil_dug', 2, 'A2-E1')
                    ->failsAgain('2026-06-01', ['cam' => 'carried', 'rockers' => 'carried', 'springs' => 'new', 'head' => 'new',
                        'locks' => 'new'])
                    ->failsAgain('2026-09-01', ['cam' => 'carried', 'rockers' => 'carried', 'springs' => 'new', 'head' => 'new',
                        'locks' => 'new']),
                'is' => Expected::first('lift_beyond_spring'),
                'twin' => Example::pushrodEight()->shows('coils_bright', 3, 'A2-E1', 'B1-E1')->shows('end_coil_dug', 2, 'A2-E1')
                    ->failsAgain('2026-06-01', ['cam' => 'new', 'rockers' => 'new', 'springs' => 'new', 'head' => 'carried'])
                    ->failsAgain('2026-09-01', ['cam' => 'new', 'rockers' => 'new', 'springs' => 'new', 'head' => 'carried']),
                'becomes' => Expected::first('installed_height_small'),
            ],
            'new in the run without trouble' => [
                'family' => 'bind', 'because' => 'It went solid again, then ran a season: height goes with the head, lift with the cam.',
                'case' => Example::pushrodEight()->shows('coils_bright', 3, 'A2-E1', 'B1-E1')->shows('end_coil_dug', 2, 'A2-E1')
                    ->failsAgain('2026-06-01', ['cam' => 'carried', 'rockers' => 'carried', 'head' => 'carried', 'locks' => 'carried'])
                    ->runsSound('2026-09-01', ['cam' => 'new', 'rockers' => 'new', 'head' => 'carried', 'locks' => 'carried']),
                'is' => Expected::first('lift_beyond_spring'),
                'twin' => Example::pushrodEight()->shows('coils_bright', 3, 'A2-E1', 'B1-E1')->shows('end_coil_dug', 2, 'A2-E1')
                    ->failsAgain('2026-06-01', ['cam' => 'carried', 'rockers' => 'carried', 'head' => 'carried', 'locks' => 'carried'])
                    ->runsSound('2026-09-01', ['cam' => 'carried', 'rockers' => 'carried', 'head' => 'new', 'locks' => 'new']),
                'becomes' => Expected::first('installed_height_small'),
            ],
            'the fault moves with the follower' => [
                'family' => 'follower', 'because' => 'It ticks where this follower stands; the place is sound.',
                'case' => Example::hydraulicRollerEight()->failed('A2-I1')->shows('ticks_always', 2)
                    ->answers('A2-I1', 'follower_swap', 'moved'),
                'is' => Expected::first('element_collapsed'),
                'twin' => Example::hydraulicRollerEight()->failed('A2-I1')->shows('ticks_always', 2)
                    ->answers('A2-I1', 'follower_swap', 'stayed'),
                'becomes' => Expected::first('pushrod_not_seated'),
            ],
            'followers changed without effect' => [
                'family' => 'assembly', 'because' => 'Other followers tick as these did: it is where they stand.',
                'case' => Example::hydraulicRollerEight()->shows('ticks_always', 2)->answers('engine', 'replaced_followers', 'no_effect'),
                'is' => Expected::first('pushrod_not_seated'),
                'twin' => Example::hydraulicRollerEight()->shows('ticks_always', 2)->answers('engine', 'replaced_followers', 'gone'),
                'becomes' => Expected::first('element_collapsed'),
            ],
            'banks measured unlike' => [
                'family' => 'mismatch', 'because' => 'Nobody said so, but the wire of one bank is thinner, station by station.',
                'case' => self::banks('0.177', '0.192'), 'is' => Expected::first('heads_unlike'),
                'twin' => self::banks('0.192', '0.192'), 'becomes' => Expected::notEnough(),
            ],
            'the story places it' => [
                'family' => 'mismatch', 'because' => 'Stations reported failed weigh where nothing else tells places apart.',
                'case' => Example::bucketFour()->failed('A3-E1')->shows('stem_scuffed', 3, 'A3-E1')->shows('guide_dry', 3, 'A3-E1'),
                'is' => Expected::leader('dry_guide', 'station A3-E1'),
                'twin' => Example::bucketFour()->failed('A3-E1')->shows('valve_seized', 3, 'A3-E1')->shows('stem_gummed', 3, 'A3-E1')
                    ->shows('guide_dry', 0, 'A3-E1'),
                'becomes' => Expected::leader('valve_stuck', 'station A3-E1'),
            ],
            'a single’s valve hangs when parked' => [
                'family' => 'material', 'because' => 'Fine when parked, dead at the next start: gum.',
                'case' => self::single()->shows('stood_long', 3)->shows('stem_gummed', 2, 'A1-E1')->shows('dead_cylinder', 3),
                'is' => Expected::leader('valve_stuck'),
                'twin' => self::single()->shows('stood_long', 0)->shows('stem_gummed', 0, 'A1-E1')->shows('dead_cylinder', 3)
                    ->shows('moves_with_ignition', 3),
                'becomes' => Expected::leader('ignition_or_fuel'),
            ],
            'a finger thrown off after a stuck element' => [
                'family' => 'follower', 'because' => 'A finger engine: the element under the finger does not sink.',
                'case' => self::fingerSix()->shows('element_stuck', 3, 'B2-E1')->shows('leaks_light', 3, 'B2-E1'),
                'is' => Expected::leader('element_stuck_up', 'station B2-E1'),
                'twin' => self::fingerSix()->shows('element_stuck', 0, 'B2-E1')->shows('finger_roller_worn', 3, 'B2-E1')
                    ->shows('needles_loose', 3, 'B2-E1')->shows('lobe_worn', 3, 'B2-E1'),
                'becomes' => Expected::first('roller_fatigue'),
            ],
        ];
    }
}
