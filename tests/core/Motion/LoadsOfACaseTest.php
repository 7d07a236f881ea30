<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\Calculations;
use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Cam\NoseSheet;
use MuteTapper\Core\Cause\Evidence;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Gas, nose, film and moving mass of a case: from its sheets, by its own drive, and what they tell the judgement. */
final class LoadsOfACaseTest extends TestCase
{
    private const AT = 'A1-E1';

    /** The nose of a lobe drawn with circles, lifted by a roller: its radius is found again. */
    public function testTheRadiusUnderARollerIsThatOfTheNoseItWasDrawnWith(): void
    {
        [$radius, $off, $roller] = [0.011, 0.012, 0.0095];
        $lift = static fn (float $degree): float => $off * cos(deg2rad($degree))
            + sqrt(($radius + $roller) ** 2 - ($off * sin(deg2rad($degree))) ** 2) - $roller;
        $step = 0.5;
        $bend = (2 * $lift(0) - $lift($step) - $lift(-$step)) / $step ** 2;
        $found = self::quick('nose-radius-under-roller', [
            'nose_height' => [$off + $radius, 'm'], 'bend' => [$bend, 'm/°²'], 'roller_diameter' => [2 * $roller, 'm'],
        ]);
        self::assertEqualsWithDelta($radius, $found->result->base, 1e-6);
    }

    /** 20 psi on 1.50 in less a stem of 0.310 in push 33.8 lb off a seat that carries 80. */
    public function testBackPressureTakesItsShareOfTheSeatLoad(): void
    {
        $bench = self::bucket()->claims('kind-E', 'port_pressure', '20 psi')->bench();
        self::assertEqualsWithDelta(33.83, self::given($bench, 'gas_force')->value->base / 4.4482216, 0.05);
        $margin = $bench->margin(self::AT, 'seat_load_left');
        self::assertSame(Verdict::Inside, $margin?->verdict);
        self::assertEqualsWithDelta(80 - 33.83, (float) $margin->value()?->base / 4.4482216, 0.1);
        self::assertEqualsWithDelta(80 / 33.83 * 20, self::given($bench, 'emptying_pressure')->value->base / 6894.757, 0.1);
        self::assertInstanceOf(Missing::class, $bench->value('A1-I1', 'gas_force'), 'Nothing was said of the intakes.');
    }

    public function testGasThatOutweighsTheSpringIsPresentToTheJudgement(): void
    {
        $p = static function (string $pressure): ?float {
            $bench = self::bucket()->claims('kind-E', 'port_pressure', $pressure)->bench();
            foreach (Evidence::gather($bench, Example::knowledge()) as $item) {
                if ($item->sign === 'seat_emptied') {
                    return $item->sites[self::AT] ?? null;
                }
            }

            return null;
        };
        self::assertGreaterThan(0.9, $p('60 psi'));
        self::assertLessThan(0.1, $p('20 psi'));
    }

    /** Flat face, nose of 0.310 in, 159 lb: Hertz by hand gives about 68 ksi, and inertia takes most of the load at speed. */
    public function testTheNoseUnderAFlatFace(): void
    {
        $bench = self::bucket()->bench();
        self::assertEqualsWithDelta(0.311, self::given($bench, 'nose_radius')->value->base / 0.0254, 0.003);
        $margin = $bench->margin(self::AT, 'sliding_nose_stress');
        self::assertSame(Verdict::Inside, $margin?->verdict);
        $byHand = sqrt(707 * 113e9 / (M_PI * 0.014 * 0.0079));
        self::assertEqualsWithDelta($byHand / 6.894757e6, (float) $margin->value()?->base / 6.894757e6, 1.0);
        self::assertLessThan(
            0.2 * self::given($bench, 'nose_force')->value->base, self::given($bench, 'nose_force_at_speed')->value->base,
        );
        self::assertSame([], $bench->marginsOf('rolling_nose_stress'), 'No roller runs on it.');
    }

    public function testACrownSharesTheLoadAndACrownedFaceWithoutAReadingTellsNothing(): void
    {
        $flat = self::bucket()->bench();
        $crowned = self::bucket('crowned');
        self::assertInstanceOf(Missing::class, $crowned->bench()->value(self::AT, 'sliding_nose_stress'));
        $bench = $crowned->tests(self::AT, 'follower_outside', '1.300')->tests(self::AT, 'face_crown', '0.0100')->bench();
        self::assertGreaterThan(
            self::given($flat, 'sliding_nose_stress')->value->base, self::given($bench, 'sliding_nose_stress')->value->base,
        );
    }

    public function testALostLoadBringsTheBoundBelowTheSpeed(): void
    {
        self::assertSame(Verdict::Inside, self::bucket()->bench()->margin(self::AT, 'bound_over_speed')?->verdict);
        $weak = self::bucket(seat: '46', open: '125')->bench()->margin(self::AT, 'bound_over_speed');
        self::assertSame(Verdict::Outside, $weak?->verdict);
        self::assertTrue(AllSheets::get()->judged['bound_over_speed']->accusesOnly, 'An upper bound promises nothing.');
    }

    /** Both springs of a valve count, and one of two alone counts for nothing. */
    public function testTwoSpringsCarryTogether(): void
    {
        $outer = self::given(self::bucket()->bench(), 'valve_open_load')->value->base;
        $example = self::bucket()->measures(self::AT, 'load_seat', '20', '1.440', 'inner');
        self::assertInstanceOf(Missing::class, $example->bench()->value(self::AT, 'valve_open_load'));
        $both = $example->measures(self::AT, 'load_open', '50', '1.030', 'inner')->measures(self::AT, 'inner_step', '0.000')->bench();
        self::assertEqualsWithDelta(50 * 4.4482216, self::given($both, 'valve_open_load')->value->base - $outer, 0.5);
    }

    /** A damper that was tested carries its share, beside one spring and beside two. */
    public function testADamperCarriesWithThem(): void
    {
        $newtons = static fn (Example $example, string $name): float => self::given($example->bench(), $name)->value->base;
        $alone = $newtons(self::bucket(), 'valve_open_load');
        $damped = self::bucket()->measures(self::AT, 'load_seat', '6', '1.440', 'damper')
            ->measures(self::AT, 'load_open', '11', '1.030', 'damper');
        self::assertEqualsWithDelta($alone + 11 * 4.4482216, $newtons($damped, 'valve_open_load'), 0.1);
        self::assertEqualsWithDelta(6 * 4.4482216, $newtons($damped, 'valve_seat_load') - $newtons(self::bucket(), 'valve_seat_load'), 0.1);
        $three = $damped->measures(self::AT, 'load_seat', '20', '1.440', 'inner')->measures(self::AT, 'load_open', '50', '1.030', 'inner')
            ->measures(self::AT, 'inner_step', '0.000');
        self::assertEqualsWithDelta($alone + 61 * 4.4482216, $newtons($three, 'valve_open_load'), 0.5);
    }

    public function testWhatAnEngineHasNotWeighsNothing(): void
    {
        $mass = self::given(self::bucket()->bench(), 'effective_mass');
        self::assertEqualsWithDelta(0.0446 + 0.0108 + 0.0021 + 0.058 / 3 + 0.0552, $mass->value->base, 1e-9);
        self::assertSame(Basis::Read, $mass->trace?->values->given['valve'][0]->basis);
        $pushrods = Example::pushrodEight();
        foreach (Train::MASSES as $column => $grams) {
            $pushrods->tests(self::AT, $column, $grams);
        }
        $guessed = self::given($pushrods->bench(), 'effective_mass');
        // A pushrod and a rocker that nobody weighed are guesses, and widen it.
        self::assertSame(Basis::Assumed, $guessed->trace?->values->given['pushrod'][0]->basis);
        self::assertGreaterThan(20 * $mass->value->standard(), $guessed->value->standard());
    }

    /** @return iterable<string, array{string, string}> */
    public static function phosphorus(): iterable
    {
        yield 'for race springs' => ['1150', 'Phosphorus 1150 ppm, wanted at least 1000 ppm: inside.'];
        yield 'a light grade for the road' => ['700', 'Phosphorus 700 ppm, wanted at least 1000 ppm: outside.'];
    }

    #[DataProvider('phosphorus')]
    public function testTheFilmSaysItsRegimeAndTheOilWhatItBrings(string $ppm, string $words): void
    {
        $bench = self::bucket()->claims('engine', 'oil_viscosity_40', '118')->claims('engine', 'oil_viscosity_100', '17.6')
            ->claims('engine', 'oil_temperature', '105 °C')->claims('engine', 'slow_speed', '1600')
            ->claims('engine', 'oil_phosphorus', $ppm)->tests(self::AT, 'lobe_roughness', '0.20')->tests(self::AT, 'face_roughness', '0.11')
            ->bench();
        $sheet = $bench->sheets->named('films');
        self::assertNotNull($sheet);
        $remarks = $bench->remarks($sheet);
        self::assertStringContainsString('Below about 1 the surfaces touch', $remarks[0]);
        self::assertSame($words, $remarks[1]);
        self::assertSame(Dimension::Film, self::given($bench, 'nose_film')->value->dimension);
    }

    public function testAFilmUnderRollersOrFingersIsNotAsked(): void
    {
        $roller = new Example(['layout' => 'vee', 'drive' => 'pushrod', 'face' => 'roller', 'cylinders' => 8]);
        $finger = new Example(['layout' => 'inline', 'drive' => 'finger', 'face' => 'crowned', 'cylinders' => 4]);
        self::assertFalse(AllSheets::get()->named('films')?->isFittedTo($roller->engine()));
        self::assertFalse(NoseSheet::declare()->isFittedTo($finger->engine()));
        self::assertTrue(NoseSheet::declare()->isFittedTo($roller->engine()));
    }

    private static function bucket(string $face = 'flat', string $seat = '80', string $open = '160'): Example
    {
        return Train::fill(Train::bucketFour($face), self::AT, $seat, $open);
    }

    private static function given(Bench $bench, string $name): Given
    {
        $value = $bench->value(self::AT, $name);
        self::assertInstanceOf(Given::class, $value, $name);

        return $value;
    }

    /** @param array<string, array{float, string}> $figures */
    private static function quick(string $name, array $figures): Trace
    {
        $calculation = Calculations::named($name);
        self::assertNotNull($calculation);

        return Calculations::run($calculation, Node::root(array_map(
            static fn (array $one): array => ['number' => $one[0], 'unit' => $one[1]], $figures,
        )));
    }
}
