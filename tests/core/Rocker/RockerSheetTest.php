<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Rocker;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Pushrods and rockers. */
final class RockerSheetTest extends TestCase
{
    public function testAPushrodOfTheWrongLengthAtOneStation(): void
    {
        $example = Example::pushrodEight()->claims('kind-E', 'pushrod_length', '7.800');
        foreach (['A1-E1' => '7.750', 'A2-E1' => '7.800', 'A3-E1' => '7.801', 'A4-E1' => '7.799'] as $place => $length) {
            $example->tests($place, 'pushrod_length', $length);
        }
        $bench = $example->bench();
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'pushrod_length_from_middle')?->verdict);
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'pushrod_length_from_claim')?->verdict);
        self::assertSame(Verdict::Inside, $bench->margin('A2-E1', 'pushrod_length_from_claim')?->verdict);
    }

    public function testTheRatioOverTheLift(): void
    {
        $change = Example::pushrodEight()->tests('A1-E1', 'ratio_half', '1.55')->tests('A1-E1', 'ratio', '1.50')
            ->bench()->value('A1-E1', 'ratio_change');
        self::assertInstanceOf(Given::class, $change);
        self::assertEqualsWithDelta(-0.05, $change->value->base, 1e-9);
        $nominal = Example::pushrodEight()->tests('A1-E1', 'ratio_half', '1.55')->bench()->value('A1-E1', 'ratio_change');
        self::assertInstanceOf(Missing::class, $nominal, 'A ratio off the description shows no change.');
    }

    public function testBucketsHaveNoSuchSheetAndFingersNoPushrods(): void
    {
        $sheet = Example::bucketFour()->bench()->sheets->named('rockers');
        self::assertFalse($sheet?->isFittedTo(Example::bucketFour()->engine()));
        $fingers = (new Example(['layout' => 'inline', 'drive' => 'finger', 'cylinders' => 4, 'rocker_ratio' => 1.8]))->engine();
        self::assertTrue($sheet->isFittedTo($fingers));
        self::assertFalse(Example::bucketFour()->bench()->sheets->columns['pushrod_length']->isFittedTo($fingers));
    }

    public function testPathAndRunOut(): void
    {
        $bench = Example::pushrodEight()->tests('A1-E1', 'tip_path', '0.110')->tests('A1-E1', 'pushrod_run_out', '0.012')->bench();
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'tip_path')?->verdict);
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'pushrod_run_out')?->verdict);
    }
}
