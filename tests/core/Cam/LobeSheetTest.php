<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cam;

use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Lobes: what wear has taken. */
final class LobeSheetTest extends TestCase
{
    public function testALobeThatLostLiftStandsOutOfItsKind(): void
    {
        $example = Example::pushrodEight();
        foreach (['A1-I1' => '0.384', 'A2-I1' => '0.390', 'A3-I1' => '0.390', 'A4-I1' => '0.391', 'B1-I1' => '0.390'] as $place => $lift) {
            $example->tests($place, 'lobe_lift', $lift);
        }
        self::assertSame(Verdict::Outside, $example->bench()->margin('A1-I1', 'lobe_lift_from_middle')?->verdict);
        self::assertSame(Verdict::Inside, $example->bench()->margin('A4-I1', 'lobe_lift_from_middle')?->verdict);
    }

    public function testRunOutOfTheBaseCircle(): void
    {
        $bench = Example::pushrodEight()->tests('A1-I1', 'base_run_out', '0.0025')->bench();
        self::assertSame(Verdict::Outside, $bench->margin('A1-I1', 'base_run_out')?->verdict);
    }
}
