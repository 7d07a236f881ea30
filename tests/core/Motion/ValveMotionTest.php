<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Motion\CamCard;
use MuteTapper\Core\Motion\OneMass;
use MuteTapper\Core\Motion\SpringLine;
use MuteTapper\Core\Motion\SurgingSpring;
use MuteTapper\Core\Motion\Threshold;
use MuteTapper\Core\Motion\TrainInputs;
use MuteTapper\Core\Motion\ValveTrain;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a valve train must do whatever its figures are, and the sizes that three independent programs agreed on. */
final class ValveMotionTest extends TestCase
{
    /** Bound of a stiff train, first loss of contact, float at 0.25 mm; [own], agreed between three independent programs. */
    private const SIZES = [
        'pushrod 135/350' => [8128, 4536, 5918], 'pushrod 190/425' => [9367, 4780, 6375], 'pushrod 250/500' => [10529, 5041, 6798],
        'bucket 55/200' => [9449, 6794, 9201], 'bucket 90/265' => [11534, 7801, 11122], 'bucket 125/330' => [13194, 8903, 12603],
    ];

    /** @return iterable<string, array{string}> */
    public static function trains(): iterable
    {
        foreach (array_keys(self::SIZES) as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('trains')]
    public function testSpeedsAreThoseThatOthersFound(string $name): void
    {
        $train = Lobes::trains()[$name];
        [$bound, $loss, $float] = self::SIZES[$name];
        self::assertEqualsWithDelta($bound, Threshold::bound($train), 12);
        self::assertEqualsWithDelta($loss, Threshold::firstLoss($train), 3);
        self::assertEqualsWithDelta($float, Threshold::floatSpeed($train), 2);
        self::assertEqualsWithDelta($float, Threshold::floatSpeed($train, 0.8 * $float), 2, 'looked for near a speed far below');
        self::assertEqualsWithDelta($float, Threshold::floatSpeed($train, 1.3 * $float), 2, 'looked for near a speed far above');
    }

    public function testBackPressureLowersFloat(): void
    {
        [$pushrod, $bucket] = [Lobes::pushrod(190, 425), Lobes::bucket(90, 265)];
        self::assertEqualsWithDelta(6146, Threshold::floatSpeed($pushrod->withSpring($pushrod->spring->less(254))), 2);
        // The force is given in whole newtons, each worth some seven turns.
        self::assertEqualsWithDelta(10204, Threshold::floatSpeed($bucket->withSpring($bucket->spring->less(137))), 4);
    }

    /** The lobe is followed as far as the train gives: what it gives under the springs is known without any motion. */
    public function testTurnedByHandTheValveFollowsTheLobe(): void
    {
        foreach ([Lobes::pushrod(190, 425), Lobes::bucket(90, 265)] as $train) {
            $turn = OneMass::turn($train, 20, true);
            self::assertSame([0.0, 0.0, false], [$turn->gap, $turn->lost, $turn->partsOverNose]);
            foreach ($turn->trace as [$degree, $lift, , $isHeld]) {
                $asked = $train->ratio * $train->lobe->of($degree)[0] - $train->lash;
                $given = $train->stiffness / ($train->stiffness + $train->spring->pieces[0][2])
                    * ($asked - $train->spring->seatLoad() / $train->stiffness);
                if ($isHeld && $given > 2e-4) {
                    self::assertEqualsWithDelta($given, $lift, 5e-7, sprintf('at %.2f°', $degree));
                }
            }
        }
    }

    public function testWithoutDampingAndLossTheLiftIsAsEvenAsItsLobe(): void
    {
        // Slow, so that the ramp hardly makes it ring: what goes up the one flank comes down the other.
        $train = Lobes::bucket(125, 330)->withLash(0.0)->undamped();
        $turn = OneMass::turn($train, 600, true);
        self::assertSame(0.0, $turn->lost);
        $lift = [];
        foreach ($turn->trace as [$degree, $y]) {
            $lift[(int) round(1000 * $degree)] = $y;
        }
        $compared = 0;
        foreach ($lift as $degree => $y) {
            if (isset($lift[-$degree]) && $y > 1e-3) {
                self::assertEqualsWithDelta($y, $lift[-$degree], 8e-6, sprintf('at %.3f°', $degree / 1000));
                ++$compared;
            }
        }
        self::assertGreaterThan(60, $compared);
    }

    /** Once the lobe has gone nothing drives it: each bounce is lower than the blow that made it allows. */
    public function testNoBounceRisesHigherThanItsLandingCanThrowIt(): void
    {
        foreach (Lobes::trains() as $name => $train) {
            $load = $train->spring->seatLoad();
            foreach (range(3000, 12000, 750) as $speed) {
                $turn = OneMass::turn($train, $speed);
                if ($turn->bounces > 0 && !$turn->varies) {
                    // ½mv² lifts the mass against the seat load, with what the seat gives back; the lobe’s end adds a little.
                    $pressed = $load / $train->seatStiffness;
                    $most = 1.1 * ($train->mass * $turn->landing ** 2 / (2 * $load) + $pressed);
                    self::assertLessThan($most, $turn->bounce, sprintf('%s at %d', $name, $speed));
                }
            }
        }
    }

    public function testAHarderSeatThrowsItBackHigher(): void
    {
        $heights = [];
        foreach ([0.15, 0.30, 0.50] as $damping) {
            $heights[] = OneMass::turn(Lobes::pushrod(190, 425)->withSeatDamping($damping), 5800)->bounce;
        }
        self::assertGreaterThan($heights[1], $heights[0]);
        self::assertGreaterThan($heights[2], $heights[1]);
    }

    public function testMoreSpringRaisesFloatAndMoreMassLowersIt(): void
    {
        $train = Lobes::bucket(90, 265);
        $float = Threshold::floatSpeed($train);
        self::assertGreaterThan($float, Threshold::floatSpeed(Lobes::bucket(110, 265)));
        self::assertGreaterThan($float, Threshold::floatSpeed(Lobes::bucket(90, 300)));
        self::assertGreaterThan($float, Threshold::floatSpeed($train->withMass(0.105)));
        self::assertGreaterThan($float, Threshold::floatSpeed($train->withStiffness(9e6)));
    }

    public function testASpringOfTwoPiecesThatAreOneLineMovesAsTheLine(): void
    {
        $train = Lobes::pushrod(190, 425);
        $lift = $train->fullLift();
        $at = static fn (float $there): array => [$there, $train->spring->at($there)];
        $halves = SpringLine::through([$at(0.0), $at($lift / 2), $at($lift)]);
        self::assertCount(2, $halves->pieces);
        foreach ([3000, 5500, 6400, 7200] as $speed) {
            [$whole, $parts] = [OneMass::turn($train, $speed), OneMass::turn($train->withSpring($halves), $speed)];
            self::assertEqualsWithDelta($whole->loft, $parts->loft, 1e-9);
            self::assertEqualsWithDelta($whole->landing, $parts->landing, 1e-6);
            self::assertSame($whole->bounces, $parts->bounces);
        }
    }

    public function testASpringThatStiffensHoldsLonger(): void
    {
        $train = Lobes::pushrod(190, 425);
        $lift = $train->fullLift();
        $stiffens = SpringLine::through([
            [0.0, $train->spring->at(0.0)], [$lift / 2, $train->spring->at($lift / 2)], [$lift, 1.1 * $train->spring->at($lift)],
        ]);
        self::assertGreaterThan(20 + (Threshold::floatSpeed($train) ?? INF), Threshold::floatSpeed($train->withSpring($stiffens)));
    }

    /** A turn that is drawn goes leap by leap; one that is only asked what it comes to goes in loops. Both find the same, whatever the springs. */
    public function testATurnFindsTheSameWhetherItIsDrawnOrNot(): void
    {
        foreach ([Lobes::pushrod(190, 425), Lobes::bucket(90, 265)] as $train) {
            $lift = $train->fullLift();
            $load = $train->spring->seatLoad();
            $stiffens = $train->withSpring(SpringLine::through([[0.0, $load], [$lift / 3, 1.3 * $load], [$lift, 2.6 * $load]]));
            foreach ([$train, $stiffens] as $of) {
                foreach ([2500, 4200, 5600, 6900] as $speed) {
                    [$asked, $drawn] = [OneMass::turn($of, $speed), OneMass::turn($of, $speed, true)];
                    self::assertEqualsWithDelta($drawn->loft, $asked->loft, 1e-7);
                    self::assertEqualsWithDelta($drawn->gap, $asked->gap, 1e-7);
                    self::assertEqualsWithDelta($drawn->lost, $asked->lost, 1e-3);
                    self::assertEqualsWithDelta($drawn->landing, $asked->landing, 1e-4);
                    self::assertEqualsWithDelta(1.0, $drawn->peakForce / $asked->peakForce, 1e-3);
                    self::assertSame($drawn->bounces, $asked->bounces);
                    // A swinging spring is left to itself while the valve rests, in the one a little longer than in the other.
                    [$asked, $drawn] = [SurgingSpring::turn($of, $speed), SurgingSpring::turn($of, $speed, true)];
                    self::assertEqualsWithDelta($drawn->loft, $asked->loft, 3e-6);
                    self::assertEqualsWithDelta($drawn->landing, $asked->landing, 0.02 * $drawn->landing);
                    self::assertEqualsWithDelta(1.0, $drawn->peakForce / $asked->peakForce, 0.01);
                }
            }
        }
    }

    /** A force that at a node neither falls nor rises, but for rounding, has its least where it turns further on. */
    public function testAForceThatIsLevelAtANodeIsFollowedToWhereItTurns(): void
    {
        $lobe = CamCard::of(
            0.230 * Lobes::INCH, 0.050 * Lobes::INCH, 235 / 4, 0.006 * Lobes::INCH, 296 / 4, 0.004 * Lobes::INCH, 0.0003 * Lobes::INCH,
        )->curve();
        $spring = SpringLine::straight(60 * Lobes::POUND_FORCE, 90 * Lobes::POUND_FORCE / (0.391 * Lobes::INCH));
        $train = ValveTrain::of($lobe, 0.08, 1.7, 0.0, 1e6, $spring);
        [$at, $beside] = [OneMass::turn($train, 4200), OneMass::turn($train, 4201)];
        self::assertEqualsWithDelta(1.0, $at->peakForce / $beside->peakForce, 0.002);
        self::assertSame(0.0, $at->loft);
    }

    /** On the ramp the lobe rises evenly: a gap there, after a bounce, is not one over the nose, whatever rounding makes of its bend. */
    public function testABounceOverTheRampIsNoLossOverTheNose(): void
    {
        $turn = OneMass::turn(Lobes::pushrod(190, 425), 4200);
        self::assertGreaterThan(5e-5, $turn->gap);
        self::assertFalse($turn->partsOverNose);
        self::assertTrue(OneMass::turn(Lobes::pushrod(190, 425), 4800)->partsOverNose);
    }

    /** Turned by hand, the lobe feels at the nose what the springs press with at that lift, on whichever piece of their line. */
    public function testEachPieceOfASpringPressesWithItsOwnLoad(): void
    {
        $train = Lobes::bucket(90, 265);
        $lift = $train->fullLift();
        $stiffens = SpringLine::through([[0.0, 400.0], [$lift / 2, 640.0], [$lift, 1100.0]]);
        $turn = OneMass::turn($train->withSpring($stiffens), 20, true);
        foreach ($turn->trace as [, $y, $force, $isHeld]) {
            if ($isHeld && $y > 5e-4) {
                self::assertEqualsWithDelta($stiffens->at($y), $force, 2.0, sprintf('at %.2f mm', 1e3 * $y));
            }
        }
        self::assertGreaterThan(1000.0, max(0.0, ...array_column($turn->trace, 2)), 'it came to the upper piece');
    }

    /** What still rings when the lobe comes round again is carried into the next turn; the figures are those of SciPy's solve_ivp. */
    public function testAValveThatStillRingsBeginsTheNextTurnSo(): void
    {
        $turn = OneMass::turn(Lobes::bucket(90, 265), 12084.745762711864);
        self::assertFalse($turn->varies);
        self::assertEqualsWithDelta(1.150916977e-03, $turn->loft, 1e-7);
        self::assertEqualsWithDelta(10.592009, $turn->landing, 1e-4);
    }

    public function testGasTakesItsShareOfEveryLoad(): void
    {
        $train = Lobes::pushrod(190, 425);
        $lift = $train->fullLift();
        $pressed = TrainInputs::train($train->lobe, [
            'mass' => 0.28, 'spring_mass' => 0.12, 'ratio' => 1.5, 'lash' => 0.016 * Lobes::INCH, 'stiffness' => 2e6,
            'seat_load' => $train->spring->at(0.0), 'half_load' => $train->spring->at($lift / 2), 'open_load' => $train->spring->at($lift),
            'net_lift' => $lift, 'gas_force' => 254.0,
        ]);
        self::assertEqualsWithDelta(6146, Threshold::floatSpeed($pressed), 2);
    }

    public function testASpringWithoutMassSurgesNot(): void
    {
        $train = Lobes::bucket(90, 265);
        $light = ValveTrain::of($train->lobe, $train->mass, $train->ratio, $train->lash, $train->stiffness, $train->spring, 1e-4);
        foreach ([6000, 9000, 11400] as $speed) {
            [$one, $surging] = [OneMass::turn($light, $speed), SurgingSpring::turn($light, $speed)];
            self::assertEqualsWithDelta($one->loft, $surging->loft, 3e-6);
            self::assertEqualsWithDelta($one->landing, $surging->landing, 0.02);
            self::assertEqualsWithDelta(1, $surging->peakForce / $one->peakForce, 0.005);
        }
    }

    /** Between 13 per cent less and some 8 per cent more, by its damping: [own]. */
    public function testSurgeMovesFloatAsFarAsOthersFound(): void
    {
        foreach (['pushrod 250/500' => [6527, 7308], 'bucket 125/330' => [10984, 12561]] as $name => $speeds) {
            $train = Lobes::trains()[$name];
            foreach (ValveTrain::SURGE_DAMPING_RANGE as $i => $damping) {
                $found = Threshold::floatSpeed($train->withSurgeDamping($damping), self::SIZES[$name][2], true);
                // In a resonance the loft just touches the quarter millimetre: where first is a matter of two per cent.
                self::assertEqualsWithDelta($speeds[$i], $found, 0.02 * $speeds[$i]);
            }
        }
    }

    public function testWhatCannotMoveIsRefused(): void
    {
        $train = Lobes::bucket(90, 265);
        foreach ([
            'more than nothing' => static fn () => $train->withMass(0.0),
            'No load is left on the seat' => static fn () => $train->withSpring($train->spring->less(500)),
            'takes up all of the lift' => static fn () => $train->withLash(0.02),
            'A ramp rises' => static fn () => Lobes::lobe(0.400, 0.012, 0.0),
        ] as $words => $try) {
            try {
                $try();
                self::fail('It was accepted: '.$words);
            } catch (Contradiction $refused) {
                self::assertStringContainsString($words, $refused->getMessage());
            }
        }
    }
}
