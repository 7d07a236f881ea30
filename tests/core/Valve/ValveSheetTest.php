<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Valve;

use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Valves on the bench, each against its limit and against its kind. */
final class ValveSheetTest extends TestCase
{
    public function testTheLeastMarginDiffersByKindOfSchool(): void
    {
        $margin = static fn (string $place): ?Verdict => Example::bucketFour()->tests($place, 'valve_margin', '0.040')
            ->bench()->margin($place, 'valve_margin')?->verdict;
        self::assertSame(Verdict::Inside, $margin('A1-I1'));
        $limits = Example::knowledge()->limits->of('valve_margin');
        self::assertEqualsWithDelta(0.045 * 0.0254, $limits->ofKind(ValveKind::Exhaust)->ruledBy('race')->value()->base, 1e-12);
        self::assertEqualsWithDelta(0.030 * 0.0254, $limits->ofKind(ValveKind::Intake)->ruledBy('race')->value()->base, 1e-12);
    }

    public function testAStretchedValveStandsOutOfItsKindAndItsFellowsAreNotAcquitted(): void
    {
        $example = Example::pushrodEight();
        $lengths = ['A1-E1' => '5.035', 'A2-E1' => '5.020', 'A3-E1' => '5.021', 'A4-E1' => '5.019', 'B1-E1' => '5.020'];
        foreach ($lengths as $place => $length) {
            $example->tests($place, 'valve_length', $length);
        }
        $bench = $example->bench();
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'valve_length_from_middle')?->verdict);
        self::assertSame(Verdict::Inside, $bench->margin('A2-E1', 'valve_length_from_middle')?->verdict);
        self::assertTrue($bench->sheets->judged['valve_length_from_middle']->accusesOnly);
        self::assertSame(Verdict::NotMeasured, $bench->margin('A1-I1', 'valve_length_from_middle')?->verdict);
    }

    public function testThreeValvesHaveNoMiddleValue(): void
    {
        $example = Example::pushrodEight();
        foreach (['A1-E1' => '5.035', 'A2-E1' => '5.020', 'A3-E1' => '5.021'] as $place => $length) {
            $example->tests($place, 'valve_length', $length);
        }
        $margin = $example->bench()->margin('A1-E1', 'valve_length_from_middle');
        self::assertSame(Verdict::NotMeasured, $margin?->verdict);
        self::assertStringContainsString('at least 4 of the same kind', implode(' ', $margin->missing));
    }

    public function testOvalityWantsBothDirections(): void
    {
        $one = Example::bucketFour()->tests('A1-E1', 'head_diameter', '1.604', 'across');
        self::assertSame(Verdict::NotMeasured, $one->bench()->margin('A1-E1', 'head_ovality')?->verdict);
        $two = $one->tests('A1-E1', 'head_diameter', '1.600', 'along');
        self::assertSame(Verdict::Outside, $two->bench()->margin('A1-E1', 'head_ovality')?->verdict);
    }

    public function testRunOutAndTipOverTheRetainer(): void
    {
        $bench = Example::bucketFour()->tests('A1-E1', 'stem_run_out', '0.0045')->tests('A1-I1', 'stem_run_out', '0.0005')
            ->tests('A1-E1', 'tip_above_retainer', '0.005')->bench();
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'stem_run_out')?->verdict);
        self::assertSame(Verdict::Inside, $bench->margin('A1-I1', 'stem_run_out')?->verdict);
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'tip_above_retainer')?->verdict);
    }
}
