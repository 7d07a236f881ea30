<?php

declare(strict_types=1);

namespace MuteTapper\Demo\Cases;

use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Demo\Scenario;

/** Truth: one head was replaced by one of another year: thinner springs, other locks, other seats. That bank floats. Mismatch. */
final readonly class UnlikeEight
{
    public static function scenario(): Scenario
    {
        $findings = [];
        foreach (['B1' => 2, 'B2' => 3, 'B3' => 2, 'B4' => 2, 'A1' => 0, 'A2' => 0, 'A3' => 0, 'A4' => 0] as $cylinder => $severity) {
            $findings[] = ['place' => $cylinder.'-E1', 'part' => 'seat', 'sign' => 'seat_hammered', 'severity' => $severity];
        }
        foreach (['B1-E1', 'B2-E1', 'B3-I1'] as $place) {
            $findings[] = [
                'place' => $place, 'part' => 'spring', 'sign' => 'spring_differs', 'severity' => 2,
                'note' => 'No stripe; the other bank’s have one.',
            ];
        }
        foreach (['B1-E1', 'B2-E1'] as $place) {
            $findings[] = ['place' => $place, 'part' => 'valve', 'sign' => 'tip_peened', 'severity' => 2];
            $findings[] = ['place' => $place, 'part' => 'valve', 'sign' => 'face_hammered', 'severity' => 2];
            $findings[] = ['place' => $place, 'part' => 'lobe', 'sign' => 'flank_landing', 'severity' => 1];
        }
        $findings[] = ['place' => 'engine', 'part' => 'running', 'sign' => 'overspeed_seen', 'severity' => 0];
        $findings[] = ['place' => 'engine', 'part' => 'running', 'sign' => 'misfire_high', 'severity' => 2];
        $findings[] = ['place' => 'engine', 'part' => 'running', 'sign' => 'sudden_stop', 'severity' => 0];
        $more = [];
        foreach (['A', 'B'] as $bank) {
            foreach ([1, 2, 3, 4] as $cylinder) {
                foreach (['I1', 'E1'] as $valve) {
                    $more[] = Scenario::record(
                        EntryKind::Answer, $bank.$cylinder.'-'.$valve, 'locks', 'lock_kind', null,
                        ['choice' => $bank === 'A' ? 'clamping' : 'butting'],
                    );
                }
            }
        }

        return new Scenario(
            'Quarry Mile V8, car 31',
            [
                'layout' => 'vee', 'drive' => 'pushrod', 'face' => 'roller', 'lash' => 'solid', 'cylinders' => 8,
                'firing_order' => [1, 8, 4, 3, 6, 5, 7, 2], 'rocker_ratio' => 1.6, 'intended_speed' => 7400.0, 'reached_speed' => 7300.0,
            ],
            [
                'words' => 'Since the cracked head was replaced it breaks up on the right side above seven thousand.',
                'customer' => 'Gault and sons, car 31',
                'use' => 'Quarry Mile strip, fourteen runs since.', 'changed' => 'Right head, complete, used.',
                'replaced' => 'Plugs and leads, without effect.', 'when' => 'At the top of each gear.', 'built' => 'Gault and sons.',
                'proposed' => 'New springs all round.', 'stands' => 'Ten days.', 'oil' => '',
                'limiter' => 'Ignition cut at 7500.', 'earlier' => 'None.', 'failed' => ['B2-E1'],
            ],
            Scenario::claims('1.900', '165', '1.180', '0.600', 2.250),
            static function (Station $station, int $i): array {
                $isOther = $station->cylinder->bank === 'B';
                $isExhaust = $station->kind === ValveKind::Exhaust;
                $load = ($isOther ? 134.0 : 165.0) + 2.0 * Scenario::scatter($i, 1);

                return [
                    'installed_height' => Scenario::inch(1.902 + 0.006 * Scenario::scatter($i, 2)),
                    'load_seat' => Scenario::pound($load),
                    'load_open' => Scenario::pound($load + ($isOther ? 320.0 : 408.0) * 0.600),
                    'free_height' => Scenario::inch(($isOther ? 2.310 : 2.251) + 0.006 * Scenario::scatter($i, 3)),
                    'bind_height' => Scenario::inch(($isOther ? 1.150 : 1.181) + 0.004 * Scenario::scatter($i, 4)),
                    'wire_diameter' => number_format(($isOther ? 0.2070 : 0.2180) + 0.0004 * Scenario::scatter($i, 5), 4, '.', ''),
                    'net_lift' => Scenario::inch(0.600 + 0.003 * Scenario::scatter($i, 6)),
                    'seat_angle' => $isOther ? '46' : '45',
                    'insert_outside' => Scenario::inch(
                        ($isExhaust ? 1.685 : 2.105) + ($isOther ? 0.020 : 0.0) + 0.001 * Scenario::scatter($i, 7),
                    ),
                ];
            },
            $findings, ['B1-E1', 'B2-E1'], [],
            [
                'causes' => ['heads_unlike'], 'firstEvent' => 'float', 'confidence' => 90,
                'words' => 'The used head came with thinner springs, other locks and wider seats. Its springs give thirty pounds less on '.
                'the seat, so that bank leaves the cam above seven thousand; the other bank is as built.',
                'ruledOut' => [
                    ['cause' => 'over_speed', 'why' => 'The logger and the driver agree: never above 7,300.'],
                    ['cause' => 'spring_weak', 'why' => 'Not tired, but other springs: thinner wire, no stripe, one rate for all.'],
                ],
                'open' => 'Whether the used head was sold as the same year.',
            ],
            [...$more, ...self::remedied()],
        );
    }

    /**
     * Springs of the left head go on the right one too; until they come the limiter holds. The first valve is together again.
     *
     * @return list<array{kind: EntryKind, slot: Slot, data: array<string, mixed>}>
     */
    private static function remedied(): array
    {
        $right = [];
        foreach ([1, 2, 3, 4] as $cylinder) {
            array_push($right, 'B'.$cylinder.'-I1', 'B'.$cylinder.'-E1');
        }
        $records = [];
        foreach ([
            'springs' => [
                'name' => 'Springs as on the left', 'remedyKind' => 'cure', 'hours' => 5, 'waitDays' => 4,
                'words' => 'Eight outer springs with the orange stripe; locks and seats of the left head follow when its valves are out.',
                'change' => [['places' => $right, 'part' => 'spring', 'from' => 'shelf-springs-quarry-double']],
            ],
            'shims' => [
                'name' => 'Shim what is there', 'remedyKind' => 'trial', 'hours' => 3, 'words' => 'No waiting; the thin wire stays.',
                'change' => [['places' => $right, 'name' => 'shim_stack', 'by' => ['number' => 0.09, 'unit' => 'in']]],
            ],
            'limiter' => [
                'name' => 'Limiter at 6 800', 'remedyKind' => 'containment', 'until' => 'the springs of the left head are on the right',
                'tellTales' => 'lash of the right exhausts after each day',
                'change' => [['places' => ['engine'], 'name' => 'highest_speed', 'to' => ['number' => 6800, 'unit' => '1/min']]],
            ],
        ] as $id => $remedy) {
            $records[] = Scenario::record(EntryKind::Remedy, 'engine', 'remedy', 'alternative', $id, $remedy);
        }
        $records[] = Scenario::record(EntryKind::Taken, 'engine', 'remedy', 'taken', null, ['remedies' => ['springs', 'limiter']]);
        $records[] = Scenario::record(EntryKind::Reuse, 'engine', 'locks', 'reuse', null, ['decision' => 'replace']);
        $records[] = Scenario::record(
            EntryKind::Reuse, 'engine', 'valve', 'reuse', null,
            ['decision' => 'keep_with_limit', 'amount' => 20, 'unit' => 'runs', 'words' => 'Tips level, no wobble.'],
        );
        foreach (['guides_right', 'contact_band', 'valve_home', 'locator_shims', 'installed_height', 'spring_in'] as $line) {
            $records[] = Scenario::record(EntryKind::Line, 'B1-I1', 'assembly', 'line', $line, ['state' => 'ticked']);
        }
        $records[] = Scenario::record(
            EntryKind::Line, 'B1-I1', 'assembly', 'line', 'seal_kind', ['state' => 'ticked', 'choice' => 'new seals always'],
        );
        $records[] = Scenario::record(
            EntryKind::Reading, 'B1-I1', 'spring_seat', 'installed_height', 'built-rebuild',
            ['text' => '1.901', 'gauge' => 'height_micrometer'],
        );

        return $records;
    }
}
