<?php

declare(strict_types=1);

namespace MuteTapper\Demo\Cases;

use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Demo\Scenario;

/** Truth: the check ball of one lifter leaks. It ticks warm, and the tick went along when two lifters changed places. Follower. */
final readonly class SoftLifterEight
{
    private const SOFT = 'A3-I1';

    public static function scenario(): Scenario
    {
        $findings = [
            ['place' => 'engine', 'part' => 'running', 'sign' => 'ticks_always', 'severity' => 2],
            ['place' => 'engine', 'part' => 'running', 'sign' => 'sudden_stop', 'severity' => 0],
            ['place' => self::SOFT, 'part' => 'lobe', 'sign' => 'lobe_worn', 'severity' => 0],
            ['place' => self::SOFT, 'part' => 'pushrod', 'sign' => 'pushrod_bent', 'severity' => 0],
        ];
        $more = [
            Scenario::record(EntryKind::Answer, self::SOFT, 'follower', 'follower_swap', null, ['choice' => 'moved']),
            Scenario::record(EntryKind::Answer, 'engine', 'running', 'replaced_pushrods', null, ['choice' => 'no_effect']),
            Scenario::record(EntryKind::Reading, 'engine', 'oil', 'oil_pressure', 'hot', ['text' => '58']),
        ];

        return new Scenario(
            'Reed Lake eight, boat 4',
            [
                'layout' => 'vee', 'drive' => 'pushrod', 'face' => 'roller', 'lash' => 'hydraulic', 'cylinders' => 8,
                'firing_order' => [1, 8, 4, 3, 6, 5, 7, 2], 'rocker_ratio' => 1.6, 'intended_speed' => 5600.0, 'reached_speed' => 5400.0,
            ],
            [
                'words' => 'A tick on the left bank that never goes away, cold or warm. It runs well enough.',
                'customer' => 'Reed Lake club, boat 4', 'use' => 'Reed Lake race boats, a season and a half.',
                'changed' => 'Nothing before it began.',
                'replaced' => 'The pushrods of the left bank, without effect.', 'when' => 'Always.', 'built' => 'Not known.',
                'proposed' => 'New cam and sixteen lifters.', 'stands' => 'It is needed in a fortnight.', 'oil' => '10W-30, new.',
                'limiter' => '', 'earlier' => 'None.', 'failed' => [self::SOFT],
            ],
            Scenario::claims('1.780', '130', '1.200', '0.480', 2.060),
            static function (Station $station, int $i): array {
                if ($station->cylinder->bank !== 'A') {
                    return [];
                }
                $isSoft = $station->code() === self::SOFT;

                return [
                    'leak_down_time' => number_format($isSoft ? 3.0 : 24.0 + 3.0 * Scenario::scatter($i, 1), 0, '.', ''),
                    'installed_height' => Scenario::inch(1.781 + 0.004 * Scenario::scatter($i, 2)),
                    'load_seat' => Scenario::pound(129.0 + 2.0 * Scenario::scatter($i, 3)),
                ];
            },
            $findings, [self::SOFT, 'A3-E1', 'A1-I1'], [], null, $more,
        );
    }
}
