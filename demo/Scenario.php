<?php

declare(strict_types=1);

namespace MuteTapper\Demo;

use MuteTapper\App\Simulated\PartPicture;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Slot;

/**
 * The made-up shop: cars and boats of leagues that do not exist. Each case has a hidden truth, from which its numbers are
 * computed and then read off as a gauge would.
 *
 * @phpstan-type Finding array{place: string, part: string, sign: string, severity: int, note?: string}
 * @phpstan-type More array{kind: EntryKind, slot: Slot, data: array<string, mixed>}
 * @phpstan-type Picture array{place: string, part: string, kind: PartPicture, severity: int}
 */
final readonly class Scenario
{
    /**
     * @param array<string, mixed> $engine
     * @param array<string, mixed> $story
     * @param list<array{place: string, column: string, text: string, at?: string, standing: string}> $claims
     * @param \Closure(Station, int): array<string, string> $readings by column, with its index behind a colon, of
     *                                                                stations that are measured; the int counts stations
     * @param list<Finding> $findings
     * @param list<string> $lookedStations stations whose other parts show nothing
     * @param list<Picture> $pictures
     * @param array{causes: list<string>, words: string, confidence: int}|null $call
     * @param list<More> $more what else was recorded; a date in it that begins with + or - is days from today
     * @param array{file: string, seconds: int, limiter: float, missed: list<float>, oil: float|null}|null $run of the simulated logger
     */
    public function __construct(
        public string $name,
        public array $engine,
        public array $story,
        public array $claims,
        public \Closure $readings,
        public array $findings,
        public array $lookedStations,
        public array $pictures,
        public ?array $call,
        public array $more = [],
        public ?array $run = null,
    ) {
    }

    /** @return list<self> in the order in which they came in */
    public static function all(): array
    {
        return [
            self::floatFour(), Cases\LateSix::scenario(), Cases\WipedEight::scenario(), Cases\UnlikeEight::scenario(),
            Cases\SoftLifterEight::scenario(), self::boundEight(), self::quietSingle(),
        ];
    }

    /** @return array<string, array<string, mixed>> engines of the shop's library, by name */
    public static function engines(): array
    {
        return [
            'Quarry Mile eight' => [
                'layout' => 'vee', 'drive' => 'pushrod', 'face' => 'roller', 'lash' => 'solid', 'cylinders' => 8,
                'firing_order' => [1, 8, 4, 3, 6, 5, 7, 2], 'rocker_ratio' => 1.6, 'intended_speed' => 7600.0,
            ],
            'Fen Cup four' => [
                'layout' => 'inline', 'drive' => 'bucket', 'face' => 'flat', 'lash' => 'solid', 'cylinders' => 4,
                'firing_order' => [1, 3, 4, 2], 'intended_speed' => 9200.0,
            ],
        ];
    }

    /**
     * The shop's own gauges, springs and a study of one gauge. All made up.
     *
     * @return list<array{string, string, string, array<string, mixed>}> shelf, code, name and content
     */
    public static function shelves(\DateTimeImmutable $today): array
    {
        $ago = static fn (int $days): string => $today->modify(sprintf('-%d days', $days))->format('Y-m-d');
        $spring = static fn (string $free, string $seat, string $open, string $bind, string $outside, string $inside): array => [
            ['item' => 'free_height', 'index' => 'outer', 'text' => $free],
            ['item' => 'load_seat', 'index' => 'outer', 'text' => $seat, 'at' => '1.900'],
            ['item' => 'load_open', 'index' => 'outer', 'text' => $open, 'at' => '1.300'],
            ['item' => 'bind_height', 'index' => 'outer', 'text' => $bind],
            ['item' => 'outside_diameter', 'index' => 'outer', 'text' => $outside],
            ['item' => 'inside_diameter', 'index' => 'outer', 'text' => $inside],
        ];

        return [
            ['gauges', 'height-2', 'Height micrometer 2', [
                'kind' => 'height_micrometer', 'serial' => 'made up 2', 'repeat' => 0.0006, 'resolution' => 0.0005,
                'calibrated_on' => $ago(90), 'every_months' => 12, 'cable' => true,
            ]],
            ['gauges', 'tester-1', 'Bench tester 1', [
                'kind' => 'spring_tester', 'serial' => 'made up 1', 'gain' => 0.01, 'calibrated_on' => $ago(60), 'every_months' => 12,
                'cable' => true,
            ]],
            ['gauges', 'hook-1', 'Hook tester', [
                'kind' => 'lever_tester', 'serial' => 'made up 7', 'zero' => 1.5, 'offset' => 4.0, 'calibrated_on' => $ago(420),
                'every_months' => 12,
            ]],
            ['springs', 'quarry-double', 'Quarry Mile outer, orange stripe', [
                'note' => 'Made up for this demo.', 'figures' => $spring('2.250', '165 lb', '410 lb', '1.180', '1.550', '1.120'),
            ]],
            ['springs', 'quarry-soft', 'Quarry Mile outer, white stripe', [
                'note' => 'Made up for this demo. A third softer.',
                'figures' => $spring('2.310', '120 lb', '300 lb', '1.150', '1.540', '1.130'),
            ]],
            ['springs', 'fen-firm', 'Fen Cup single, violet stripe', [
                'note' => 'Made up for this demo. Firmer than the card’s.', 'figures' => [
                    ['item' => 'free_height', 'index' => 'outer', 'text' => '1.745'],
                    ['item' => 'load_seat', 'index' => 'outer', 'text' => '78 lb', 'at' => '1.440'],
                    ['item' => 'load_open', 'index' => 'outer', 'text' => '182 lb', 'at' => '1.030'],
                    ['item' => 'bind_height', 'index' => 'outer', 'text' => '0.930'], ['item' => 'spring_mass', 'text' => '59.5 g'],
                ],
            ]],
            ['lobes', 'fen-late', 'Fen Cup late exhaust', [
                'note' => 'Made up for this demo. Longer than the card’s.', 'figures' => [
                    ['item' => 'lobe_lift', 'text' => '0.432'], ['item' => 'card_high_duration', 'text' => '261'],
                    ['item' => 'card_low_duration', 'text' => '295'], ['item' => 'ramp_height', 'text' => '0.010'],
                    ['item' => 'ramp_rate', 'text' => '0.0004'],
                ],
            ]],
            ['studies', 'height-2-three-hands', 'Height micrometer 2, three hands', [
                'gauge' => 'height-2', 'unit' => 'in', 'people' => ['Anna', 'Bert', 'Cleo'], 'readings' => [
                    [[1.8985, 1.8990], [1.9120, 1.9115], [1.9050, 1.9055], [1.8930, 1.8930], [1.9005, 1.9010]],
                    [[1.8990, 1.8995], [1.9120, 1.9125], [1.9060, 1.9055], [1.8935, 1.8930], [1.9010, 1.9010]],
                    [[1.8980, 1.8985], [1.9110, 1.9115], [1.9050, 1.9045], [1.8925, 1.8920], [1.9000, 1.9005]],
                ],
            ]],
        ];
    }

    /** Truth: springs lost a fifth of their load in two seasons; the engine floats and hammers its exhaust seats. Signed. */
    private static function floatFour(): self
    {
        $weak = ['A2-E1' => 0.78, 'A2-E2' => 0.80, 'A3-E1' => 0.82, 'A3-E2' => 0.81, 'A4-E1' => 0.86, 'A1-E1' => 0.88];
        $findings = [];
        foreach (['A2-E1' => 3, 'A2-E2' => 2, 'A3-E1' => 2, 'A3-E2' => 2, 'A4-E1' => 1] as $place => $severity) {
            $findings[] = ['place' => $place, 'part' => 'seat', 'sign' => 'seat_hammered', 'severity' => $severity];
            $findings[] = ['place' => $place, 'part' => 'valve', 'sign' => 'tip_peened', 'severity' => max(1, $severity - 1)];
        }
        $findings[] = [
            'place' => 'A2-E1', 'part' => 'lash_shim', 'sign' => 'lash_shim_thrown', 'severity' => 2,
            'note' => 'Shim lay on its edge beside the bucket.',
        ];
        $findings[] = ['place' => 'A2-E1', 'part' => 'lobe', 'sign' => 'flank_landing', 'severity' => 2];
        $findings[] = ['place' => 'A3-E1', 'part' => 'lobe', 'sign' => 'flank_landing', 'severity' => 1];
        $findings[] = ['place' => 'A2-E1', 'part' => 'spring', 'sign' => 'short_free_height', 'severity' => 2];
        $findings[] = ['place' => 'engine', 'part' => 'running', 'sign' => 'misfire_high', 'severity' => 2];
        $findings[] = ['place' => 'engine', 'part' => 'running', 'sign' => 'overspeed_seen', 'severity' => 0];
        $findings[] = ['place' => 'engine', 'part' => 'running', 'sign' => 'sudden_stop', 'severity' => 0];

        return new self(
            'Fen Cup four, engine 12',
            [
                'layout' => 'inline', 'drive' => 'bucket', 'face' => 'flat', 'lash' => 'solid', 'cylinders' => 4,
                'firing_order' => [1, 3, 4, 2], 'intended_speed' => 9200.0, 'reached_speed' => 9150.0,
            ],
            [
                'words' => 'Breaks up over nine thousand. It pulled cleanly all last year.',
                'customer' => 'Team Sedge, hull 12',
                'use' => 'Fen Cup sprint boats, two seasons, 31 hours since the build.', 'changed' => 'Nothing since the build.',
                'replaced' => 'Coils and plugs, without effect.',
                'when' => 'At the limiter.', 'built' => 'Team Sedge, two seasons ago.', 'proposed' => 'None yet.',
                'stands' => 'Two weeks; it races again in May.', 'oil' => 'Made-up brand, 10W-50, changed every event.',
                'limiter' => 'Fuel cut at 9300.', 'earlier' => 'None known.', 'failed' => ['A2-E1'],
            ],
            [...self::claims('1.440', '62', '0.925', '0.410', 1.700), ...self::cardOfFour()],
            static function (Station $station, int $i) use ($weak): array {
                $share = $weak[$station->code()] ?? 1.0 + 0.02 * self::scatter($i, 1);
                $height = 1.440 + 0.004 * self::scatter($i, 2);
                $rate = 236.0;

                // A spring that has set is shorter and keeps its rate: it has lost the same load at every height.
                $lost = 62.0 * (1 - $share);

                return [
                    'free_height' => self::inch(1.703 - $lost / $rate),
                    'load_seat' => self::pound(62.0 - $lost),
                    'load_open' => self::pound(62.0 - $lost + $rate * 0.410),
                    'bind_height' => self::inch(0.925 + 0.003 * self::scatter($i, 3)),
                    'outside_diameter' => self::inch(1.061 + 0.002 * self::scatter($i, 7)),
                    'installed_height' => self::inch($height),
                    'net_lift' => self::inch(0.410 + 0.002 * self::scatter($i, 4)),
                    'pocket_diameter' => self::inch(1.084 + 0.003 * self::scatter($i, 5)),
                    'seal_height' => self::inch(0.743 + 0.005 * self::scatter($i, 6)),
                    'retainer_depth' => self::inch(0.204),
                    ...self::trainOfFour($i), ...self::pistonOfFour($station, $i),
                ];
            },
            $findings,
            [
                'A1-E1', 'A1-E2', 'A1-I1', 'A1-I2', 'A2-E1', 'A2-E2', 'A2-I1', 'A2-I2', 'A3-E1', 'A3-E2', 'A3-I1', 'A3-I2', 'A4-E1',
                'A4-E2', 'A4-I1', 'A4-I2',
            ],
            [['place' => 'A2-E1', 'part' => 'valve', 'kind' => PartPicture::ValveTip, 'severity' => 2]],
            [
                'causes' => ['spring_weak'],
                'words' => 'The exhaust springs have lost a fifth of their load and more, and the valves were no longer held: hammered '.
                'seats, peened tips, a thrown shim. The speed was never above the limiter.',
                'confidence' => 85,
            ],
            [...self::healthOfFour(), ...self::oilOfFour(), ...self::headsOfFour()],
            ['file' => 'simulated-logger-heat-3.csv', 'seconds' => 270, 'limiter' => 9150.0, 'missed' => [], 'oil' => null],
        );
    }

    /**
     * Lobe, face and masses of a station of the four: a sound spring would just hold it to its speed, one that lost a fifth does not.
     *
     * @return array<string, string> by column
     */
    private static function trainOfFour(int $i): array
    {
        $of = static fn (float $value, float $scatter, int $quantity, int $decimals): string => number_format(
            $value + $scatter * self::scatter($i, $quantity), $decimals, '.', '',
        );

        return [
            'lobe_lift' => $of(0.4202, 0.0004, 13, 4), 'lift_before_nose' => $of(0.4080, 0.0003, 14, 4),
            'lift_past_nose' => $of(0.4078, 0.0003, 15, 4), 'base_circle' => $of(1.400, 0.001, 16, 3),
            'track_width' => $of(0.552, 0.006, 17, 3), 'base_run_out' => $of(0.0005, 0.0002, 18, 4),
            'follower_outside' => $of(1.3000, 0.0002, 19, 4), 'follower_bore' => $of(1.3016, 0.0002, 20, 4),
            'face_crown' => $of(0.0006, 0.0003, 21, 4), 'lobe_roughness' => $of(0.20, 0.03, 22, 2),
            'face_roughness' => $of(0.11, 0.02, 23, 2), 'valve_mass' => $of(44.6, 0.2, 24, 1), 'retainer_mass' => $of(10.8, 0.1, 25, 1),
            'lock_mass' => $of(2.1, 0.1, 26, 1), 'spring_mass' => $of(58.0, 0.4, 27, 1), 'follower_mass' => $of(55.2, 0.3, 28, 1),
        ];
    }

    /** @return array<string, string> relief, recess and clay of a station of the four, by column */
    private static function pistonOfFour(Station $station, int $i): array
    {
        $isExhaust = $station->kind === ValveKind::Exhaust;

        return [
            'relief_depth' => self::inch(($isExhaust ? 0.170 : 0.165) + 0.002 * self::scatter($i, 31)),
            'valve_recess' => self::inch(($isExhaust ? 0.035 : 0.028) + 0.001 * self::scatter($i, 32)),
            'piston_to_valve' => self::inch(($isExhaust ? 0.112 : 0.091) + 0.003 * self::scatter($i, 33)),
            'relief_radius' => self::inch(($isExhaust ? 0.606 : 0.694) + 0.002 * self::scatter($i, 34)),
            'head_diameter:along' => self::inch($isExhaust ? 1.102 : 1.280),
            'metal_to_groove' => self::inch(0.142 + 0.003 * self::scatter($i, 35)),
        ];
    }

    /** @return list<More> how far the heads of its valves stand apart */
    private static function headsOfFour(): array
    {
        return array_map(static fn (int $cylinder): array => self::record(
            EntryKind::Reading, 'A'.$cylinder, 'chamber', 'valves_apart_shut', null, ['text' => self::inch(0.148 + 0.002 * $cylinder)],
        ), [1, 2, 3, 4]);
    }

    /** @return list<array{place: string, column: string, text: string, standing: string}> the card of the four's cams */
    private static function cardOfFour(): array
    {
        $claims = [];
        $card = ['card_high_duration' => '255', 'card_low_duration' => '288', 'ramp_height' => '0.010', 'ramp_rate' => '0.0004'];
        $card['lash'] = '0.010';
        foreach ($card as $of => $text) {
            foreach (ValveKind::cases() as $kind) {
                $claims[] = ['place' => 'kind-'.$kind->value, 'column' => $of, 'text' => $text, 'standing' => 'known'];
            }
        }

        foreach (['I' => '106', 'E' => '108'] as $kind => $centre) {
            $claims[] = ['place' => 'kind-'.$kind, 'column' => 'card_centre', 'text' => $centre, 'standing' => 'known'];
        }
        foreach ([
            'stroke' => '2.750', 'rod_length' => '4.900', 'deck_clearance' => '0.008', 'gasket_thickness' => '0.035',
            'intake_valve_angle' => '14', 'exhaust_valve_angle' => '15',
        ] as $of => $text) {
            $claims[] = ['place' => 'engine', 'column' => $of, 'text' => $text, 'standing' => 'known'];
        }

        return $claims;
    }

    /** @return list<More> the oil as bought, and what it runs through slowly */
    private static function oilOfFour(): array
    {
        $more = [];
        foreach ([
            ['oil', 'oil_viscosity_40', '118'], ['oil', 'oil_viscosity_100', '17.6'], ['oil', 'oil_temperature', '105 °C'],
            ['oil', 'oil_phosphorus', '1150'], ['oil', 'oil_zinc', '1260'], ['running', 'slow_speed', '1600'],
        ] as [$part, $figure, $text]) {
            $more[] = self::record(
                EntryKind::Claim, 'engine', $part, 'claimed.'.$figure, null, ['text' => $text, 'standing' => 'said'],
            );
        }

        return $more;
    }

    /** Truth: bank B's exhausts were built with a 0.060 locator that nobody took off the installed height; they go solid. */
    private static function boundEight(): self
    {
        $bound = ['B1-E1', 'B2-E1', 'B3-E1', 'B4-E1'];
        $findings = [
            ['place' => 'B2-E1', 'part' => 'spring', 'sign' => 'coils_bright', 'severity' => 3],
            ['place' => 'B2-E1', 'part' => 'spring_seat', 'sign' => 'end_coil_dug', 'severity' => 2],
            [
                'place' => 'B2-E1', 'part' => 'spring_seat', 'sign' => 'shim_unlisted', 'severity' => 2,
                'note' => 'Hardened locator, 0.060 in, under the spring; the card has none.',
            ],
            ['place' => 'B3-E1', 'part' => 'spring_seat', 'sign' => 'shim_unlisted', 'severity' => 2],
            ['place' => 'B1-E1', 'part' => 'spring_seat', 'sign' => 'shim_unlisted', 'severity' => 2],
            ['place' => 'B2-E1', 'part' => 'pushrod', 'sign' => 'pushrod_bent', 'severity' => 3],
            ['place' => 'B2-E1', 'part' => 'retainer', 'sign' => 'retainer_worn', 'severity' => 1],
            ['place' => 'B3-E1', 'part' => 'spring', 'sign' => 'coils_bright', 'severity' => 2],
            ['place' => 'B3-E1', 'part' => 'pushrod', 'sign' => 'pushrod_bent', 'severity' => 2],
            ['place' => 'B1-E1', 'part' => 'spring', 'sign' => 'coils_bright', 'severity' => 2],
            ['place' => 'engine', 'part' => 'running', 'sign' => 'new_since_assembly', 'severity' => 3],
            ['place' => 'engine', 'part' => 'running', 'sign' => 'misfire_high', 'severity' => 2],
            ['place' => 'engine', 'part' => 'running', 'sign' => 'sudden_stop', 'severity' => 0],
        ];

        return new self(
            'Quarry Mile V8, car 23',
            [
                'layout' => 'vee', 'drive' => 'pushrod', 'face' => 'roller', 'lash' => 'solid', 'cylinders' => 8,
                'firing_order' => [1, 8, 4, 3, 6, 5, 7, 2], 'rocker_ratio' => 1.6, 'intended_speed' => 7600.0, 'reached_speed' => 7350.0,
            ],
            [
                'words' => 'New springs and locators went in over the winter. First event it went rough at six and a half, then number '.
                'four went dead. Two pushrods came out like bananas.', 'customer' => 'Ottermoor Garage, car 23',
                'use' => 'Quarry Mile strip, nine runs since the build.',
                'changed' => 'Springs and retainers, both banks; locators, but nobody knows where.',
                'replaced' => 'Ignition amplifier, without effect.',
                'when' => 'Over six and a half, hot, under load.', 'built' => 'Ottermoor Garage; springs by the owner last winter.',
                'proposed' => 'Two new heads.', 'stands' => 'Since the last meeting; it is to run again in spring.', 'oil' => '',
                'limiter' => 'Ignition cut at 7600, no boost.', 'earlier' => 'None with the old springs.', 'failed' => ['B2-E1', 'B3-E1'],
            ],
            self::claims('1.900', '168', '1.210', '0.610', 2.330),
            static function (Station $station, int $i) use ($bound): array {
                if (!in_array($station->cylinder->bank, ['B'], true) && $station->cylinder->position > 2) {
                    return [];
                }
                $isBound = in_array($station->code(), $bound, true);
                $height = 1.900 + 0.008 * self::scatter($i, 1) - ($isBound ? 0.060 : 0.0);
                $load = 168.0 * (1 + 0.03 * self::scatter($i, 2));

                return [
                    'free_height' => self::inch(2.331 + 0.008 * self::scatter($i, 3)),
                    'load_seat' => self::pound($load),
                    'load_open' => self::pound($load + 402 * 0.610),
                    'bind_height' => self::inch(1.214 + 0.006 * self::scatter($i, 4) + ($isBound ? 0.01 : 0.0)),
                    'outside_diameter' => self::inch(1.541 + 0.003 * self::scatter($i, 7)),
                    'installed_height' => self::inch($height),
                    'shims' => $isBound ? '0.060' : '0.000',
                    'lobe_lift' => self::inch(0.3915 + 0.001 * self::scatter($i, 5)),
                    ...(in_array($station->code(), ['B2-E1', 'B3-E1'], true) ? [] : ['lash' => '0.016']),
                    'pocket_diameter' => self::inch(1.569 + 0.004 * self::scatter($i, 8)),
                    'seal_height' => self::inch(0.882 + 0.006 * self::scatter($i, 6)),
                    'retainer_depth' => self::inch(0.285),
                    ...self::partsOfEight($station, $i, $isBound),
                ];
            },
            $findings,
            ['B1-E1', 'B1-I1', 'B2-E1', 'B2-I1', 'B3-E1', 'B3-I1', 'B4-I1'],
            [
                ['place' => 'B2-E1', 'part' => 'spring', 'kind' => PartPicture::SpringCoils, 'severity' => 3],
                ['place' => 'B2-E1', 'part' => 'retainer', 'kind' => PartPicture::RetainerUnderside, 'severity' => 1],
                ['place' => 'B2-E1', 'part' => 'valve', 'kind' => PartPicture::ValveTip, 'severity' => 0],
                ['place' => 'B3-E1', 'part' => 'spring', 'kind' => PartPicture::SpringCoils, 'severity' => 2],
            ],
            null,
            self::moreOfEight(),
            ['file' => 'simulated-logger-run-40.csv', 'seconds' => 400, 'limiter' => 7600.0, 'missed' => [131.0, 262.5], 'oil' => null],
        );
    }

    /** Came in this morning: only the telephone call is written down. */
    private static function quietSingle(): self
    {
        return new self(
            'Peat Track single, spare engine',
            [
                'layout' => 'inline', 'drive' => 'finger', 'face' => 'crowned', 'lash' => 'solid', 'cylinders' => 1,
                'intended_speed' => 11500.0,
            ],
            [
                'words' => 'Cranks, no compression. It was fine when it was parked.', 'customer' => 'Privateer, number 8',
                'use' => 'Peat Track enduro, hours not known.', 'changed' => '', 'replaced' => '',
                'oil' => '', 'limiter' => '', 'earlier' => '', 'failed' => [],
            ],
            [],
            static fn (): array => [],
            [
                ['place' => 'engine', 'part' => 'running', 'sign' => 'dead_cylinder', 'severity' => 3],
                ['place' => 'engine', 'part' => 'running', 'sign' => 'sudden_stop', 'severity' => 0],
            ],
            [],
            [],
            null,
        );
    }

    /**
     * Lash of two earlier dates: the exhaust seats of cylinders 2 and 3 recede. Where a shim lay on its edge there is none to take.
     *
     * @return list<More>
     */
    private static function healthOfFour(): array
    {
        $more = [];
        foreach ([['-210', 0.0], ['-90', 0.55], ['', 1.0]] as [$date, $age]) {
            $i = 0;
            foreach ([1, 2, 3, 4] as $cylinder) {
                foreach (['I1', 'I2', 'E1', 'E2'] as $valve) {
                    $place = 'A'.$cylinder.'-'.$valve;
                    ++$i;
                    if ($place === 'A2-E1' && $date === '') {
                        continue;
                    }
                    $receded = ['A2-E1' => 0.005, 'A2-E2' => 0.004, 'A3-E1' => 0.004, 'A3-E2' => 0.004][$place] ?? 0.0;
                    $more[] = [
                        'kind' => EntryKind::Reading,
                        'slot' => AllSheets::get()->columns['lash']->slot($place, $date === '' ? null : $date),
                        'data' => ['text' => self::inch(0.010 - $receded * $age + 0.0003 * self::scatter($i, 12))],
                    ];
                }
            }
        }

        return $more;
    }

    /**
     * @param array<string, mixed> $data
     *
     * @return More
     */
    public static function record(EntryKind $kind, string $place, string $part, string $item, ?string $index, array $data): array
    {
        return ['kind' => $kind, 'slot' => new Slot($place, $part, $item, $index), 'data' => $data];
    }

    /** @return list<More> */
    private static function moreOfEight(): array
    {
        $more = [];
        foreach ([
            'A1' => 178, 'A2' => 181, 'A3' => 176, 'A4' => 180, 'B1' => 172, 'B2' => 169, 'B3' => 174, 'B4' => 175,
        ] as $cylinder => $psi) {
            $more[] = self::record(EntryKind::Reading, $cylinder, 'chamber', 'compression', null, ['text' => (string) $psi]);
            $more[] = self::record(
                EntryKind::Reading, $cylinder, 'chamber', 'leak_down', 'cold',
                ['text' => (string) (6 + ord($cylinder[1]) % 4)],
            );
        }
        foreach (['A1' => 'nowhere', 'A2' => 'nowhere', 'B2' => 'nowhere', 'B3' => 'nowhere'] as $cylinder => $where) {
            $more[] = self::record(EntryKind::Answer, $cylinder, 'chamber', 'hiss', null, ['choice' => $where]);
        }
        $more[] = self::record(EntryKind::Answer, 'engine', 'running', 'vacuum_needle', null, ['choice' => 'pulsing']);
        $more[] = self::record(EntryKind::Answer, 'engine', 'valve', 'mirror', null, ['choice' => 'seen']);
        $more[] = self::record(EntryKind::Reading, 'engine', 'timing', 'cam_phase_card', 'cam', ['text' => '108']);
        $more[] = self::record(EntryKind::Reading, 'engine', 'timing', 'cam_phase_found', 'cam', ['text' => '108.5']);
        foreach (['A1', 'A2', 'A3', 'A4', 'B1', 'B2', 'B3'] as $i => $cylinder) {
            foreach (['I1' => 167.0, 'E1' => $cylinder[0] === 'B' ? 192.0 : 168.0] as $valve => $load) {
                foreach ([1, 2] as $number) {
                    $slip = $cylinder === 'B1' && $valve === 'I1' && $number === 2 ? 9.0 : 0.0;
                    $more[] = [
                        'kind' => EntryKind::Reading,
                        'slot' => AllSheets::get()->columns['pull']->slot($cylinder.'-'.$valve, (string) $number),
                        'data' => ['text' => number_format($load - 12 + 2 * self::scatter($i, 30 + $number) + $slip, 0)],
                    ];
                }
            }
        }
        array_push($more, ...self::springsInTheDrawer());
        $events = [
            ['built', 'build', '-700', 0, 'Built for the season before last.'], ['season', 'run', '-420', 22, 'A whole season, nothing.'],
            ['winter', 'service', '-240', 31, 'New springs, retainers and locators; heads not touched otherwise.'],
            ['failed', 'failure', '-12', 40, 'Rough at six and a half, then number four dead.'],
        ];
        foreach ($events as [$id, $what, $date, $runs, $words]) {
            $more[] = self::record(
                EntryKind::Event, 'engine', 'timeline', 'event', $id,
                ['what' => $what, 'date' => $date, 'amount' => $runs, 'unit' => 'runs', 'words' => $words],
            );
        }
        foreach ([
            'block' => 'ccc', 'head' => 'ccc', 'cam' => 'ccc', 'followers' => 'ccc', 'pushrods' => 'ccc', 'springs' => 'cnc',
            'retainers' => 'cnc', 'locks' => 'ccc', 'valves' => 'ccc', 'oil' => 'nnn', 'tune' => 'c?c',
        ] as $component => $states) {
            foreach (['season', 'winter', 'failed'] as $at => $event) {
                $more[] = self::record(
                    EntryKind::Carry, 'engine', 'timeline', 'carry.'.$component, $event,
                    ['state' => ['c' => 'carried', 'n' => 'new', '?' => 'unknown'][$states[$at]]],
                );
            }
        }
        foreach (['B1-E1' => 2, 'B1-I1' => 2, 'B2-E1' => 2, 'B2-I1' => 2, 'B3-E1' => 1, 'B3-I1' => 2] as $station => $halves) {
            $more[] = self::record(EntryKind::Pieces, $station, 'locks', 'pieces', null, ['expected' => 2, 'found' => $halves]);
        }
        $more[] = self::record(
            EntryKind::Custody, 'B2-E1', 'spring', 'custody', null,
            ['where' => 'sealed', 'seal' => 'bag 1', 'note' => 'dry, lightly oiled'],
        );
        $more[] = self::record(EntryKind::Custody, 'B2-E1', 'pushrod', 'custody', null, [
            'where' => 'laboratory', 'whom' => 'Alder metallurgy, made up', 'seal' => 'S-119', 'why' => 'hardness across the bend',
            'destroyed' => true, 'invited' => ['owner, comes', 'Ferncliffe pushrods, made up, sends nobody'],
        ]);
        foreach ([
            'outside', 'gas_tests', 'oil_out', 'covers_off', 'mirror', 'lash_and_pulls', 'phase', 'clay', 'rockers_off', 'pushrods_out',
            'head_off', 'chambers', 'springs_off', 'valves_out', 'seals_guides', 'lifters_out',
        ] as $step) {
            $more[] = self::record(EntryKind::Step, 'engine', 'plan', 'step.'.$step, null, ['state' => 'done']);
        }
        $more[] = self::record(EntryKind::Step, 'engine', 'plan', 'confirm.oil_sample', null, ['state' => 'done']);
        array_push($more, ...self::chambersOfEight());
        $more[] = self::record(EntryKind::Promise, 'engine', 'schedule', 'promise', null, ['date' => '+5']);
        $more[] = self::record(
            EntryKind::Task, 'engine', 'schedule', 'task', 'customer',
            [
                'label' => 'Owner says whether the heads may be cut', 'kind' => 'customer', 'taskState' => 'begun', 'begun' => '-3',
                'leastDays' => 2, 'mostDays' => 5, 'due' => '-1',
            ],
        );
        $more[] = self::record(
            EntryKind::Task, 'engine', 'schedule', 'task', 'lab',
            [
                'label' => 'Spring of 4E to the metallurgy laboratory', 'kind' => 'laboratory', 'taskState' => 'begun', 'begun' => '-2',
                'leastDays' => 5, 'mostDays' => 8,
            ],
        );
        $more[] = self::record(
            EntryKind::Task, 'engine', 'schedule', 'task', 'measure',
            ['label' => 'Measure the springs of bank A', 'kind' => 'work', 'leastDays' => 0.5, 'mostDays' => 1],
        );
        $more[] = self::record(
            EntryKind::Task, 'engine', 'schedule', 'task', 'report',
            ['label' => 'Call and report', 'kind' => 'work', 'leastDays' => 1, 'mostDays' => 1, 'after' => ['lab', 'measure', 'customer']],
        );

        return $more;
    }

    /**
     * All the other sheets of a station of the eight, as one engine would have them: each figure follows from the same parts.
     *
     * @return array<string, string> by column, with its index behind a colon
     */
    private static function partsOfEight(Station $station, int $i, bool $isBound): array
    {
        $of = static fn (float $value, float $scatter, int $quantity): string => self::inch(
            $value + $scatter * self::scatter($i, $quantity),
        );
        $fine = static fn (float $value, float $scatter, int $quantity): string => number_format(
            $value + $scatter * self::scatter($i, $quantity), 4, '.', '',
        );
        $isExhaust = $station->kind === ValveKind::Exhaust;
        $head = $isExhaust ? 1.600 : 2.020;
        // A pushrod that was bent lies shorter between its ends.
        $bent = in_array($station->code(), ['B2-E1', 'B3-E1'], true);
        $stem = 0.3415 + 0.0001 * self::scatter($i, 40);
        $bore = $stem + ($isExhaust ? 0.0021 : 0.0017);
        $diameters = [];
        foreach (['top' => 0.0002, 'middle' => 0.0, 'bottom' => 0.0003] as $depth => $wear) {
            foreach (['along' => 0.0, 'across' => 0.0001] as $direction => $more) {
                $diameters["stem_diameter:$depth.$direction"] = number_format($stem - $wear / 3, 4, '.', '');
                $diameters["guide_bore:$depth.$direction"] = number_format($bore + $wear + $more, 4, '.', '');
            }
        }

        return $diameters + [
            'inside_diameter' => self::inch(1.105 + 0.003 * self::scatter($i, 7)),
            'wire_diameter' => $fine(0.2180, 0.0004, 41), 'coil_count' => '5.5', 'squareness_gap' => $of(0.030, 0.012, 42),
            'pocket_depth' => $of(0.040, 0.003, 43), 'locator_thickness' => $isBound ? '0.060' : '0.000', 'shim_stack' => '0.000',
            ...($isBound ? ['locator_flange' => '1.555', 'locator_outside' => '1.086', 'locator_inside' => '0.512'] : []),
            'valve_length' => $of($isExhaust ? 5.018 : 5.042, 0.002, 44),
            'head_diameter:along' => $of($head, 0.0005, 45), 'head_diameter:across' => $of($head, 0.0005, 46),
            'valve_margin' => $of($isExhaust ? 0.072 : 0.055, 0.004, 47), 'face_angle' => '45', 'stem_run_out' => $fine(0.0007, 0.0003, 48),
            'tip_length' => $of(0.250, 0.001, 49), 'groove_count' => '1', 'groove_width' => $of(0.085, 0.0005, 50),
            'tip_above_retainer' => $of(0.118, 0.003, 51), 'valve_mass' => number_format($isExhaust ? 96.5 : 112.0, 1, '.', ''),
            'guide_height' => $of(0.640, 0.003, 52), 'guide_outside' => $fine(0.5026, 0.0001, 53),
            'guide_hole' => $fine(0.5009, 0.0001, 54),
            'seal_outside' => $of(0.664, 0.003, 55), 'seal_depth' => $of(0.240, 0.004, 56),
            'seat_width' => $of($isExhaust ? 0.070 : 0.050, 0.003, 57), 'contact_outside' => $of($head - 0.034, 0.003, 58),
            'insert_outside' => $of($head + 0.085, 0.001, 59), 'seat_angle' => '45.5', 'seat_run_out' => $fine(0.0009, 0.0003, 60),
            'throat' => $of($head * 0.88, 0.004, 61), 'stem_protrusion' => $of(1.852, 0.003, 62),
            'retainer_bore' => $of(0.520, 0.001, 63), 'register_diameter' => $of(1.098, 0.001, 64), 'retainer_angle' => '10',
            'retainer_mass' => number_format(18.6 + 0.2 * self::scatter($i, 65), 1, '.', ''), 'lock_angle' => '10',
            'taper_depth' => $of(0.310, 0.002, 92), 'lock_ridge' => $of(0.080, 0.001, 93),
            'lock_height' => $of(0.300, 0.001, 66), 'lock_gap' => $of(0.028, 0.004, 67),
            'follower_outside' => $fine(0.8422, 0.0001, 68), 'follower_bore' => $fine(0.8439, 0.0001, 69),
            'follower_mass' => number_format(122.0 + 0.4 * self::scatter($i, 70), 1, '.', ''),
            'base_run_out' => $fine(0.0005, 0.0002, 71), 'nose_width' => $of(0.310, 0.010, 72), 'track_width' => $of(0.520, 0.010, 73),
            'pushrod_length' => $of($isExhaust ? 8.250 : 7.800, 0.002, 74), 'pushrod_run_out' => $bent ? '0.180' : $of(0.002, 0.001, 75),
            'ratio' => number_format(1.60 + 0.01 * self::scatter($i, 76), 2, '.', ''),
            'ratio_half' => number_format(1.62 + 0.01 * self::scatter($i, 77), 2, '.', ''), 'tip_path' => $of(0.055, 0.006, 78),
            'relief_depth' => $of($isExhaust ? 0.140 : 0.165, 0.002, 79), 'relief_radius' => $of($head / 2 + 0.065, 0.002, 80),
            'valve_recess' => $of(0.035, 0.003, 81), 'piston_to_valve' => $of($isExhaust ? 0.128 : 0.104, 0.006, 82),
            'metal_to_groove' => $of(0.210, 0.006, 83),
            'lift_before_nose' => $fine(0.3823, 0.0003, 84), 'lift_past_nose' => $fine(0.3821, 0.0003, 85),
            'base_circle' => $of(1.180, 0.001, 86), 'roller_diameter' => $fine(0.7500, 0.0001, 87),
            'bare_height' => $of(1.900 + 0.008 * self::scatter($i, 1), 0.001, 90),
            'longer_valve' => '0.000', 'lock_offset' => '0.000', 'retainer_offset' => '0.000',
            'lock_mass' => number_format(4.2 + 0.1 * self::scatter($i, 88), 1, '.', ''),
            'spring_mass' => number_format(99.0 + 0.8 * self::scatter($i, 89), 1, '.', ''),
            'pushrod_mass' => number_format($isExhaust ? 62.0 : 59.0, 1, '.', ''), 'rocker_mass' => '15.0',
        ];
    }

    /** @return list<More> four springs that were found with the engine: two of the set, one tired, one that only looks like them */
    private static function springsInTheDrawer(): array
    {
        $more = [];
        foreach ([
            'drawer-1' => ['2.332', 169.0, 410.5, '1.212'], 'drawer-2' => ['2.329', 166.5, 408.0, '1.215'],
            'drawer-3' => ['2.298', 148.0, 390.0, '1.211'], 'drawer-4' => ['2.250', 189.0, 452.0, '1.168'],
        ] as $tag => [$free, $seat, $open, $bind]) {
            foreach ([
                'free_height' => [$free, null], 'load_seat' => [self::pound($seat), '1.900'], 'load_open' => [self::pound($open), '1.300'],
                'bind_height' => [$bind, null],
            ] as $column => [$text, $height]) {
                $more[] = self::record(
                    EntryKind::Reading, 'loose-'.$tag, 'spring', $column, 'outer',
                    ['text' => $text] + ($height === null ? [] : ['atText' => $height]),
                );
            }
            $more[] = self::swept('loose-'.$tag, $seat, ($open - $seat) / 0.6, (float) $bind);
        }

        return [...$more, self::swept('B2-E1', 165.1, 402.0, 1.223), self::swept('A1-E1', 169.2, 402.0, 1.211)];
    }

    /**
     * A spring pressed on the tester until it is solid: straight, its last coils closing one after the other.
     *
     * @param float $seat load at 1.900 in, in pounds
     *
     * @return More
     */
    private static function swept(string $place, float $seat, float $rate, float $bind): array
    {
        $points = [];
        for ($i = 0; ($height = 1.950 - 0.004 * $i) > $bind - 0.010; ++$i) {
            $closing = max(0.0, $bind + 0.020 - max($height, $bind));
            $solid = 22000 * max(0.0, $bind - $height);
            $points[] = [
                round($height, 3),
                round($seat + $rate * (1.9 - $height) + 9000 * $closing ** 2 + $solid + 0.25 * self::scatter($i, 91), 1),
            ];
        }

        return self::record(
            EntryKind::Sweep, $place, 'spring', 'sweep', 'outer',
            ['points' => $points, 'heightUnit' => 'in', 'loadUnit' => 'lbf', 'gauge' => 'tester-1', 'received' => true],
        );
    }

    /** @return list<More> volumes by burette, and what the build says of pistons and gasket */
    private static function chambersOfEight(): array
    {
        $more = [];
        $volumes = ['A1' => 64.1, 'A2' => 63.8, 'A3' => 64.2, 'A4' => 64.0, 'B1' => 63.9, 'B2' => 64.3, 'B3' => 64.0, 'B4' => 63.7];
        foreach ($volumes as $of => $cc) {
            $more[] = self::record(EntryKind::Reading, $of, 'chamber', 'chamber_volume', null, ['text' => (string) $cc]);
            $more[] = self::record(EntryKind::Reading, $of, 'piston', 'piston_volume', null, ['text' => '6.5']);
            $more[] = self::record(EntryKind::Reading, $of, 'chamber', 'deck_cut', null, ['text' => '0.000']);
        }
        foreach (['bore' => '4.030', 'stroke' => '3.480', 'gasket_thickness' => '0.040', 'deck_clearance' => '0.008'] as $figure => $text) {
            $more[] = self::record(
                EntryKind::Claim, 'engine', 'piston', 'claimed.'.$figure, null, ['text' => $text, 'standing' => 'said'],
            );
        }
        foreach (['I' => '0', 'E' => '8'] as $kind => $psi) {
            $more[] = self::record(
                EntryKind::Claim, 'kind-'.$kind, 'port', 'claimed.port_pressure', null, ['text' => $psi.' psi', 'standing' => 'said'],
            );
        }
        foreach (ValveKind::cases() as $kind) {
            $more[] = self::record(
                EntryKind::Claim, 'kind-'.$kind->value, 'valve', 'claimed.lash', null, ['text' => '0.016', 'standing' => 'known'],
            );
        }
        foreach (['A1', 'A2', 'B1', 'B2', 'B3', 'B4'] as $cylinder) {
            foreach (['I1', 'E1'] as $valve) {
                $more[] = self::record(EntryKind::Answer, $cylinder.'-'.$valve, 'locks', 'lock_kind', null, ['choice' => 'clamping']);
                $more[] = self::record(EntryKind::Answer, $cylinder.'-'.$valve, 'seal', 'seal_type', null, ['choice' => 'metal_clad']);
            }
        }

        return $more;
    }

    /** @return list<array{place: string, column: string, text: string, at?: string, standing: string}> */
    public static function claims(string $height, string $load, string $bind, string $lift, float $free): array
    {
        $claims = [];
        foreach (ValveKind::cases() as $kind) {
            $place = 'kind-'.$kind->value;
            $claims[] = ['place' => $place, 'column' => 'installed_height', 'text' => $height, 'standing' => 'known'];
            $claims[] = ['place' => $place, 'column' => 'load_seat', 'text' => $load.' lb', 'at' => $height, 'standing' => 'known'];
            $claims[] = ['place' => $place, 'column' => 'bind_height', 'text' => $bind, 'standing' => 'known'];
            $claims[] = ['place' => $place, 'column' => 'net_lift', 'text' => $lift, 'standing' => 'said'];
            $claims[] = ['place' => $place, 'column' => 'free_height', 'text' => self::inch($free), 'standing' => 'said'];
        }

        return $claims;
    }

    /**
     * Station parts on which nothing was found, for a station that was looked at as a whole.
     *
     * @return list<Part>
     */
    public function clearParts(Engine $engine, string $station): array
    {
        $found = [];
        foreach ($this->findings as $finding) {
            if ($finding['place'] === $station) {
                $found[] = $finding['part'];
            }
        }

        return array_values(
            array_filter(
                $engine->parts(),
                static fn (Part $part): bool => $part->site() === Site::Station && !in_array($part->value, $found, true),
            ),
        );
    }

    /** Scatter of a production part from −1 to 1: the same for a station and quantity at every load. */
    public static function scatter(int $station, int $quantity): float
    {
        return (hexdec(substr(hash('sha256', $station.'/'.$quantity), 0, 4)) / 0xFFFF) * 2 - 1;
    }

    public static function inch(float $value): string
    {
        return number_format($value, 3, '.', '');
    }

    public static function pound(float $value): string
    {
        return number_format($value, 1, '.', '');
    }
}
