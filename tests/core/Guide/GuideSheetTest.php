<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Guide;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Verdict\Limit;
use MuteTapper\Core\Verdict\Margin;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Stems and guides; figures in ten-thousandths of an inch. */
final class GuideSheetTest extends TestCase
{
    /**
     * Diameters by depth and direction.
     *
     * @param array<string, int> $bore
     * @param array<string, int> $stem
     */
    private static function read(Example $example, string $place, array $bore, array $stem): Example
    {
        foreach (['guide_bore' => $bore, 'stem_diameter' => $stem] as $column => $readings) {
            foreach ($readings as $index => $tenths) {
                $example->tests($place, $column, sprintf('0.%04d', $tenths), $index);
            }
        }

        return $example;
    }

    private static function tenths(Example $example, string $place, string $name, ?string $index = null): float
    {
        $value = $example->bench()->value($place, $name, $index);
        self::assertInstanceOf(Given::class, $value, $name.' is not known');

        return round($value->value->quantity()->in(Unit::Inch) * 10000, 6);
    }

    /** Worked example of the trade, from memory: 0.3435 in a guide on 0.3417 leaves 0.0018, inside 0.0010 to 0.0027. */
    public function testAnIntakeInsideItsWindow(): void
    {
        $example = self::read(Example::bucketFour(), 'A1-I1', ['top.along' => 3435], ['top.along' => 3417]);
        self::assertSame(18.0, self::tenths($example, 'A1-I1', 'stem_clearance', 'top.along'));
        self::assertSame(Verdict::Inside, $example->bench()->margin('A1-I1', 'stem_clearance')?->verdict);
    }

    /** The same stem is too tight for an exhaust, which runs hotter: its window begins at 0.0015. */
    public function testTheWindowDiffersByKindOfValve(): void
    {
        $read = static fn (string $place): ?Margin => self::read(
            Example::bucketFour(), $place, ['top.along' => 3429], ['top.along' => 3417],
        )
            ->bench()->margin($place, 'stem_clearance');
        self::assertTrue($read('A1-I1')?->isInside());
        self::assertTrue($read('A1-E1')?->isOutside());
    }

    public function testTooLooseIsOutsideToo(): void
    {
        $example = self::read(Example::bucketFour(), 'A1-E1', ['bottom.along' => 3452], ['bottom.along' => 3417]);
        self::assertSame(Verdict::Outside, $example->bench()->margin('A1-E1', 'stem_clearance')?->verdict);
    }

    /** The worst of all places decides, and each has its stroke. */
    public function testLeastGreatestAndWorst(): void
    {
        $example = self::read(
            Example::bucketFour(), 'A1-E1',
            ['top.along' => 3437, 'middle.along' => 3436, 'bottom.along' => 3448, 'top.across' => 3438],
            ['top.along' => 3417, 'middle.along' => 3417, 'bottom.along' => 3416, 'top.across' => 3418],
        );
        self::assertSame(19.0, self::tenths($example, 'A1-E1', 'least_clearance'));
        self::assertSame(32.0, self::tenths($example, 'A1-E1', 'greatest_clearance'));
        $margin = $example->bench()->margin('A1-E1', 'stem_clearance');
        self::assertSame(32.0, round(($margin?->value()->base ?? 0) / Unit::Inch->baseFactor() * 10000, 6));
        self::assertCount(4, $margin->all ?? []);
    }

    public function testTaperIsWithinOneDirectionAndWantsTwoDepths(): void
    {
        $one = self::read(Example::bucketFour(), 'A1-I1', [], ['top.along' => 3417, 'top.across' => 3400]);
        self::assertInstanceOf(Missing::class, $one->bench()->value('A1-I1', 'stem_taper', 'along'));
        self::assertSame(Verdict::NotMeasured, $one->bench()->margin('A1-I1', 'stem_taper')?->verdict, 'One reading acquits nothing.');
        $two = self::read(Example::bucketFour(), 'A1-I1', [], ['top.along' => 3417, 'bottom.along' => 3404, 'bottom.across' => 3417]);
        self::assertSame(13.0, self::tenths($two, 'A1-I1', 'stem_taper', 'along'));
        self::assertSame(Verdict::Outside, $two->bench()->margin('A1-I1', 'stem_taper')?->verdict);
    }

    public function testOutOfRoundAndBellMouth(): void
    {
        $example = self::read(
            Example::bucketFour(), 'A1-I1',
            ['top.along' => 3436, 'middle.along' => 3434, 'bottom.along' => 3443, 'middle.across' => 3433, 'bottom.across' => 3438],
            ['top.along' => 3417, 'top.across' => 3415],
        );
        self::assertSame(2.0, self::tenths($example, 'A1-I1', 'most_stem_out_of_round'));
        self::assertSame(5.0, self::tenths($example, 'A1-I1', 'most_guide_out_of_round'));
        self::assertSame(9.0, self::tenths($example, 'A1-I1', 'bell_mouth', 'bottom.along'));
        self::assertSame(5.0, self::tenths($example, 'A1-I1', 'bell_mouth', 'bottom.across'), 'from the middle in the same direction');
        self::assertSame(9.0, self::tenths($example, 'A1-I1', 'most_bell_mouth'));
        self::assertInstanceOf(Missing::class, $example->bench()->value('A1-I1', 'bell_mouth', 'middle.along'));
    }

    /** The maker's window, stated with the build, goes before that of the trade; one end of it may do. */
    public function testTheMakersWindowRules(): void
    {
        $tight = static fn (): Example => self::read(Example::bucketFour(), 'A1-I1', ['top.along' => 3435], ['top.along' => 3417]);
        $margin = $tight()->claims('kind-I', 'stem_clearance.least', '0.0022')->bench()->margin('A1-I1', 'stem_clearance');
        self::assertSame([Verdict::Outside, Limit::MAKER], [$margin?->verdict, $margin?->limit->ruling]);
        self::assertSame(
            Verdict::Inside,
            $tight()->claims('kind-E', 'stem_clearance.least', '0.0022')->bench()->margin('A1-I1', 'stem_clearance')?->verdict,
        );
        $makers = $tight()
            ->makers('kind-I', Part::Guide, 'stem_clearance.most', 0.0012, Unit::Inch)->bench()->margin('A1-I1', 'stem_clearance');
        self::assertSame(Verdict::Outside, $makers?->verdict);
    }

    public function testGuideBeforeSeatIsSaidWhereAGuideIsOutside(): void
    {
        $sheet = static fn (Example $example): array => ($bench = $example->bench())->remarks(
            $bench->sheets->named('guides') ?? self::fail('no sheet'),
        );
        $good = self::read(Example::bucketFour(), 'A1-I1', ['top.along' => 3435], ['top.along' => 3417]);
        self::assertSame([], $sheet($good));
        self::assertSame(
            ['Guide before seat: put the guides right before the seats are judged or cut, at 2E1.'],
            $sheet(self::read($good, 'A2-E1', ['top.along' => 3460], ['top.along' => 3417])),
        );
    }
}
