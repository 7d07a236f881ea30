<?php

declare(strict_types=1);

namespace MuteTapper\Demo\Cases;

use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Demo\Scenario;

/** Truth: the exhaust cam was set ten degrees late with the new chain; every exhaust touched its piston, two bent. Contact. */
final readonly class LateSix
{
    public static function scenario(): Scenario
    {
        $findings = [];
        foreach (range(1, 6) as $cylinder) {
            foreach (['E1', 'E2'] as $valve) {
                $bent = in_array($cylinder, [2, 5], true);
                $findings[] = [
                    'place' => 'A'.$cylinder.'-'.$valve, 'part' => 'piston_relief', 'sign' => 'piston_print', 'severity' => $bent ? 3 : 2,
                ];
                if ($cylinder <= 2) {
                    $findings[] = ['place' => 'A'.$cylinder.'-'.$valve, 'part' => 'valve', 'sign' => 'edge_struck', 'severity' => 2];
                }
                if ($bent) {
                    $findings[] = ['place' => 'A'.$cylinder.'-'.$valve, 'part' => 'valve', 'sign' => 'stem_bent', 'severity' => 2];
                }
            }
            foreach (['I1', 'I2'] as $valve) {
                $findings[] = ['place' => 'A'.$cylinder.'-'.$valve, 'part' => 'piston_relief', 'sign' => 'piston_print', 'severity' => 0];
            }
        }
        foreach (['new_since_assembly' => 3, 'sudden_stop' => 0, 'overspeed_seen' => 0] as $sign => $severity) {
            $findings[] = ['place' => 'engine', 'part' => 'running', 'sign' => $sign, 'severity' => $severity];
        }
        $more = [];
        foreach ([172, 118, 170, 174, 109, 171] as $i => $psi) {
            $more[] = Scenario::record(EntryKind::Reading, 'A'.($i + 1), 'chamber', 'compression', null, ['text' => (string) $psi]);
        }
        foreach (['2', '5'] as $cylinder) {
            $more[] = Scenario::record(EntryKind::Answer, 'A'.$cylinder, 'chamber', 'hiss', null, ['choice' => 'exhaust']);
        }
        foreach (['I' => ['110', '110.5'], 'E' => ['112', '102']] as $kind => [$card, $found]) {
            $more[] = Scenario::record(EntryKind::Reading, 'engine', 'timing', 'cam_phase_card', 'A-'.$kind, ['text' => $card]);
            $more[] = Scenario::record(EntryKind::Reading, 'engine', 'timing', 'cam_phase_found', 'A-'.$kind, ['text' => $found]);
        }

        return new Scenario(
            'Larch Hill six, car 5',
            [
                'layout' => 'inline', 'drive' => 'finger', 'face' => 'roller', 'lash' => 'hydraulic', 'cylinders' => 6,
                'firing_order' => [1, 5, 3, 6, 2, 4], 'intended_speed' => 7200.0, 'reached_speed' => 6400.0,
            ],
            [
                'words' => 'New timing chain last month. It never pulled since, and at the first hill it began to pop out of the exhaust.',
                'customer' => 'Team Larch, car 5', 'use' => 'Larch Hill climbs, one event since the chain.',
                'changed' => 'Timing chain and guides.', 'replaced' => 'Ignition coils, without effect.',
                'when' => 'From the first start, worse above five thousand.', 'built' => 'The owner, chain only.',
                'proposed' => 'A used engine.', 'stands' => 'Three weeks.', 'oil' => '',
                'limiter' => '', 'earlier' => 'None.', 'failed' => ['A2-E1', 'A5-E2'],
            ],
            Scenario::claims('1.380', '66', '0.860', '0.400', 1.720),
            static function (Station $station, int $i): array {
                if (!in_array($station->cylinder->position, [1, 2], true)) {
                    return [];
                }
                $isExhaust = $station->kind === ValveKind::Exhaust;

                return [
                    'installed_height' => Scenario::inch(1.380 + 0.003 * Scenario::scatter($i, 1)),
                    'load_seat' => Scenario::pound(66.0 + 1.0 * Scenario::scatter($i, 2)),
                    'free_height' => Scenario::inch(1.719 + 0.004 * Scenario::scatter($i, 3)),
                    'bind_height' => Scenario::inch(0.861 + 0.002 * Scenario::scatter($i, 4)),
                    'net_lift' => Scenario::inch(0.400 + 0.002 * Scenario::scatter($i, 5)),
                    'piston_to_valve' => Scenario::inch(($isExhaust ? 0.004 : 0.082) + 0.002 * Scenario::scatter($i, 6)),
                ];
            },
            $findings, ['A1-E1', 'A1-E2', 'A1-I1', 'A1-I2', 'A2-E1', 'A2-E2', 'A2-I1', 'A2-I2'], [], null, $more,
        );
    }
}
