<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Outside;

use MuteTapper\Core\Motion\LiftTable;
use MuteTapper\Core\Motion\OneMass;
use MuteTapper\Core\Motion\SpeedCalculation;
use MuteTapper\Core\Motion\Threshold;
use MuteTapper\Core\Motion\Whittaker;
use MuteTapper\Tests\Core\Motion\Lobes;
use PHPUnit\Framework\TestCase;

/**
 * The moving valve against SciPy's solve_ivp (DOP853, relative tolerance 1e-11), contact looked for anew after each change; the smoother
 * against NumPy's dense solution. The whole of sixty speeds is compared by bin/bench.
 */
final class MotionTest extends TestCase
{
    use RunsPython;

    private const SPEEDS = 4;
    private const DENSE = <<<'PYTHON'
        import json, sys
        import numpy as np
        asked = json.load(sys.stdin)
        y, w = np.array(asked['y']), np.array(asked['weights'])
        D = np.diff(np.eye(len(y)), 4, axis=0)
        json.dump([list(np.linalg.solve(np.diag(w) + lam * D.T @ D, w * y)) for lam in asked['lambdas']], sys.stdout)
        PYTHON;

    public function testEachTurnIsTheOneThatSolveIvpFinds(): void
    {
        $trains = Lobes::trains();
        $asked = [];
        foreach ($trains as $name => $train) {
            [$from, $to] = str_starts_with($name, 'pushrod') ? [3300.0, 6900.0] : [6100.0, 12900.0];
            $nodes = array_map(null, $train->lobe->lift, $train->lobe->slope, $train->lobe->bend);
            $asked[] = [
                'first' => $train->lobe->first, 'peak' => $train->lobe->peakDegree(), 'nodes' => $nodes, 'mass' => $train->mass,
                'ratio' => $train->ratio, 'lash' => $train->lash, 'stiffness' => $train->stiffness, 'load' => $train->spring->seatLoad(),
                'rate' => $train->spring->pieces[0][2], 'seat_stiffness' => $train->seatStiffness, 'damping' => $train->damping,
                'spring_damping' => $train->springDamping, 'seat_damping' => $train->seatDamping, 'full_lift' => $train->fullLift(),
                'speeds' => array_map(
                    static fn (int $i): float => $from + $i * ($to - $from) / (self::SPEEDS - 1), range(0, self::SPEEDS - 1),
                ),
            ];
        }
        /** @var list<array{speed: float, loft: float, gap: float, landing: float, bounces: int, bounce: float, peak: float,
         *     lifts: list<array{int, float}>}> $found
         */
        $found = self::python((string) file_get_contents(__DIR__.'/valve_motion.py'), ['trains' => $asked]);
        self::assertCount(self::SPEEDS * count($trains), $found);
        foreach ($found as $i => $of) {
            $name = array_keys($trains)[intdiv($i, self::SPEEDS)];
            $train = $trains[$name];
            $at = sprintf('%s at %.0f', $name, $of['speed']);
            $turn = OneMass::turn($train, $of['speed'], true);
            self::assertEqualsWithDelta($of['loft'], $turn->loft, 1e-7, $at);
            self::assertEqualsWithDelta($of['gap'], $turn->gap, 1e-7, $at);
            self::assertEqualsWithDelta($of['landing'], $turn->landing, 1e-4, $at);
            self::assertSame($of['bounces'], $turn->bounces, $at);
            self::assertEqualsWithDelta($of['bounce'], $turn->bounce, 1e-7, $at);
            self::assertEqualsWithDelta(1.0, $turn->peakForce / $of['peak'], 0.0025, $at);
            $lift = [];
            foreach ($turn->trace as [$degree, $y]) {
                if (abs($degree - round($degree)) < 1e-9) {
                    $lift[(int) round($degree) - $train->lobe->first] = $y;
                }
            }
            self::assertGreaterThan(150, count($of['lifts']));
            foreach ($of['lifts'] as [$node, $y]) {
                self::assertEqualsWithDelta($y, $lift[$node] ?? NAN, 2e-6, $at);
            }
            $swift = OneMass::turn($train, $of['speed']);
            self::assertEqualsWithDelta($turn->loft, $swift->loft, 1e-12, $at);
            self::assertEqualsWithDelta($turn->peakForce, $swift->peakForce, 0.0025 * $turn->peakForce, $at);
        }
    }

    public function testTheSmootherIsTheDenseSolution(): void
    {
        mt_srand(11);
        $y = $weights = [0.0];
        for ($i = 1; $i < 60; ++$i) {
            $y[] = 0.01 * sin($i / 9) + 1e-5 * mt_rand(-100, 100) / 100;
            $weights[] = $i % 3 === 1 ? 0.0 : 1.0;
        }
        $lambdas = [0.01, 10.0, 1e4];
        /** @var list<list<float>> $dense */
        $dense = self::python(self::DENSE, ['y' => $y, 'weights' => $weights, 'lambdas' => $lambdas]);
        foreach ($lambdas as $i => $lambda) {
            foreach (Whittaker::smooth($y, $weights, $lambda) as $node => $z) {
                self::assertEqualsWithDelta($dense[$i][$node], $z, 1e-9);
            }
        }
    }

    /** Raw differences of such noise err by more than half; smoothed, the speed of float stays within three per cent. */
    public function testANoisyTableGivesTheSpeedOfItsLobe(): void
    {
        mt_srand(7);
        foreach ([Lobes::pushrod(190, 425), Lobes::bucket(90, 265)] as $train) {
            $float = Threshold::floatSpeed($train);
            foreach ([1, 2] as $step) {
                $degrees = $lifts = [];
                for ($degree = $train->lobe->first; $degree <= $train->lobe->last(); $degree += $step) {
                    $noise = sqrt(-2 * log(mt_rand(1, 1_000_000) / 1e6)) * cos(2 * M_PI * mt_rand(0, 1_000_000) / 1e6);
                    $degrees[] = $degree + 250.0; // counted from anywhere
                    $lifts[] = $train->lobe->of($degree)[0] + 0.0002 * Lobes::INCH * $noise;
                }
                self::assertEqualsWithDelta(0.0002 * Lobes::INCH, LiftTable::noise($lifts), 0.4 * 0.0002 * Lobes::INCH);
                $measured = $train->withLobe(LiftTable::curve($degrees, $lifts));
                self::assertNotNull($float);
                self::assertEqualsWithDelta($float, Threshold::floatSpeed($measured), 0.03 * $float);
                $raw = $smooth = 0.0;
                for ($i = 1; $i < count($lifts) - 1; ++$i) {
                    $true = $train->lobe->of($degrees[$i] - 250)[2];
                    $raw += (($lifts[$i + 1] - 2 * $lifts[$i] + $lifts[$i - 1]) / $step ** 2 - $true) ** 2;
                    $smooth += ($measured->lobe->of($degrees[$i] - 250)[2] - $true) ** 2;
                }
                self::assertGreaterThan((4 / $step ** 2) ** 2 * $smooth, $raw, 'what smoothing is for');
            }
        }
    }

    /** How a speed moves with each figure, against the answer for the figure moved. */
    public function testSlopesAreThoseOfTheAnswers(): void
    {
        $figures = self::figures();
        foreach ([SpeedCalculation::floatSpeed(false), SpeedCalculation::loftAt(false)] as $calculation) {
            $solution = $calculation->solve($figures);
            foreach (['mass' => 0.002, 'open_load' => 8.0, 'seat_load' => 8.0, 'stiffness' => 5e4, 'lash' => 2e-5] as $name => $by) {
                $moved = $calculation->solve(array_replace($figures, [$name => [$figures[$name][0] + $by]]))->value - $solution->value;
                self::assertEqualsWithDelta($solution->slopes[$name] * $by, $moved, 0.3 * abs($moved) + 0.001 * $solution->value, $name);
            }
            self::assertGreaterThan(0.02, $solution->own['what a card leaves open of its lobe'] / $solution->value);
            self::assertArrayHasKey('surge of the spring', $solution->own);
        }
    }

    /** @return array<string, list<float>> */
    private static function figures(): array
    {
        $train = Lobes::pushrod(190, 425);
        $lift = $train->fullLift();
        $figures = [
            'lobe_lift' => 0.4 * Lobes::INCH, 'high_lift' => 0.05 * Lobes::INCH, 'high_duration' => 255.0, 'low_lift' => 0.02 * Lobes::INCH,
            'low_duration' => 290.0, 'ramp_height' => 0.012 * Lobes::INCH, 'ramp_rate' => 0.00045 * Lobes::INCH, 'skew' => 0.0,
            'mass' => $train->mass,
            'spring_mass' => 0.12, 'ratio' => $train->ratio, 'lash' => $train->lash, 'stiffness' => $train->stiffness,
            'seat_load' => $train->spring->at(0.0), 'half_load' => $train->spring->at($lift / 2), 'open_load' => $train->spring->at($lift),
            'net_lift' => $lift, 'gas_force' => 0.0, 'speed' => 6800.0,
        ];

        return array_map(static fn (float $one): array => [$one], $figures);
    }
}
