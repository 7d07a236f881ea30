<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Architecture;

/**
 * The floor plan of the house, lowest floor first. A room may use what stands on lower floors and nothing else: neither its
 * neighbours nor what is above it. The rules that PHPStan checks, the docs and this table are one thing.
 */
final class FloorPlan
{
    public const CORE = 'MuteTapper\Core';
    public const APP = 'MuteTapper\App';

    /** One room a trade: none knows another, and the judgement hears of them by the names of their values alone. */
    private const TRADES = [
        'Before', 'Build', 'Cam', 'Follower', 'Gauge', 'Guide', 'Head', 'Motion', 'Oil', 'Photograph', 'Piston', 'Rocker', 'RunLog',
        'Schedule', 'Seat', 'Spring', 'Teardown', 'Timeline', 'Valve',
    ];

    /** @var array<string, list<list<string>>> rooms of each floor, by the house they stand in */
    public const FLOORS = [
        self::CORE => [
            ['Quantity', 'Document'],
            ['Engine', 'Calculation'],
            ['Entry', 'Verdict'],
            ['CaseFile', 'Knowledge'],
            ['Sheet'],
            self::TRADES,
            ['Cause', 'Compare'],
            ['Chain', 'Likeness', 'Remedy', 'Report'],
            ['Reassembly'],
            ['Assessment'],
        ],
        self::APP => [
            ['Shared'],
            ['Calculation', 'Door', 'Engine', 'Keeping', 'Knowledge', 'Record', 'Simulated'],
            ['Library'],
            ['Assessment', 'CaseFile', 'Entry', 'Gauge', 'Paper', 'Photograph', 'RunLog', 'Timeline'],
            ['Before', 'Cause', 'Schedule', 'Sheet', 'Tried'],
            ['Chain', 'Clearance', 'Compare', 'Likeness', 'Motion', 'Queue', 'Remedy', 'Spring', 'Teardown'],
            ['Reassembly'],
            ['Report', 'Screen'],
            ['Package'],
        ],
    ];

    /**
     * What a room does not know although it stands above it: the judgement hears of a trade by the names of its values alone.
     *
     * @var array<string, array<string, list<string>>>
     */
    public const APART = [
        self::CORE => [
            'Compare' => self::TRADES,
            'Cause' => self::TRADES,
        ],
        self::APP => [],
    ];

    /** @return list<string> rooms that a room may not use: its neighbours, what is above it, and what is kept apart from it */
    public static function outOfReach(string $house, string $room): array
    {
        $floors = self::FLOORS[$house];
        foreach ($floors as $number => $rooms) {
            if (in_array($room, $rooms, true)) {
                $others = array_merge(...array_slice($floors, $number));

                return [...array_values(array_diff($others, [$room])), ...self::APART[$house][$room] ?? []];
            }
        }
        throw new \LogicException(sprintf('%s\%s stands on no floor.', $house, $room));
    }
}
