<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Engine;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\BuildFlag;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\HeadPlan;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EngineTest extends TestCase
{
    /** @param array<string, mixed> $description */
    private static function engine(array $description): Engine
    {
        return Engine::fromNode(Node::root($description));
    }

    public function testStationsAreNamedByTheMakersNumbersAndKeepTheirCode(): void
    {
        $engine = self::engine(['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8]);
        self::assertSame('4E', $engine->placeLabel('B2-E1'));
        $renumbered = self::engine(
            ['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8, 'numbering' => ['A' => [1, 2, 3, 4], 'B' => [5, 6, 7, 8]]],
        );
        self::assertSame('6E', $renumbered->placeLabel('B2-E1'));
        self::assertSame('cylinder 6', $renumbered->placeLabel('B2'));
        self::assertSame(
            '3I2',
            self::engine(['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4, 'intake_valves' => 3])->placeLabel('A3-I2'),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        yield 'no cylinders' => [['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 0], '/cylinders'];
        yield 'odd V' => [['layout' => 'vee', 'drive' => 'bucket', 'cylinders' => 5], '/cylinders'];
        yield 'unknown drive' => [['layout' => 'inline', 'drive' => 'magnet', 'cylinders' => 4], '/drive'];
        yield 'cylinders as text' => [['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 'four'], '/cylinders'];
        yield 'six valves' => [['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4, 'intake_valves' => 6], '/intake_valves'];
        yield 'number twice' => [
            ['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 2, 'numbering' => ['A' => [1, 1]]], '/numbering',
        ];
        yield 'bank too short' => [
            ['layout' => 'vee', 'drive' => 'bucket', 'cylinders' => 4, 'numbering' => ['A' => [1], 'B' => [3, 4]]], '/numbering/A',
        ];
        yield 'firing order misses one' => [
            ['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4, 'firing_order' => [1, 3, 4]], '/firing_order',
        ];
        yield 'valve order' => [
            ['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 4, 'valve_order' => ['A' => 'EEII', 'B' => 'EIIE']], '/valve_order/A',
        ];
        yield 'absurd speed' => [['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4, 'reached_speed' => 99999], '/reached_speed'];
    }

    /** @param array<string, mixed> $description */
    #[DataProvider('impossible')]
    public function testAnImpossibleEngineIsRefusedAtItsPlace(array $description, string $pointer): void
    {
        try {
            self::engine($description);
            self::fail('It was accepted.');
        } catch (BadDocument $problem) {
            self::assertSame($pointer, $problem->pointer);
        }
    }

    public function testADescriptionReadBackIsTheSame(): void
    {
        foreach (self::layouts() as [$description]) {
            $engine = self::engine($description);
            self::assertEquals($engine, self::engine($engine->toArray()));
        }
    }

    public function testOnlyFittedPartsAreOffered(): void
    {
        $bucket = self::engine(['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4])->parts();
        self::assertContains(Part::LashShim, $bucket);
        self::assertNotContains(Part::Pushrod, $bucket);
        self::assertNotContains(Part::Rocker, $bucket);
        $letters = array_map(static fn (Part $part): string => $part->letter(), Part::cases());
        self::assertSame($letters, array_unique($letters), 'Each part has a letter of its own.');
    }

    public function testSitesOfPlaces(): void
    {
        $engine = self::engine(['layout' => 'vee', 'drive' => 'bucket', 'cylinders' => 6]);
        self::assertSame('B2', $engine->siteOf('B2-E1', Site::Cylinder));
        self::assertSame('B', $engine->siteOf('B2-E1', Site::Bank));
        self::assertNull($engine->siteOf('B2', Site::Station));
        self::assertNull($engine->siteOf('kind-E', Site::Bank));
        self::assertNull($engine->siteOf('engine', Site::Cylinder));
        self::assertSame(BuildFlag::No, $engine->flag('hydraulic'));
        self::assertSame(BuildFlag::Unknown, $engine->flag('boosted'));
    }

    /** @return iterable<string, array{array<string, mixed>, int}> */
    public static function layouts(): iterable
    {
        yield 'single' => [['layout' => 'inline', 'drive' => 'finger', 'cylinders' => 1], 4];
        yield 'inline four, five valves' => [['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4, 'intake_valves' => 3], 20];
        yield 'pushrod V8' => [['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8], 16];
        yield 'four-valve V6' => [['layout' => 'vee', 'drive' => 'bucket', 'cylinders' => 6], 24];
        yield 'four-valve V8' => [['layout' => 'vee', 'drive' => 'finger', 'cylinders' => 8], 32];
        yield 'V16' => [['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 16], 32];
        yield 'inline six, three valves' => [['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 6, 'exhaust_valves' => 1], 18];
        yield 'inline eight' => [['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 8, 'forward_bank' => 'A'], 32];
        yield 'flat six' => [['layout' => 'flat', 'drive' => 'finger', 'cylinders' => 6, 'forward_bank' => 'B'], 24];
        yield 'single, two valves' => [['layout' => 'inline', 'drive' => 'pushrod', 'cylinders' => 1], 2];
    }

    /** @param array<string, mixed> $description */
    #[DataProvider('layouts')]
    public function testThePlanHasEveryStationInItsOwnBoreAndNoneOverAnother(array $description, int $stations): void
    {
        $engine = self::engine($description);
        $plan = HeadPlan::of($engine);
        self::assertCount($stations, $plan->cells);
        $bores = array_column($plan->bores, null, 'cylinder');
        foreach ($plan->cells as $i => $cell) {
            $bore = $bores[explode('-', $cell['station'])[0]];
            self::assertLessThanOrEqual(
                $bore['radius'] + 0.01, hypot($cell['x'] - $bore['x'], $cell['y'] - $bore['y']) + $cell['radius'],
                $cell['station'].' stands out of its bore',
            );
            self::assertGreaterThan($cell['radius'], $cell['x']);
            self::assertLessThan($plan->width - $cell['radius'], $cell['x']);
            self::assertLessThan($plan->height - $cell['radius'], $cell['y']);
            foreach (\array_slice($plan->cells, $i + 1) as $other) {
                self::assertGreaterThanOrEqual(
                    $cell['radius'] + $other['radius'] - 0.01, hypot($cell['x'] - $other['x'], $cell['y'] - $other['y']),
                    $cell['station'].' lies over '.$other['station'],
                );
            }
        }
        foreach ($plan->bores as $i => $bore) {
            self::assertGreaterThanOrEqual(34.0, $bore['radius']);
            foreach (\array_slice($plan->bores, $i + 1) as $other) {
                self::assertGreaterThan($bore['radius'] + $other['radius'], hypot($bore['x'] - $other['x'], $bore['y'] - $other['y']));
            }
        }
    }

    public function testIntakesStandTowardTheValleyAndAlternateOnPushrodHeads(): void
    {
        $vee = array_column(HeadPlan::of(self::engine(['layout' => 'vee', 'drive' => 'bucket', 'cylinders' => 6]))->cells, null, 'station');
        self::assertGreaterThan($vee['A1-E1']['x'], $vee['A1-I1']['x']);
        self::assertLessThan($vee['B1-E1']['x'], $vee['B1-I1']['x']);
        $pushrod = array_column(
            HeadPlan::of(self::engine(['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8]))->cells, null, 'station',
        );
        self::assertLessThan($pushrod['A1-I1']['y'], $pushrod['A1-E1']['y']);
        self::assertLessThan($pushrod['A2-E1']['y'], $pushrod['A2-I1']['y']);
    }
}
