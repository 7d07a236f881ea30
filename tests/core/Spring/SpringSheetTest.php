<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Spring;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

final class SpringSheetTest extends TestCase
{
    private static function inches(Bench $bench, string $place, string $quantity, ?string $coil = null): float
    {
        $value = $bench->margin($place, $quantity, $coil)?->value();
        self::assertNotNull($value, $quantity.' was not derived');

        return $value->quantity()->in(Unit::Inch);
    }

    private static function value(Bench $bench, string $place, string $name, ?string $index = null): Given
    {
        $value = $bench->value($place, $name, $index);
        self::assertInstanceOf(Given::class, $value, $name.' is not known');

        return $value;
    }

    public function testAMarginNamesWhatIsMissing(): void
    {
        $margin = Example::pushrodEight()->measures('A1-E1', 'installed_height', '1.800')->bench()->margin('A1-E1', 'travel_to_bind');
        self::assertSame(Verdict::NotMeasured, $margin?->verdict);
        self::assertSame(['net lift', 'bind height'], $margin->missing);
    }

    public function testTravelToBindFromTheLobe(): void
    {
        $bench = Example::pushrodEight()
            ->measures('A1-E1', 'installed_height', '1.800')->measures('A1-E1', 'bind_height', '1.120')
            ->measures('A1-E1', 'lobe_lift', '0.400')->measures('A1-E1', 'lash', '0.016')->bench();
        self::assertEqualsWithDelta(1.800 - (0.400 * 1.5 - 0.016) - 1.120, self::inches($bench, 'A1-E1', 'travel_to_bind'), 1e-9);
    }

    public function testAMeasuredRatioBeatsTheNominalOne(): void
    {
        $example = Example::pushrodEight()
            ->measures('A1-E1', 'lobe_lift', '0.400')->measures('A1-E1', 'lash', '0.010')->measures('A1-E1', 'ratio', '1.56');
        self::assertEqualsWithDelta(0.614, self::value($example->bench(), 'A1-E1', 'net_lift')->value->quantity()->in(Unit::Inch), 1e-9);
    }

    public function testHydraulicLiftHasNoLash(): void
    {
        $example = Example::hydraulicRollerEight()->measures('A1-E1', 'lobe_lift', '0.350');
        self::assertEqualsWithDelta(0.56, self::value($example->bench(), 'A1-E1', 'net_lift')->value->quantity()->in(Unit::Inch), 1e-9);
    }

    public function testWhatWasClaimedFillsInForWhatWasNotMeasuredAndSaysSo(): void
    {
        $bench = Example::bucketFour()
            ->measures('A1-I1', 'installed_height', '1.440')->claims('kind-I', 'bind_height', '0.925')->claims('kind-I', 'net_lift', '0.41')
            ->bench();
        $margin = $bench->margin('A1-I1', 'travel_to_bind');
        self::assertEqualsWithDelta(0.105, self::inches($bench, 'A1-I1', 'travel_to_bind'), 1e-9);
        self::assertSame('as claimed, known', $margin?->trace?->values->given['bind_height'][0]->origin);
        $shares = $margin->trace->shares();
        arsort($shares);
        self::assertSame('net_lift', array_key_first($shares), 'A figure quoted to two decimals is the weakest input.');
    }

    public function testAClaimForOneStationGoesBeforeTheClaimForItsKind(): void
    {
        $example = Example::bucketFour()
            ->measures('A1-E1', 'installed_height', '1.400')->claims('kind-E', 'installed_height', '1.440')
            ->claims('A1-E1', 'installed_height', '1.402');
        self::assertEqualsWithDelta(-0.002, self::inches($example->bench(), 'A1-E1', 'installed_height_from_claim'), 1e-9);
    }

    public function testTheInnerSpringStandsLowerByTheStepOfItsRetainer(): void
    {
        $bench = Example::bucketFour()
            ->measures('A1-E1', 'installed_height', '1.440')->measures('A1-E1', 'inner_step', '0.060')
            ->measures('A1-E1', 'net_lift', '0.400')
            ->measures('A1-E1', 'bind_height', '0.900')->measures('A1-E1', 'bind_height', '0.930', coil: 'inner')->bench();
        self::assertEqualsWithDelta(0.140, self::inches($bench, 'A1-E1', 'travel_to_bind', 'outer'), 1e-9);
        self::assertEqualsWithDelta(0.050, self::inches($bench, 'A1-E1', 'travel_to_bind', 'inner'), 1e-9);
        self::assertArrayNotHasKey('production', $bench->margin('A1-E1', 'travel_to_bind', 'outer')->limit->schools ?? []);
    }

    public function testASealHeightTakenFromTheHeadLosesTheShims(): void
    {
        $bench = Example::bucketFour()
            ->measures('A1-E1', 'installed_height', '1.440')->measures('A1-E1', 'net_lift', '0.400')
            ->measures('A1-E1', 'retainer_depth', '0.200')
            ->measures('A1-E1', 'seal_height_from_head', '0.800')->measures('A1-E1', 'shims', '0.060')->bench();
        self::assertEqualsWithDelta(1.440 - 0.740 - 0.200 - 0.400, self::inches($bench, 'A1-E1', 'retainer_to_seal'), 1e-9);
    }

    public function testLoadsAreComparedAtEqualHeightsByWayOfTheRate(): void
    {
        $example = Example::pushrodEight()->claims('kind-E', 'load_seat', '130 lb', '1.800')
            ->measures('A1-E1', 'load_seat', '120 lb', '1.850')->measures('A1-E1', 'load_open', '320 lb', '1.350');
        $departure = $example->bench()->margin('A1-E1', 'load_from_claim')?->value();
        self::assertEqualsWithDelta(100 * (120 + 400 * 0.05 - 130) / 130, $departure?->base, 1e-9);
    }

    public function testTheMiddleValueNeedsFourComparableSprings(): void
    {
        $example = Example::pushrodEight();
        foreach (['A1-E1' => '120', 'A2-E1' => '118', 'A3-E1' => '122'] as $place => $load) {
            $example->measures($place, 'load_seat', $load, '1.800');
        }
        self::assertSame(Verdict::NotMeasured, $example->bench()->margin('A1-E1', 'load_from_middle')?->verdict);
        $example->measures('B1-I1', 'load_seat', '90', '1.800');
        $alone = $example->bench()->margin('A1-E1', 'load_from_middle');
        self::assertSame(Verdict::NotMeasured, $alone->verdict, 'An intake is not of the set.');
        $example->measures('B1-E1', 'load_seat', '80', '1.800');
        $weak = $example->bench()->margin('B1-E1', 'load_from_middle');
        self::assertNotNull($weak);
        self::assertEqualsWithDelta(100 * (80 - 119) / 119, $weak->value()?->base, 1e-9);
        self::assertSame(Verdict::Outside, $weak->verdict);
    }

    /** One tester reads everything high or low alike: that error must not make springs look unlike. */
    public function testTheTestersCommonErrorCancelsInADeparture(): void
    {
        $example = Example::pushrodEight();
        foreach (['A1-E1', 'A2-E1', 'A3-E1', 'A4-E1', 'B1-E1'] as $place) {
            $example->measures($place, 'load_seat', '120', '1.800');
        }
        $departure = $example->bench()->margin('A1-E1', 'load_from_middle')?->value();
        self::assertLessThan(0.7, $departure?->standard(), 'per cent; the tester alone is good for ±2 %');
    }

    public function testContradictingHeightsAreNamedNotComputed(): void
    {
        $example = Example::pushrodEight()->measures('A1-E1', 'load_seat', '120', '1.300')->measures('A1-E1', 'load_open', '320', '1.800');
        $rate = $example->bench()->value('A1-E1', 'rate', 'outer');
        self::assertInstanceOf(Missing::class, $rate);
        self::assertSame('The open height is not less than the seat height: one of the two test heights is wrong.', $rate->because);
    }

    public function testACoarserGaugeCanTurnAVerdictIntoCannotTell(): void
    {
        $with = static fn (string $height): Example => Example::bucketFour()
            ->measures('A1-E1', 'installed_height', '1.440')->measures('A1-E1', 'net_lift', '0.459')
            ->claims('kind-E', 'bind_height', $height);
        self::assertSame(Verdict::InsideClose, $with('0.920')->bench()->margin('A1-E1', 'travel_to_bind')?->verdict);
        self::assertSame(Verdict::CannotTell, $with('0.92')->bench()->margin('A1-E1', 'travel_to_bind')?->verdict);
    }
}
