<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\LongCalculation;
use MuteTapper\Core\Calculation\Solution;
use MuteTapper\Core\Calculation\Solutions;
use MuteTapper\Core\Calculation\SolvedAtOnce;
use MuteTapper\Core\Cause\Evidence;
use MuteTapper\Core\Cause\RankedCause;
use MuteTapper\Core\Motion\Movement;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** The moving train in a case: what it is made of, when it floats, and what that tells the judgement. */
final class SpeedsOfACaseTest extends TestCase
{
    private const AT = 'A1-E1';

    private static ?SolvedAtOnce $solved = null;

    public function testTheTrainIsMadeOfWhatWasReadStatedAndAssumed(): void
    {
        $bench = self::train()->bench(self::solved());
        $float = $bench->value(self::AT, 'float_speed');
        self::assertInstanceOf(Given::class, $float);
        self::assertSame(Basis::Read, $float->basis);
        self::assertEqualsWithDelta(9746, $float->value->base, 3);
        // A card’s shape and a stiffness that nobody measured are worth most of it.
        self::assertEqualsWithDelta(1205, 2 * $float->value->standard(), 40);
        $shares = $float->trace?->shares() ?? [];
        arsort($shares);
        self::assertSame('stiffness', array_key_first($shares));
        self::assertNotNull($float->trace);
        self::assertArrayHasKey('surge of the spring', $float->trace->result->contributions);
        self::assertLessThan($float->value->base, self::base($bench, 'first_loss_speed'));
    }

    public function testOfAPartThatAnEngineHasNotNothingIsTried(): void
    {
        $tried = static fn (Example $of): array => array_map(
            static fn (array $one): string => $one[0]->name, (new Movement(self::AT, $of->bench()))->tried(),
        );
        $finger = new Example(['layout' => 'inline', 'drive' => 'finger', 'face' => 'roller', 'lash' => 'hydraulic', 'cylinders' => 4]);
        self::assertContains('valve_mass', $tried($finger));
        self::assertNotContains('follower_mass', $tried($finger));
        self::assertContains('follower_mass', $tried(self::train()));
    }

    public function testAStatedStiffnessNarrowsIt(): void
    {
        $bench = self::train()->claims('engine', 'train_stiffness', '7000 N/mm')->bench(self::solved());
        $float = $bench->value(self::AT, 'float_speed');
        self::assertInstanceOf(Given::class, $float);
        self::assertEqualsWithDelta(9746, $float->value->base, 3);
        self::assertLessThan(1160, 2 * $float->value->standard());
    }

    public function testItIsJudgedAgainstTheHighestSpeed(): void
    {
        $verdict = static fn (string $speed): ?Verdict => self::train($speed)->bench(self::solved())
            ->margin(self::AT, 'float_margin')?->verdict;
        self::assertSame(Verdict::Inside, $verdict('7400'));
        self::assertSame(Verdict::CannotTell, $verdict('9400'));
        self::assertSame(Verdict::Outside, $verdict('11500'));
    }

    public function testWhatIsNotWorkedOutIsMissingAndDeniesNothing(): void
    {
        $bench = self::train('11500')->bench();
        $missing = $bench->value(self::AT, 'float_speed');
        self::assertInstanceOf(Missing::class, $missing);
        self::assertSame('The Speed of float is not worked out yet.', $missing->because);
        self::assertArrayNotHasKey(self::AT, self::sites($bench, 'floats_at_its_speed'));
    }

    public function testTheSameFiguresAreSolvedOnce(): void
    {
        $solutions = new class implements Solutions {
            /** @var list<string> */
            public array $asked = [];

            public function of(LongCalculation $calculation, array $figures): Solution
            {
                $this->asked[] = $calculation->name();

                return Solution::of(9000.0, ['mass' => -1e4], []);
            }
        };
        $bench = self::train()->bench($solutions);
        self::base($bench, 'float_speed');
        self::base($bench, 'float_speed');
        self::assertSame(['float-speed'], $solutions->asked);
    }

    public function testFloatAtTheHighestSpeedIsPresentToTheJudgement(): void
    {
        self::assertGreaterThan(0.95, self::sites(self::train('11500')->bench(self::solved()), 'floats_at_its_speed')[self::AT] ?? 0.0);
        self::assertLessThan(0.05, self::sites(self::train('7400')->bench(self::solved()), 'floats_at_its_speed')[self::AT] ?? 1.0);
    }

    public function testTheSpeedTurnsTheRanking(): void
    {
        $weight = static function (string $speed): float {
            $case = self::train($speed)->sees(self::AT, 'seat', 'seat_hammer', 2)->case();
            $ranking = Assessment::of($case, Example::knowledge(), self::solved())->ranking();

            return self::weightOf('over_speed', $ranking->causes) + self::weightOf('wrong_spring', $ranking->causes);
        };
        self::assertGreaterThan(1.5 * $weight('7400'), $weight('11500'));
    }

    /** Ten thou to bind, and no loft to eat them: the coils did not meet. Loft that eats them says that they did. */
    public function testLoftStandsInThePlaceOfTheRunningAllowance(): void
    {
        $p = static function (string $speed, ?SolvedAtOnce $solved): float {
            $example = self::train($speed)->tests(self::AT, 'bind_height', '1.010', 'outer');

            return self::sites($solved === null ? $example->bench() : $example->bench($solved), 'no_travel')[self::AT] ?? NAN;
        };
        self::assertGreaterThan($p('7400', self::solved()), $p('7400', null));
        self::assertGreaterThan($p('7400', self::solved()) + 0.3, $p('11500', self::solved()));
    }

    public function testASpringThatStiffensInItsSweepIsTakenAsItWasSwept(): void
    {
        $bench = self::train()->bench();
        $straight = (self::base($bench, 'valve_seat_load') + self::base($bench, 'valve_open_load')) / 2;
        self::assertEqualsWithDelta($straight, self::base($bench, 'valve_half_load'), 0.01);
    }

    private static function train(string $speed = '9000'): Example
    {
        return Train::fill(Train::bucketFour(), self::AT)->tests(self::AT, 'lash', '0.008')
            ->claims('kind-E', 'card_high_duration', '255')->claims('kind-E', 'card_low_duration', '290')
            ->claims('engine', 'highest_speed', $speed);
    }

    private static function solved(): SolvedAtOnce
    {
        return self::$solved ??= new SolvedAtOnce();
    }

    private static function base(Bench $bench, string $name): float
    {
        $given = $bench->value(self::AT, $name);
        self::assertInstanceOf(Given::class, $given, $name);

        return $given->value->base;
    }

    /** @return array<string, float> */
    private static function sites(Bench $bench, string $sign): array
    {
        foreach (Evidence::gather($bench, Example::knowledge()) as $item) {
            if ($item->sign === $sign) {
                return $item->sites;
            }
        }

        return [];
    }

    /** @param list<RankedCause> $causes */
    private static function weightOf(string $cause, array $causes): float
    {
        foreach ($causes as $one) {
            if ($one->cause->code === $cause) {
                return $one->probability;
            }
        }

        return 0.0;
    }
}
