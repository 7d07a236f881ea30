<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\SolvedAtOnce;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\MeasuredLift;
use MuteTapper\Core\Motion\CamCard;
use MuteTapper\Core\Motion\LiftTable;
use MuteTapper\Core\Motion\LobeCurve;
use MuteTapper\Core\Motion\Movement;
use MuteTapper\Core\Motion\Threshold;
use MuteTapper\Core\Motion\ValveTrain;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Lobes turned under an indicator: a card’s lobe, measured with a gauge’s noise, says what its card says. */
final class MeasuredLiftTest extends TestCase
{
    private const AT = 'A1-E1';
    private const CARD = ['card_high_duration' => '255', 'card_low_duration' => '288', 'ramp_height' => '0.010', 'ramp_rate' => '0.0004'];
    private const GAUGE = [
        'code' => 'dial_indicator', 'label' => 'indicator', 'unit' => 'in', 'stated' => '± 0.0005 in', 'repeat' => 0.0005,
    ];

    public function testAMeasuredLobeFloatsWhereItsCardSaysAndIsKnownBetter(): void
    {
        $card = self::float(self::train()->bench(new SolvedAtOnce()));
        $table = self::float(self::train(false)->records(...self::table('kind-E'))->bench(new SolvedAtOnce()));
        self::assertEqualsWithDelta($card->value->base, $table->value->base, 0.02 * $card->value->base);
        self::assertSame('float-speed-by-table', $table->trace?->calculation->name());
        self::assertArrayNotHasKey('what a card leaves open of its lobe', $table->trace->result->contributions);
        self::assertLessThan(self::open($card), self::open($table));
    }

    public function testATableGoesBeforeTheCardAndThatOfTheLobeBeforeThatOfItsKind(): void
    {
        $bench = self::train()->records(...self::table('kind-E'))->records(...self::table(self::AT, 0.96))->bench(new SolvedAtOnce());
        self::assertSame([self::AT, 'kind-E'], [$bench->lift(self::AT)[0] ?? null, $bench->lift('A2-E1')[0] ?? null]);
        self::assertNull($bench->lift('A1-I1'));
        self::assertGreaterThan(self::lobe($bench, self::AT)->peak(), self::lobe($bench, 'A2-E1')->peak());
    }

    /** @return iterable<string, array{\Closure(int): float, string}> degree of the wheel by degree of the cam */
    public static function wheels(): iterable
    {
        yield 'from a mark on the base circle' => [static fn (int $cam): float => $cam + 180.0, 'cam'];
        yield 'past the mark of a full turn' => [static fn (int $cam): float => fmod($cam + 350.0, 360.0), 'cam'];
        yield 'turned backwards' => [static fn (int $cam): float => 90.0 - $cam, 'cam'];
        yield 'a wheel on the crank' => [static fn (int $cam): float => 2.0 * $cam, 'crank'];
    }

    /** @param \Closure(int): float $degree */
    #[DataProvider('wheels')]
    public function testTheWheelMayBeReadAsItCame(\Closure $degree, string $wheel): void
    {
        $points = array_map(static fn (array $point): array => [$degree((int) $point[0]), $point[1]], self::points());
        $lobe = LiftTable::of(MeasuredLift::fromNode(Node::root(['points' => $points, 'wheel' => $wheel] + self::of())));
        $straight = LiftTable::of(MeasuredLift::fromNode(Node::root(['points' => self::points(), 'wheel' => 'cam'] + self::of())));
        self::assertEqualsWithDelta($straight->peak(), $lobe->peak(), 2e-6);
        self::assertEqualsWithDelta($straight->of(-40.0)[0], $lobe->of(-40.0)[0], 2e-5);
    }

    public function testTheLiftOfATableIsThatOfTheLobeUntilItIsRead(): void
    {
        $lift = self::train(false)->records(...self::table('kind-E'))->bench()->value('A2-E1', 'lobe_lift');
        self::assertInstanceOf(Given::class, $lift);
        self::assertSame(Basis::Read, $lift->basis);
        self::assertEqualsWithDelta(0.4202, $lift->value->quantity()->in(Unit::Inch), 0.0006);
    }

    public function testAnotherLiftIsTriedWithTheMeasuredShape(): void
    {
        $bench = self::train(false)->records(...self::table('kind-E'))->bench();
        $tried = $bench->with(Change::none()->setting([self::AT], 'lobe_lift', Quantity::of(0.450, Unit::Inch)));
        self::assertEqualsWithDelta(0.450 * 0.0254, self::lobe($tried, self::AT)->peak(), 1e-9);
        self::assertEqualsWithDelta(0.4202 * 0.0254, self::lobe($bench, self::AT)->peak(), 1.5e-5);
    }

    /** A lobe from elsewhere brings its own lift along, and one off the shelf has none but its card’s. */
    public function testALobeThatIsTakenFromElsewhereBringsItsOwnLift(): void
    {
        $bench = self::train()->records(...self::table('kind-E'))->records(...self::table(self::AT, 0.96))->bench();
        $from = static fn (string $place): ?string => $bench->with(Change::none()->taking([self::AT], 'lobe', $place))
            ->lift(self::AT)[0] ?? null;
        self::assertSame('kind-E', $from('A2-E1'));
        self::assertNull($from('shelf-lobes-late'));
    }

    /** A table that begins and ends on the ramp leaves no step there: its bend is greatest where the card’s is, on the flanks. */
    public function testATableThatEndsOnTheRampRunsOutToTheBaseCircle(): void
    {
        $points = array_values(array_filter(self::points(), static fn (array $point): bool => abs($point[0]) <= 88));
        self::assertGreaterThan(0.005, $points[0][1], 'it begins on the ramp');
        $lobe = LiftTable::of(MeasuredLift::fromNode(Node::root(['points' => $points, 'wheel' => 'cam'] + self::of())));
        $card = self::card()->curve();
        self::assertLessThan(1.4 * max($card->bend), max($lobe->bend));
        foreach ([-100.0, -88.0, 88.0, 100.0] as $degree) {
            self::assertEqualsWithDelta($card->of($degree)[0], $lobe->of($degree)[0], 4e-5, sprintf('at %d°', $degree));
        }
    }

    /** The bound of a stiff train is that of the card, though the bend of a measured lobe is noisy in every single degree. */
    public function testNoiseInSingleDegreesDoesNotMoveTheBound(): void
    {
        $train = static fn (LobeCurve $lobe): ValveTrain => Lobes::bucket(90, 265)->withLobe($lobe);
        $measured = LiftTable::of(MeasuredLift::fromNode(Node::root(['points' => self::points(1.0, 1), 'wheel' => 'cam'] + self::of())));
        $card = Threshold::bound($train(self::card()->curve()));
        self::assertEqualsWithDelta($card, Threshold::bound($train($measured)), 0.08 * $card);
        $float = Threshold::floatSpeed($train(self::card()->curve())) ?? 0.0;
        self::assertEqualsWithDelta($float, Threshold::floatSpeed($train($measured)), 0.015 * $float);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        yield 'no points' => [['points' => []], 'the table is empty'];
        yield 'one number' => [['points' => [[1]]], 'a point is a degree and a lift'];
        yield 'a lift of an inch' => [['points' => [[1, 1.2]]], 'no lobe lifts so'];
        yield 'a wheel of no shaft' => [['wheel' => 'flywheel'], 'flywheel'];
        yield 'lifts in pounds' => [['liftUnit' => 'lbf'], 'a lift is a length'];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('bad')]
    public function testABadTableIsNamedByItsFault(array $with, string $words): void
    {
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessage($words);
        MeasuredLift::fromNode(Node::root($with + ['points' => self::points(), 'wheel' => 'cam'] + self::of()));
    }

    private static function train(bool $hasCard = true): Example
    {
        $example = new Example([
            'layout' => 'inline', 'drive' => 'bucket', 'face' => 'flat', 'lash' => 'solid', 'cylinders' => 4, 'intended_speed' => 9200.0,
        ]);
        foreach ([self::AT, 'A2-E1'] as $place) {
            foreach (Train::MASSES as $column => $text) {
                $example->tests($place, $column, $text);
            }
            $example->measures($place, 'load_seat', '80', '1.440')->measures($place, 'load_open', '160', '1.030')
                ->tests($place, 'installed_height', '1.440')->tests($place, 'net_lift', '0.410')->tests($place, 'lash', '0.0095');
        }
        foreach ($hasCard ? self::CARD : [] as $column => $text) {
            $example->claims('kind-E', $column, $text);
        }

        return $hasCard ? $example->claims('kind-E', 'lobe_lift', '0.4202') : $example;
    }

    /** @return array{EntryKind, \MuteTapper\Core\Entry\Slot, array<string, mixed>} */
    private static function table(string $place, float $times = 1.0): array
    {
        return [EntryKind::Lift, MeasuredLift::slot($place), ['points' => self::points($times), 'wheel' => 'cam'] + self::of()];
    }

    /** @return array<string, mixed> */
    private static function of(): array
    {
        return ['liftUnit' => 'in', 'gauge' => self::GAUGE];
    }

    private static function card(): CamCard
    {
        $inch = Lobes::INCH;

        return CamCard::of(0.4202 * $inch, 0.050 * $inch, 255 / 4, 0.020 * $inch, 288 / 4, 0.010 * $inch, 0.0004 * $inch);
    }

    /** @return list<array{int, float}> cam degree and inches, with the noise of an indicator */
    private static function points(float $times = 1.0, int $step = 2): array
    {
        $card = self::card();
        mt_srand(11);

        return array_map(static fn (int $degree): array => [
            $degree, round($times * $card->lift($degree) / Lobes::INCH + 0.0002 * (mt_rand(-1000, 1000) / 1000), 4),
        ], range(-94, 94, $step));
    }

    private static function float(Bench $bench): Given
    {
        $float = $bench->value(self::AT, 'float_speed');
        self::assertInstanceOf(Given::class, $float, $float instanceof Missing ? ($float->because ?? '').implode(', ', $float->what) : '');

        return $float;
    }

    private static function open(Given $float): float
    {
        $own = array_filter(
            $float->trace->result->contributions ?? [], static fn (string $name): bool => str_contains($name, 'leaves open'),
            ARRAY_FILTER_USE_KEY,
        );

        return array_sum(array_map(static fn ($one): float => is_float($one) ? $one : 0.0, $own));
    }

    private static function lobe(Bench $bench, string $place): LobeCurve
    {
        $lobe = (new Movement($place, $bench))->lobe();
        self::assertInstanceOf(LobeCurve::class, $lobe);

        return $lobe;
    }
}
