<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Spring;

use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Spring\SheetColumn as C;
use MuteTapper\Core\Spring\SpringAssessor;
use MuteTapper\Core\Spring\SpringSheet;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

final class SpringAssessorTest extends TestCase
{
    private static function sheet(Example $example): SpringSheet
    {
        return SpringAssessor::assess($example->case(), Example::knowledge()->limits);
    }

    private static function inches(SpringSheet $sheet, string $place, string $quantity, ?string $coil = null): float
    {
        $value = $sheet->margin($place, $quantity, $coil)?->value();
        self::assertNotNull($value, $quantity.' was not derived');

        return $value->quantity()->in(Unit::Inch);
    }

    public function testAMarginNamesWhatIsMissing(): void
    {
        $margin = self::sheet(Example::pushrodEight()->measures('A1-E1', C::InstalledHeight, '1.800'))->margin('A1-E1', 'travel_to_bind');
        self::assertSame(Verdict::NotMeasured, $margin?->verdict);
        self::assertSame(['net lift', 'bind height'], $margin->missing);
    }

    public function testTravelToBindFromTheLobe(): void
    {
        $sheet = self::sheet(Example::pushrodEight()
            ->measures('A1-E1', C::InstalledHeight, '1.800')->measures('A1-E1', C::BindHeight, '1.120')
            ->measures('A1-E1', C::LobeLift, '0.400')->measures('A1-E1', C::Lash, '0.016'));
        self::assertEqualsWithDelta(1.800 - (0.400 * 1.5 - 0.016) - 1.120, self::inches($sheet, 'A1-E1', 'travel_to_bind'), 1e-9);
    }

    public function testAMeasuredRatioBeatsTheNominalOne(): void
    {
        $example = Example::pushrodEight()->measures('A1-E1', C::LobeLift, '0.400')->measures('A1-E1', C::Lash, '0.010')->measures('A1-E1', C::Ratio, '1.56');
        self::assertEqualsWithDelta(0.614, self::sheet($example)->derived['A1-E1']['net_lift']->result->quantity()->in(Unit::Inch), 1e-9);
    }

    public function testHydraulicLiftHasNoLash(): void
    {
        $example = Example::hydraulicRollerEight()->measures('A1-E1', C::LobeLift, '0.350');
        self::assertEqualsWithDelta(0.56, self::sheet($example)->derived['A1-E1']['net_lift']->result->quantity()->in(Unit::Inch), 1e-9);
    }

    public function testWhatWasClaimedFillsInForWhatWasNotMeasuredAndSaysSo(): void
    {
        $sheet = self::sheet(Example::bucketFour()->measures('A1-I1', C::InstalledHeight, '1.440')->claims('kind-I', C::BindHeight, '0.925')->claims('kind-I', C::NetLift, '0.41'));
        $margin = $sheet->margin('A1-I1', 'travel_to_bind');
        self::assertEqualsWithDelta(0.105, self::inches($sheet, 'A1-I1', 'travel_to_bind'), 1e-9);
        self::assertSame('as claimed, known', $margin?->trace?->values->given['bind_height'][0]->origin);
        $shares = $margin->trace->shares();
        arsort($shares);
        self::assertSame('net_lift', array_key_first($shares), 'A figure quoted to two decimals is the weakest input.');
    }

    public function testAClaimForOneStationGoesBeforeTheClaimForItsKind(): void
    {
        $example = Example::bucketFour()->measures('A1-E1', C::InstalledHeight, '1.400')->claims('kind-E', C::InstalledHeight, '1.440')->claims('A1-E1', C::InstalledHeight, '1.402');
        self::assertEqualsWithDelta(-0.002, self::inches(self::sheet($example), 'A1-E1', 'installed_height_from_claim'), 1e-9);
    }

    public function testTheInnerSpringStandsLowerByTheStepOfItsRetainer(): void
    {
        $sheet = self::sheet(Example::bucketFour()->measures('A1-E1', C::InstalledHeight, '1.440')->measures('A1-E1', C::InnerStep, '0.060')->measures('A1-E1', C::NetLift, '0.400')
            ->measures('A1-E1', C::BindHeight, '0.900')->measures('A1-E1', C::BindHeight, '0.930', coil: 'inner'));
        self::assertEqualsWithDelta(0.140, self::inches($sheet, 'A1-E1', 'travel_to_bind', 'outer'), 1e-9);
        self::assertEqualsWithDelta(0.050, self::inches($sheet, 'A1-E1', 'travel_to_bind', 'inner'), 1e-9);
        self::assertArrayNotHasKey('production', $sheet->margin('A1-E1', 'travel_to_bind', 'outer')->limit->schools ?? []);
    }

    public function testASealHeightTakenFromTheHeadLosesTheShims(): void
    {
        $sheet = self::sheet(Example::bucketFour()->measures('A1-E1', C::InstalledHeight, '1.440')->measures('A1-E1', C::NetLift, '0.400')->measures('A1-E1', C::RetainerDepth, '0.200')
            ->measures('A1-E1', C::SealHeightFromHead, '0.800')->measures('A1-E1', C::Shims, '0.060'));
        self::assertEqualsWithDelta(1.440 - 0.740 - 0.200 - 0.400, self::inches($sheet, 'A1-E1', 'retainer_to_seal'), 1e-9);
    }

    public function testLoadsAreComparedAtEqualHeightsByWayOfTheRate(): void
    {
        $example = Example::pushrodEight()->claims('kind-E', C::SeatLoad, '130 lb', '1.800')
            ->measures('A1-E1', C::SeatLoad, '120 lb', '1.850')->measures('A1-E1', C::OpenLoad, '320 lb', '1.350');
        $departure = self::sheet($example)->margin('A1-E1', 'load_from_claim')?->value();
        self::assertEqualsWithDelta(100 * (120 + 400 * 0.05 - 130) / 130, $departure?->base, 1e-9);
    }

    public function testTheMiddleValueNeedsFourComparableSprings(): void
    {
        $example = Example::pushrodEight();
        foreach (['A1-E1' => '120', 'A2-E1' => '118', 'A3-E1' => '122'] as $place => $load) {
            $example->measures($place, C::SeatLoad, $load, '1.800');
        }
        self::assertSame(Verdict::NotMeasured, self::sheet($example)->margin('A1-E1', 'load_from_middle')?->verdict);
        $example->measures('B1-I1', C::SeatLoad, '90', '1.800');
        $alone = self::sheet($example)->margin('A1-E1', 'load_from_middle');
        self::assertSame(Verdict::NotMeasured, $alone->verdict, 'An intake is not of the set.');
        $example->measures('B1-E1', C::SeatLoad, '80', '1.800');
        $weak = self::sheet($example)->margin('B1-E1', 'load_from_middle');
        self::assertNotNull($weak);
        self::assertEqualsWithDelta(100 * (80 - 119) / 119, $weak->value()?->base, 1e-9);
        self::assertSame(Verdict::Outside, $weak->verdict);
    }

    /** One tester reads everything high or low alike: that error must not make springs look unlike. */
    public function testTheTestersCommonErrorCancelsInADeparture(): void
    {
        $example = Example::pushrodEight();
        foreach (['A1-E1', 'A2-E1', 'A3-E1', 'A4-E1', 'B1-E1'] as $place) {
            $example->measures($place, C::SeatLoad, '120', '1.800');
        }
        $departure = self::sheet($example)->margin('A1-E1', 'load_from_middle')?->value();
        self::assertLessThan(0.7, $departure?->standard(), 'per cent; the tester alone is good for ±2 %');
    }

    public function testContradictingHeightsAreNamedNotComputed(): void
    {
        $example = Example::pushrodEight()->measures('A1-E1', C::SeatLoad, '120', '1.300')->measures('A1-E1', C::OpenLoad, '320', '1.800');
        self::assertArrayNotHasKey('rate.outer', self::sheet($example)->derived['A1-E1'] ?? []);
    }

    public function testACoarserGaugeCanTurnAVerdictIntoCannotTell(): void
    {
        $with = static fn (string $height): Example => Example::bucketFour()->measures('A1-E1', C::InstalledHeight, '1.440')->measures('A1-E1', C::NetLift, '0.459')->claims('kind-E', C::BindHeight, $height);
        self::assertSame(Verdict::InsideClose, self::sheet($with('0.920'))->margin('A1-E1', 'travel_to_bind')?->verdict);
        self::assertSame(Verdict::CannotTell, self::sheet($with('0.92'))->margin('A1-E1', 'travel_to_bind')?->verdict);
    }
}
