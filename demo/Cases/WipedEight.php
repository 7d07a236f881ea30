<?php

declare(strict_types=1);

namespace MuteTapper\Demo\Cases;

use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Demo\Scenario;

/** Truth: oil without enough anti-wear for flat lifters, bought by the drum. The third cam is gone; only the oil was in every build. */
final readonly class WipedEight
{
    private const WORN = ['A1-E1', 'A3-E1', 'B2-E1', 'B4-I1'];

    public static function scenario(): Scenario
    {
        $findings = [];
        foreach (self::WORN as $place) {
            $findings[] = ['place' => $place, 'part' => 'lobe', 'sign' => 'lobe_worn', 'severity' => 3];
            $findings[] = ['place' => $place, 'part' => 'follower', 'sign' => 'follower_dished', 'severity' => 3];
        }
        foreach (['A1-I1', 'A2-E1', 'A2-I1', 'A3-I1', 'A4-E1', 'B1-E1', 'B1-I1', 'B2-I1', 'B3-E1', 'B4-E1'] as $place) {
            $findings[] = ['place' => $place, 'part' => 'lobe', 'sign' => 'lobe_worn', 'severity' => 0];
        }
        $findings[] = ['place' => 'engine', 'part' => 'oil', 'sign' => 'filter_metal', 'severity' => 2];
        $findings[] = ['place' => 'engine', 'part' => 'running', 'sign' => 'first_start_bad', 'severity' => 0];
        $findings[] = ['place' => 'engine', 'part' => 'running', 'sign' => 'sudden_stop', 'severity' => 0];
        $more = [];
        foreach ([
            ['built', 'build', '-620', false, 'Freshened, new cam and lifters.'],
            ['first', 'failure', '-400', true, 'Two lobes gone after nine hours.'],
            ['second', 'failure', '-150', true, 'Three lobes gone after seven hours, another maker’s cam.'],
            ['third', 'failure', '-9', true, 'Four lobes gone after eight hours.'],
        ] as [$id, $what, $date, $same, $words]) {
            $more[] = Scenario::record(
                EntryKind::Event, 'engine', 'timeline', 'event', $id,
                ['what' => $what, 'date' => $date, 'unit' => 'h', 'words' => $words] + ($same ? ['sameSymptom' => true] : []),
            );
        }
        foreach ([
            'cam' => 'nnn', 'followers' => 'nnn', 'springs' => 'cnc', 'oil' => 'ccc', 'head' => 'ccn', 'tune' => 'c?c',
        ] as $component => $states) {
            foreach (['first', 'second', 'third'] as $at => $event) {
                $more[] = Scenario::record(
                    EntryKind::Carry, 'engine', 'timeline', 'carry.'.$component, $event,
                    ['state' => ['c' => 'carried', 'n' => 'new', '?' => 'unknown'][$states[$at]]],
                );
            }
        }
        foreach ([['oil_phosphorus', '640'], ['oil_zinc', '700']] as [$figure, $text]) {
            $more[] = Scenario::record(
                EntryKind::Claim, 'engine', 'oil', 'claimed.'.$figure, null, ['text' => $text, 'standing' => 'known'],
            );
        }
        $more[] = Scenario::record(EntryKind::Answer, 'engine', 'running', 'replaced_cam', null, ['choice' => 'a_while']);
        $more[] = Scenario::record(EntryKind::Answer, 'engine', 'running', 'replaced_springs', null, ['choice' => 'no_effect']);

        return new Scenario(
            'Ottermoor club eight, car 41',
            [
                'layout' => 'vee', 'drive' => 'pushrod', 'face' => 'flat', 'lash' => 'solid', 'cylinders' => 8,
                'firing_order' => [1, 8, 4, 3, 6, 5, 7, 2], 'rocker_ratio' => 1.5, 'intended_speed' => 6200.0, 'reached_speed' => 6150.0,
            ],
            [
                'words' => 'Third cam in two years. Each time it goes flat after a few hours, never the same cylinders.',
                'customer' => 'Club hire car 41', 'use' => 'Ottermoor club days, eight hours since the last cam.',
                'changed' => 'Cam and lifters, twice, two makers; springs once.', 'replaced' => 'Springs, without effect.',
                'when' => 'After hours, warm.', 'built' => 'The club’s own hands.', 'proposed' => 'A roller cam.', 'stands' => 'Nine days.',
                'oil' => 'From the club’s drum, 5W-30 for road cars.', 'limiter' => 'None.', 'earlier' => 'Twice before.',
                'failed' => self::WORN,
            ],
            Scenario::claims('1.700', '112', '1.140', '0.470', 2.020),
            static function (Station $station, int $i): array {
                if ($station->cylinder->bank !== 'A') {
                    return [];
                }

                return [
                    'installed_height' => Scenario::inch(1.702 + 0.006 * Scenario::scatter($i, 1)),
                    'load_seat' => Scenario::pound(111.0 + 2.0 * Scenario::scatter($i, 2)),
                    'load_open' => Scenario::pound(111.0 + 320 * 0.470 + 2.0 * Scenario::scatter($i, 3)),
                    'free_height' => Scenario::inch(2.021 + 0.006 * Scenario::scatter($i, 4)),
                    'bind_height' => Scenario::inch(1.141 + 0.004 * Scenario::scatter($i, 5)),
                    'lobe_lift' => in_array($station->code(), self::WORN, true)
                        ? Scenario::inch(0.262 + 0.010 * Scenario::scatter($i, 6))
                        : Scenario::inch(0.3135 + 0.001 * Scenario::scatter($i, 6)),
                ];
            },
            $findings, ['A1-E1', 'A3-E1'], [], null, $more,
        );
    }
}
