<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Head;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Pockets and what is laid into them. */
final class PocketSheetTest extends TestCase
{
    /** A stack by its parts, where nobody measured it as a whole; a whole that was measured goes before. */
    public function testShimsAndLocatorAddUp(): void
    {
        $parts = Example::pushrodEight()->tests('A1-E1', 'shim_stack', '0.030')->tests('A1-E1', 'locator_thickness', '0.060');
        $under = static fn (): float => self::inches($parts->bench()->value('A1-E1', 'shims_under_spring'));
        self::assertEqualsWithDelta(0.090, $under(), 1e-9);
        $parts->tests('A1-E1', 'shims', '0.085');
        self::assertEqualsWithDelta(0.085, $under(), 1e-9);
    }

    public function testWhetherTheSpringStandsAboveTheRim(): void
    {
        $above = static fn (string $depth): float => self::inches(
            Example::pushrodEight()->tests('A1-E1', 'shims', '0.060')->tests('A1-E1', 'pocket_depth', $depth)
                ->bench()->value('A1-E1', 'spring_above_rim'),
        );
        self::assertEqualsWithDelta(0.020, $above('0.040'), 1e-9);
        self::assertEqualsWithDelta(-0.140, $above('0.200'), 1e-9);
    }

    public function testFitsOfALocator(): void
    {
        $example = Example::pushrodEight()->tests('A1-E1', 'locator_outside', '1.105')->measures('A1-E1', 'inside_diameter', '1.120')
            ->tests('A1-E1', 'locator_flange', '1.575')->tests('A1-E1', 'pocket_diameter', '1.569')
            ->tests('A1-E1', 'locator_inside', '0.500')->tests('A1-E1', 'guide_outside', '0.5025');
        $bench = $example->bench();
        self::assertSame(Verdict::Inside, $bench->margin('A1-E1', 'locator_in_spring')?->verdict);
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'locator_in_pocket')?->verdict);
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'locator_over_guide')?->verdict);
    }

    private static function inches(Given|Missing $value): float
    {
        self::assertInstanceOf(Given::class, $value);

        return $value->value->base / 0.0254;
    }

    /** A spring that enters its pocket must pass when it is pressed and wider; above the rim only the locator must. */
    public function testASpringGrowsInItsPocket(): void
    {
        $pocket = static function (string $depth): Bench {
            $example = Example::pushrodEight()->tests('A1-E1', 'pocket_depth', $depth)->tests('A1-E1', 'shims', '0.030')
                ->tests('A1-E1', 'pocket_diameter', '1.552');
            $spring = ['outside_diameter' => '1.550', 'wire_diameter' => '0.210', 'coil_count' => '6', 'free_height' => '2.250'];
            foreach ($spring as $of => $text) {
                $example->measures('A1-E1', $of, $text);
            }

            return $example->bench();
        };
        $inside = $pocket('0.060');
        $growth = $inside->value('A1-E1', 'coil_growth', 'outer');
        self::assertInstanceOf(Given::class, $growth);
        // m = (2.250 − 0.420) ÷ 4, D = 1.340 in: about 0.009 in.
        $byHand = 0.1 * (0.4575 ** 2 - 0.8 * 0.4575 * 0.21 - 0.2 * 0.21 ** 2) / 1.34;
        self::assertEqualsWithDelta($byHand, $growth->value->base / 0.0254, 1e-6);
        self::assertSame(Verdict::Outside, $inside->margin('A1-E1', 'spring_in_pocket_pressed')?->verdict);
        $above = $pocket('0.020')->margin('A1-E1', 'spring_in_pocket_pressed');
        self::assertSame(Verdict::NotMeasured, $above?->verdict);
        self::assertStringContainsString('only the locator must fit', (string) $above->because);
    }
}
