<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Piston;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Reliefs, free drop, and what piston and valve leave each other. */
final class PistonSheetTest extends TestCase
{
    /** Relief, recess, deck and gasket add up; a drop as measured stands by itself and is never added to them. */
    public function testFreeDropIsMeasuredOrComputedNeverBoth(): void
    {
        $example = Example::pushrodEight()->claims('engine', 'deck_clearance', '0.010')->claims('engine', 'gasket_thickness', '0.040')
            ->tests('A1-I1', 'relief_depth', '0.150')->tests('A1-I1', 'valve_recess', '0.030');
        $drop = static fn (): float => self::inches($example->bench()->value('A1-I1', 'free_drop'));
        self::assertEqualsWithDelta(0.230, $drop(), 1e-9);
        $example->tests('A1-I1', 'free_drop', '0.236');
        self::assertEqualsWithDelta(0.236, $drop(), 1e-9);
    }

    /** 0.090 in is enough for an intake and too little for an exhaust, by the school that is usual here. */
    public function testPistonToValveDiffersByKind(): void
    {
        $verdict = static fn (string $place): ?Verdict => Example::pushrodEight()->tests($place, 'piston_to_valve', '0.092')
            ->bench()->margin($place, 'piston_to_valve')?->verdict;
        self::assertSame(Verdict::Inside, $verdict('A1-I1'));
        self::assertSame(Verdict::Outside, $verdict('A1-E1'));
    }

    /** Fact of the trade, without a published source: 0.035 cold less 0.050 of growth is −0.015, and the range says more than the sum. */
    public function testAfterGrowth(): void
    {
        $value = Example::pushrodEight()->tests('A1-I1', 'piston_to_valve', '0.035')->bench()->value('A1-I1', 'piston_to_valve_running');
        self::assertEqualsWithDelta(-0.015, self::inches($value), 1e-9);
        self::assertInstanceOf(Given::class, $value);
        self::assertGreaterThan(0.005, $value->value->standard() / 0.0254);
    }

    public function testRadialRoom(): void
    {
        $bench = Example::pushrodEight()->tests('A1-I1', 'relief_radius', '0.860')->tests('A1-I1', 'head_diameter', '1.600', 'along')
            ->tests('A1-E1', 'relief_radius', '0.835')->tests('A1-E1', 'head_diameter', '1.600', 'along')->bench();
        self::assertEqualsWithDelta(0.060, self::inches($bench->value('A1-I1', 'radial_room')), 1e-9);
        self::assertSame(Verdict::Inside, $bench->margin('A1-I1', 'radial_room')?->verdict);
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'radial_room')?->verdict);
    }

    public function testMetalLeftIsToldAndNotJudged(): void
    {
        $bench = Example::pushrodEight()->tests('A1-I1', 'metal_to_groove', '0.210')->tests('B1-E1', 'metal_to_groove', '0.180')->bench();
        self::assertSame(
            ['Least metal above the ring groove: 0.180 in at 2E. Not judged: the piston maker’s figure decides.'],
            $bench->remarks($bench->sheets->named('pistons') ?? self::fail()),
        );
        self::assertArrayNotHasKey('metal_to_groove', $bench->sheets->judged);
    }

    private static function inches(Given|Missing $value): float
    {
        self::assertInstanceOf(Given::class, $value);

        return $value->value->base / 0.0254;
    }
}
