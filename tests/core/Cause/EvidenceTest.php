<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\BenchEvidence;
use MuteTapper\Core\Cause\Item;
use MuteTapper\Core\Cause\ItemKind;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Severity;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EvidenceTest extends TestCase
{
    /** @return iterable<array{Severity, float}> size in decibans at a leak of .01 */
    public static function sizes(): iterable
    {
        yield [Severity::Trace, 5.9];
        yield [Severity::Clear, 13.9];
        yield [Severity::Heavy, 17.0];
        yield [Severity::Destroyed, 17.0];
    }

    #[DataProvider('sizes')]
    public function testSizesOfSigns(Severity $severity, float $decibans): void
    {
        $item = Item::of('x', ItemKind::Finding, Site::Station, ['A1-E1' => $severity->confidence()], 16, 0.01, []);
        self::assertEqualsWithDelta($decibans, $item->decibans(), 0.05);
    }

    /** @return iterable<array{float, float}> margin in inches, decibans; allowance 0.025 in, u = 0.001 in */
    public static function margins(): iterable
    {
        yield [0.000, 15.8];
        yield [0.010, 1.7];
        yield [0.020, -6.0];
        yield [0.030, -19.9];
    }

    #[DataProvider('margins')]
    public function testAStaticMarginIsNotContactAndASmallOneDoesNotAcquit(float $margin, float $decibans): void
    {
        $p = BenchEvidence::contact(Uncertain::of(Quantity::of($margin, Unit::Inch), ['u' => 0.001 * 0.0254]), 0.025 * 0.0254);
        self::assertEqualsWithDelta($decibans, Item::of('x', ItemKind::Bench, Site::Station, ['A1-E1' => $p], 1, 0.01,
            [])->decibans(), 0.05);
    }

    public function testALowerMarginNeverLowersItsSupport(): void
    {
        $before = \INF;
        for ($margin = -0.02; $margin < 0.08; $margin += 0.0005) {
            $p = BenchEvidence::contact(Uncertain::of(Quantity::of($margin, Unit::Inch), ['u' => 0.0012 * 0.0254]), 0.025 * 0.0254);
            $ratio = Item::of('x', ItemKind::Bench, Site::Station, ['A1-E1' => $p, 'A2-E1' => 0.02], 16, 0.01, [])->ratio;
            self::assertLessThanOrEqual($before + 1e-12, $ratio);
            $before = $ratio;
        }
    }

    /** Fifteen clean stations say nothing against a fault that claims the sixteenth, and all of it at its own. */
    public function testAbsenceCountsWhereTheCauseWouldBe(): void
    {
        $clean = Example::pushrodEight()->shows('tip_edge_wipe', 3, 'A1-E1');
        foreach ($clean->engine()->stations as $station) {
            if ($station->code() !== 'A1-E1') {
                $clean->shows('pivot_loose', 0, $station->code());
            }
        }
        $at = static function (Example $example): float {
            $model = Assessment::of($example->case(), Example::knowledge())->model();
            foreach ($model->placed('adjuster_loose') as $placed) {
                if ($model->ground->codes($placed->extent->region) === ['A1-E1']) {
                    return $model->likelihood($placed);
                }
            }
            self::fail('It is not tried where the mark is.');
        };
        self::assertEqualsWithDelta(1.0, $at($clean) / $at(Example::pushrodEight()->shows('tip_edge_wipe', 3, 'A1-E1')), 0.05);
        self::assertLessThan(0.2, $at($clean->shows('pivot_loose', 0, 'A1-E1')) / $at(Example::pushrodEight()
            ->shows('tip_edge_wipe', 3, 'A1-E1')));
    }

    public function testAClearLookSpeaksForWhatTheEyeSeesAndNothingElse(): void
    {
        $items = Assessment::of(Example::pushrodEight()->looks('A1-E1', 'spring')->case(), Example::knowledge())->items();
        self::assertArrayHasKey('coils_bright', $items);
        self::assertFalse($items['coils_bright']->isPresent);
        self::assertArrayNotHasKey('short_free_height', $items, 'A free height is not judged by looking.');
        self::assertArrayNotHasKey('tip_peened', $items, 'Another part was not looked at.');
    }

    public function testAFindingGoesBeforeAClearLookOfTheSamePart(): void
    {
        $items = Assessment::of(
            Example::pushrodEight()->sees('A1-E1', 'spring', 'coils_bright', 2)->looks('A1-E1', 'spring')->case(), Example::knowledge(),
        )->items();
        self::assertTrue($items['coils_bright']->isPresent);
        self::assertFalse($items['coil_clash']->isPresent);
    }

    public function testCleaningPullsTowardNotKnowing(): void
    {
        $size = static fn (string $state): float => Assessment::of(
            Example::pushrodEight()->sees('A1-E1', 'spring', 'coils_bright', 2, $state)->case(), Example::knowledge(),
        )->items()['coils_bright']->ratio;
        self::assertLessThan($size('as_found'), $size('after_cleaning'));
        self::assertGreaterThan(1.0, $size('after_cleaning'));
    }

    public function testGrossSignsCountSoftlyOnlyOnceThereIsEvidence(): void
    {
        self::assertSame([], Assessment::of(Example::pushrodEight()->case(), Example::knowledge())->items());
        $items = Assessment::of(Example::pushrodEight()->sees('A1-E1', 'valve', 'tip_peened', 1)->case(), Example::knowledge())->items();
        self::assertSame(ItemKind::Unanswered, $items['sudden_stop']->kind);
        self::assertFalse($items['sudden_stop']->isPresent);
    }

    public function testOneItemASignHoweverManyStations(): void
    {
        $example = Example::pushrodEight();
        foreach ($example->engine()->stations as $station) {
            $example->sees($station->code(), 'seat', 'seat_hammered', 2);
        }
        $one = Assessment::of(
            Example::pushrodEight()->sees('A1-E1', 'seat', 'seat_hammered', 2)->case(), Example::knowledge(),
        )->items()['seat_hammered'];
        self::assertSame($one->ratio, Assessment::of($example->case(), Example::knowledge())->items()['seat_hammered']->ratio);
    }

    public function testSpecificationGoesBeforeTheMiddleValueAndBothAreOneItem(): void
    {
        $example = Example::pushrodEight()->claims('kind-E', 'load_seat', '150', '1.800');
        foreach (['A1-E1', 'A2-E1', 'A3-E1', 'A4-E1'] as $place) {
            $example->measures($place, 'load_seat', '120', '1.800');
        }
        $items = Assessment::of($example->case(), Example::knowledge())->items();
        self::assertTrue($items['spring_load_low']->isPresent, 'All are even, and all are 20 % below specification.');
        self::assertCount(4, $items['spring_load_low']->sites);
    }

    public function testHowAPartBrokeIsNotAskedOfAWholeOne(): void
    {
        $items = static fn (Example $example): array => Assessment::of($example->case(), Example::knowledge())->items();
        $whole = Example::pushrodEight()->looks('A1-E1', 'spring')->looks('A2-E1', 'spring');
        self::assertArrayHasKey('spring_broken', $items($whole));
        self::assertArrayNotHasKey('broken_at_end', $items($whole), 'a whole spring tells nothing of where it broke');

        $broken = $items($whole->sees('A1-E1', 'spring', 'spring_broken', 3));
        self::assertSame(['A1-E1'], array_keys($broken['broken_at_end']->sites));
        self::assertFalse($broken['broken_at_end']->isPresent);

        $seen = $items(Example::pushrodEight()->sees('A1-E1', 'spring', 'broken_at_end', 3)->looks('A2-E1', 'spring'));
        self::assertSame(['A1-E1'], $seen['broken_at_end']->places, 'found, though nobody said the spring is broken');
    }

    public function testOfSeveralAnswersEachIsHeardAndOneThatDeniesStandsAlone(): void
    {
        $said = static fn (string $choice, string ...$also): array => Assessment::of(
            Example::pushrodEight()
                ->records(EntryKind::Answer, new Slot('A2', 'chamber', 'hiss'), ['choice' => $choice, 'also' => $also])->case(),
            Example::knowledge(),
        )->items();
        $two = $said('exhaust', 'filler');
        self::assertSame([['A2'], ['A2']], [$two['hiss_exhaust']->places, $two['hiss_filler']->places]);
        self::assertArrayNotHasKey('hiss_inlet', $two, 'one answer does not deny the others');
        $none = $said('nowhere');
        foreach (['hiss_exhaust', 'hiss_inlet', 'hiss_filler'] as $sign) {
            self::assertFalse($none[$sign]->isPresent, $sign);
        }
    }

    /** A part changed without effect clears it nearly as well as looking at it would: the new one can be wrong alike. */
    public function testPartsChangedWithoutEffectAreAbsentAndNotQuiteSurely(): void
    {
        $items = Assessment::of(
            Example::pushrodEight()->answers('engine', 'replaced_springs', 'no_effect')->case(), Example::knowledge(),
        )->items();
        self::assertEqualsWithDelta(0.5 - 0.9 * 0.46, $items['gone_with_springs']->confidence, 1e-12);
    }
}
