<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Piston;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Verdict\Limit;
use MuteTapper\Core\Verdict\Margin;
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

    /** No figure is usual for what a ring land needs: until one is stated nothing is decided, and whose figure it takes is said. */
    public function testMetalLeftIsDecidedByItsMakerAlone(): void
    {
        $example = Example::pushrodEight()->tests('A1-I1', 'metal_to_groove', '0.210')->tests('B1-E1', 'metal_to_groove', '0.140');
        $margin = static fn (string $place): ?Margin => $example->bench()->margin($place, 'metal_to_groove');
        $open = $margin('A1-I1');
        self::assertSame(Verdict::CannotTell, $open?->verdict);
        self::assertSame('Not decided: the piston maker’s figure is not stated.', $open->because);
        $example->makers('engine', Part::PistonRelief, 'metal_to_groove.least', 0.180, Unit::Inch);
        $decided = $margin('A1-I1');
        self::assertSame(Verdict::Inside, $decided?->verdict);
        self::assertNull($decided->because);
        $thin = $margin('B1-E1');
        self::assertSame(Verdict::Outside, $thin?->verdict);
        self::assertSame(Limit::MAKER, $thin->limit->ruling);
    }

    /** The shop may have a figure of its own, once it knows one. */
    public function testAShopThatStatesAFigureDecides(): void
    {
        $node = [
            'title' => 'metal', 'side' => 'at_least', 'unit' => 'in', 'default' => 'unset', 'awaits' => 'the maker’s figure', 'span' => 1,
        ];
        $limit = static fn (float $figure): Limit => Limit::fromNode('metal', Node::root(
            $node + ['schools' => ['unset' => $figure], 'source' => 'made up', 'mark' => 'own'],
        ));
        self::assertTrue($limit(0)->isOpen());
        self::assertFalse($limit(0.15)->isOpen());
    }

    private static function inches(Given|Missing $value): float
    {
        self::assertInstanceOf(Given::class, $value);

        return $value->value->base / 0.0254;
    }
}
