<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Head;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Guide\CutTarget;
use MuteTapper\Core\Head\HighestLift;
use MuteTapper\Core\Head\Stack;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;
use MuteTapper\Core\Sheet\Slider;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Verdict\Margin;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The stack of one valve, and what is tried in it. */
final class StackTest extends TestCase
{
    private const PLACE = 'A1-E1';

    private static function example(): Example
    {
        $example = Example::pushrodEight();
        foreach ([
            'installed_height' => '1.842', 'net_lift' => '0.590', 'bind_height' => '1.120', 'seal_height' => '0.900',
            'guide_height' => '0.640', 'retainer_depth' => '0.285', 'locator_thickness' => '0.060', 'shim_stack' => '0.030',
            'seal_depth' => '0.300', 'lobe_lift' => '0.4', 'ratio' => '1.5', 'lash' => '0.010',
        ] as $column => $text) {
            $example = $example->measures(self::PLACE, $column, $text);
        }

        return $example;
    }

    /** By hand: seal 1.842 − 0.900 − 0.285 − 0.590 = 0.067, guide 0.327, bind 1.842 − 0.590 − 1.120 = 0.132. */
    public function testTheHighestLiftIsThatAtWhichTheFirstLimitIsMet(): void
    {
        $bench = self::example()->bench();
        $limits = HighestLift::at(self::PLACE, $bench);
        self::assertSame(
            ['retainer_to_seal', 'travel_to_bind', 'retainer_to_guide'],
            array_map(static fn (HighestLift $one): string => $one->margin->quantity(), $limits),
        );
        foreach ([0.590 + 0.067 - 0.050, 0.590 + 0.132 - 0.060, 0.590 + 0.327 - 0.050] as $i => $inches) {
            self::assertEqualsWithDelta($inches, $limits[$i]->lift->quantity()->in(Unit::Inch), 1e-9);
        }
        // The lift itself drops out: what is left of it is as uncertain as the heights alone.
        self::assertEqualsWithDelta(sqrt(3) * 0.001 / sqrt(3), $limits[0]->lift->standard() / 0.0254, 1e-6);
        // At that lift the limit is met, no more and no less.
        foreach ($limits as $one) {
            $there = $bench->with(Change::none()->setting([self::PLACE], 'net_lift', $one->lift->quantity()));
            $margin = $there->margin(self::PLACE, $one->margin->quantity()) ?? self::fail('No margin.');
            self::assertEqualsWithDelta($margin->limit->value()->base, (float) $margin->value()?->base, 1e-9);
        }
    }

    /** @return iterable<string, array{string, float, array<string, float>}> what is tried, by how much, and what each margin gains by hand */
    public static function tried(): iterable
    {
        yield 'a thicker shim lets the retainer stand where it is' => [
            'shim_stack', 0.015, ['retainer_to_seal' => 0.0, 'retainer_to_guide' => 0.0, 'travel_to_bind' => -0.015],
        ];
        yield 'no locator' => [
            'locator_thickness', -0.060, ['retainer_to_seal' => 0.0, 'retainer_to_guide' => 0.0, 'travel_to_bind' => 0.060],
        ];
        yield 'a lower guide takes its seal along' => [
            'guide_cut', 0.040, ['retainer_to_seal' => 0.040, 'retainer_to_guide' => 0.040, 'travel_to_bind' => 0.0],
        ];
        yield 'a longer valve' => [
            'longer_valve', 0.050, ['retainer_to_seal' => 0.050, 'retainer_to_guide' => 0.050, 'travel_to_bind' => 0.050],
        ];
        yield 'more lift' => ['net_lift', 0.020, ['retainer_to_seal' => -0.020, 'retainer_to_guide' => -0.020, 'travel_to_bind' => -0.020]];
        yield 'a higher ratio' => ['ratio', 0.1, ['retainer_to_seal' => -0.040, 'retainer_to_guide' => -0.040, 'travel_to_bind' => -0.040]];
    }

    /** @param array<string, float> $gained */
    #[DataProvider('tried')]
    public function testWhatIsTriedMovesWhatFollowsFromItAndNothingElse(string $name, float $by, array $gained): void
    {
        $bench = self::example()->bench();
        $tried = $bench->with(self::by($bench, $name, $by));
        foreach ($gained as $quantity => $inches) {
            self::assertEqualsWithDelta($inches, self::margin($tried, $quantity) - self::margin($bench, $quantity), 1e-9, $quantity);
        }
        foreach ($bench->case->engine->stations as $station) {
            if ($station->code() !== self::PLACE) {
                $verdict = static fn (Bench $one): ?Verdict => $one->margin($station->code(), 'retainer_to_seal')?->verdict;
                self::assertSame($verdict($bench), $verdict($tried));
            }
        }
    }

    /** A slider at its own value changes nothing, and a change and its undo leave every figure as it was. */
    #[DataProvider('tried')]
    public function testAChangeAndItsUndoLeaveEveryFigureAsItWas(string $name, float $by): void
    {
        $bench = self::example()->bench();
        $found = $bench->value(self::PLACE, $name);
        self::assertInstanceOf(Given::class, $found);
        $still = $bench->with(Change::none()->setting([self::PLACE], $name, $found->value->quantity()));
        $undone = $bench->with(self::by($bench, $name, $by)->setting([self::PLACE], $name, $found->value->quantity()));
        foreach (['retainer_to_seal', 'retainer_to_guide', 'travel_to_bind'] as $quantity) {
            self::assertEqualsWithDelta(self::margin($bench, $quantity), self::margin($still, $quantity), 1e-12);
            self::assertEqualsWithDelta(self::margin($bench, $quantity), self::margin($undone, $quantity), 1e-12);
        }
    }

    /** What nobody measured but the card claims moves with what is tried as well, and is no measurement by that. */
    public function testAClaimMovesWithWhatIsTried(): void
    {
        $example = Example::pushrodEight()->claims(self::PLACE, 'installed_height', '1.900')->measures(self::PLACE, 'shims', '0.060');
        $tried = $example->bench()->with(Change::none()->setting([self::PLACE], 'shims', Quantity::of(0.030, Unit::Inch)));
        $height = $tried->value(self::PLACE, 'installed_height');
        self::assertInstanceOf(Given::class, $height);
        self::assertEqualsWithDelta(1.930, $height->value->quantity()->in(Unit::Inch), 1e-9);
        self::assertSame(Basis::Changed, $height->basis);
        $other = $tried->value('A2-E1', 'installed_height');
        self::assertNotInstanceOf(Given::class, $other);
    }

    /** The card says 0.600 although its own lobe, ratio and lash make 0.590: what is tried moves what it says, and does not take its place. */
    public function testAClaimKeepsItsLevelWhereOnlyClaimsWouldMakeAnother(): void
    {
        $example = Example::pushrodEight();
        foreach (['net_lift' => '0.600', 'lobe_lift' => '0.400', 'ratio' => '1.5', 'lash' => '0.010'] as $column => $text) {
            $example = $example->claims(self::PLACE, $column, $text);
        }
        $tried = $example->bench()->with(Change::none()->setting([self::PLACE], 'ratio', Quantity::of(1.6, Unit::One)));
        $lift = $tried->value(self::PLACE, 'net_lift');
        self::assertInstanceOf(Given::class, $lift);
        self::assertEqualsWithDelta(0.640, $lift->value->quantity()->in(Unit::Inch), 1e-9);
    }

    public function testOnlyWhatIsKnownIsTriedAndOfTwoThatAreOneTheFirst(): void
    {
        $names = static fn (Example $example): array => array_map(
            static fn (array $one): string => $one[0]->name, (new Stack(self::PLACE, $example->bench()))->tried(),
        );
        self::assertSame(
            ['guide_cut', 'shim_stack', 'locator_thickness', 'longer_valve', 'lock_offset', 'net_lift', 'ratio'], $names(self::example()),
        );
        $least = Example::pushrodEight()->measures(self::PLACE, 'shims', '0.060')->measures(self::PLACE, 'net_lift', '0.590');
        self::assertSame(['guide_cut', 'shims', 'longer_valve', 'lock_offset', 'net_lift'], $names($least));
        self::assertSame(['guide_cut', 'longer_valve', 'lock_offset'], $names(Example::bucketFour()));
    }

    public function testASliderHoldsWhatWasFoundEvenBeyondItsEnds(): void
    {
        $inch = static fn (float $inches): float => Quantity::of($inches, Unit::Inch)->base;
        $slider = Slider::between(0, 0.12);
        self::assertSame([0.0, $inch(0.12)], [$slider->from($inch(0.06)), $slider->to($inch(0.06))]);
        self::assertSame($inch(0.2), $slider->to($inch(0.2)));
        self::assertSame($inch(-0.01), $slider->from($inch(-0.01)));
        $around = Slider::around(0.1, 0.15);
        self::assertEqualsWithDelta($inch(0.49), $around->from($inch(0.5904)), 1e-12);
        self::assertEqualsWithDelta($inch(0.74), $around->to($inch(0.5904)), 1e-12);
    }

    /** By hand: 0.067 to the seal is enough for now, and 0.063 short for 0.080 more lift; the guide has 0.327, and stays clear. */
    public function testAGuideIsCutByWhatIsShortOfTheLimit(): void
    {
        $bench = self::example()->bench();
        [$now] = CutTarget::on($bench, Quantity::difference(0.0, Dimension::Length));
        self::assertSame(0.0, $now->cut->base);
        [$more] = CutTarget::on($bench, Quantity::difference(0.080 * 0.0254, Dimension::Length));
        self::assertEqualsWithDelta(0.063, $more->cut->base / 0.0254, 1e-9);
        self::assertEqualsWithDelta(0.640 - 0.063, $more->topAfter->base / 0.0254, 1e-9);
        foreach ($more->after as $margin) {
            self::assertGreaterThanOrEqual(-1e-12, $margin->limit->distanceInside((float) $margin->value()?->base));
        }
        // 0.577 above the spring's face and 0.090 under it: the seal sits 0.300 deep on what is left.
        self::assertEqualsWithDelta(0.577 + 0.090 - 0.300, (float) $more->seatedLeft?->base / 0.0254, 1e-9);
        self::assertSame([], CutTarget::on(Example::bucketFour()->bench(), Quantity::difference(0.0, Dimension::Length)));
    }

    /** Above the rim of its pocket a spring has no wall around it: then the locator decides. */
    public function testLocatorAndShimsDecideWhichFitCounts(): void
    {
        $fit = static function (?string $depth): ?Margin {
            $example = self::example()
                ->measures(self::PLACE, 'pocket_diameter', '1.571')->measures(self::PLACE, 'outside_diameter', '1.569');
            $example = $depth === null ? $example : $example->measures(self::PLACE, 'pocket_depth', $depth);

            return $example->bench()->margin(self::PLACE, 'spring_in_pocket');
        };
        self::assertSame(Verdict::Outside, $fit('0.200')?->verdict);
        self::assertSame(Verdict::NotMeasured, $fit('0.040')?->verdict);
        self::assertStringContainsString('only the locator must fit', (string) $fit('0.040')->because);
        self::assertSame(Verdict::Outside, $fit(null)?->verdict, 'The depth is not known: it counts.');
    }

    /** Every value that can be tried says how, and none that cannot be known at all. */
    public function testWhatCanBeTriedIsDeclared(): void
    {
        foreach ((new Stack(self::PLACE, self::example()->bench()))->tried() as [$value]) {
            self::assertInstanceOf(Value::class, $value);
            self::assertInstanceOf(Slider::class, $value->column?->slider, $value->name);
        }
    }

    private static function by(Bench $bench, string $name, float $by): Change
    {
        $dimension = $bench->sheets->value($name)->dimension;
        $unit = $dimension === Dimension::Length ? Unit::Inch : Unit::One;

        return Change::none()->adding([self::PLACE], $name, Quantity::difference($by * $unit->baseFactor(), $dimension));
    }

    /** In inches. */
    private static function margin(Bench $bench, string $quantity): float
    {
        $value = $bench->margin(self::PLACE, $quantity)?->value() ?? self::fail($quantity.' is not known');

        return $value->quantity()->in(Unit::Inch);
    }
}
