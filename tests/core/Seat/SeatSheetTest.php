<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Seat;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Seats: width by kind of valve, and where the contact lies. */
final class SeatSheetTest extends TestCase
{
    public function testTheSameWidthIsRightForAnIntakeAndNarrowForAnExhaust(): void
    {
        $verdict = static fn (string $place): ?Verdict => Example::bucketFour()->tests($place, 'seat_width', '0.050')
            ->bench()->margin($place, 'seat_width')?->verdict;
        self::assertSame(Verdict::Inside, $verdict('A1-I1'));
        self::assertSame(Verdict::Outside, $verdict('A1-E1'));
    }

    public function testTheContactLiesOnInsertAndFace(): void
    {
        $bench = Example::bucketFour()->tests('A1-I1', 'contact_outside', '1.570')->tests('A1-I1', 'insert_outside', '1.580')
            ->tests('A1-I1', 'head_diameter', '1.600', 'along')->tests('A1-I1', 'seat_angle', '45.5')->tests('A1-I1', 'face_angle', '45')
            ->bench();
        self::assertSame(Verdict::Outside, $bench->margin('A1-I1', 'rim_of_insert')?->verdict, 'It runs onto the parent metal.');
        self::assertSame(Verdict::Inside, $bench->margin('A1-I1', 'face_beyond_contact')?->verdict);
        $angle = $bench->value('A1-I1', 'interference_angle');
        self::assertInstanceOf(Given::class, $angle);
        self::assertEqualsWithDelta(0.5, $angle->value->base, 1e-9);
    }

    public function testASunkSeatRaisesItsStemAboveTheOthers(): void
    {
        $example = Example::bucketFour();
        $stems = ['A1-E1' => '1.870', 'A1-E2' => '1.850', 'A2-E1' => '1.851', 'A2-E2' => '1.849', 'A3-E1' => '1.850'];
        foreach ($stems as $place => $stands) {
            $example->tests($place, 'stem_protrusion', $stands);
        }
        self::assertSame(Verdict::Outside, $example->bench()->margin('A1-E1', 'stem_protrusion_from_middle')?->verdict);
        self::assertSame(Verdict::Inside, $example->bench()->margin('A2-E1', 'stem_protrusion_from_middle')?->verdict);
    }

    public function testRunOut(): void
    {
        $bench = Example::bucketFour()->tests('A1-E1', 'seat_run_out', '0.0035')->tests('A1-I1', 'seat_run_out', '0.0010')->bench();
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'seat_run_out')?->verdict);
        self::assertSame(Verdict::Inside, $bench->margin('A1-I1', 'seat_run_out')?->verdict);
    }
}
