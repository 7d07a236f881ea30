<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Core\Assessment\Calculations;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Document\Node;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Loads on seat and nose, film and motion: what must hold between them, and what cannot be. */
final class LoadsTest extends TestCase
{
    private const TRAIN = ['load_open' => [1830, 'N'], 'mass' => [190, 'g'], 'ratio' => [1.5, '1'], 'bend' => [0.0000048, 'm/°²']];
    private const VALVE = ['cylinder_pressure' => [0.2, 'bar'], 'seat_diameter' => [40.9, 'mm'], 'stem_diameter' => [8, 'mm']];

    /** Two bar on a head of 40.2 mm net take 254 N off the spring. */
    public function testGasForce(): void
    {
        $force = self::traced('gas-force', ['port_pressure' => [2, 'bar'], 'cylinder_pressure' => [0, 'bar']] + self::VALVE);
        self::assertEqualsWithDelta(2e5 * M_PI / 4 * (0.0409 ** 2 - 0.008 ** 2), $force->result->base, 1e-9);
        self::assertEqualsWithDelta(253, $force->result->base, 1);
    }

    public function testNothingIsLeftAtThePressureThatEmptiesTheSeat(): void
    {
        $empty = self::traced('seat-emptying-pressure', ['seat_load' => [310, 'N']] + self::VALVE)->result->base;
        $gas = self::traced('gas-force', ['port_pressure' => [$empty, 'Pa(g)']] + self::VALVE)->result->base;
        $left = self::traced('seat-load-left', ['seat_load' => [310, 'N'], 'gas_force' => [$gas, 'N'], 'inertia' => [0, 'N']]);
        self::assertEqualsWithDelta(0, $left->result->base, 1e-9);
    }

    /** At the bound inertia takes all of the spring; turned slowly it takes none. */
    public function testNothingPressesOnTheNoseAtTheBound(): void
    {
        $bound = self::traced('quasi-static-bound', self::TRAIN + ['gas_force' => [0, 'N']])->result->base;
        $atSpeed = static fn (float $speed): float => self::traced(
            'nose-force-at-speed', self::TRAIN + ['engine_speed' => [$speed, '1/min']],
        )->result->base;
        self::assertEqualsWithDelta(0, $atSpeed($bound), 1e-9);
        $slow = self::traced('nose-force-slow', ['load_open' => [1830, 'N'], 'ratio' => [1.5, '1']])->result->base;
        self::assertEqualsWithDelta($slow, $atSpeed(0), 1e-9);
        self::assertEqualsWithDelta(0.75 * $slow, $atSpeed($bound / 2), 1e-9);
    }

    /** The figures at both temperatures come back as they went in; thicker between them than at the hotter, thinner than at the colder. */
    public function testAnOilAtItsTwoTemperatures(): void
    {
        $at = static fn (float $celsius): float => 1e6 * self::traced('oil-viscosity-at-temperature', [
            'viscosity_40' => [92, 'mm²/s'], 'viscosity_100' => [13.4, 'mm²/s'], 'temperature' => [$celsius, '°C'],
        ])->result->base;
        self::assertEqualsWithDelta(92, $at(40), 1e-9);
        self::assertEqualsWithDelta(13.4, $at(100), 1e-9);
        self::assertGreaterThan($at(100), $at(70));
        self::assertLessThan($at(40), $at(70));
        self::assertLessThan($at(100), $at(130));
    }

    /** A circle of 14 mm under a flat face: its lift bends by nose height less radius. */
    public function testNoseUnderAFlatFace(): void
    {
        // A round nose of radius 0.007 m whose middle stands 0.022 m from the cam's centre lifts 0.022·cos φ + 0.007.
        $lift = static fn (float $degrees): float => 0.022 * cos(deg2rad($degrees)) + 0.007;
        $bend = self::traced('nose-bend', [
            'lift_at_nose' => [$lift(0), 'm'], 'lift_before' => [$lift(1), 'm'], 'lift_after' => [$lift(1), 'm'], 'step' => [1, '°'],
        ])->result->base;
        $radius = self::traced('nose-radius-from-bend', ['nose_height' => [0.029, 'm'], 'bend' => [$bend, 'm/°²']]);
        self::assertEqualsWithDelta(0.007, $radius->result->base, 1e-6);
    }

    /** A steel roller of 10 mm radius on a flat, 100 N on each millimetre: 599 MPa by Johnson's formula with E* = 113 GPa. */
    public function testHertzLineContact(): void
    {
        $stress = self::traced('nose-stress', [
            'force' => [1000, 'N'], 'track_width' => [10, 'mm'], 'contact_radius' => [10, 'mm'], 'contact_modulus' => [113000, 'MPa'],
        ]);
        self::assertEqualsWithDelta(599.7e6, $stress->result->base, 1e5);
    }

    /** @return iterable<array{string, array<string, array{float|int, string}>, string}> */
    public static function impossible(): iterable
    {
        yield 'oil the wrong way round' => ['oil-viscosity-at-temperature', [
            'viscosity_40' => [13, 'mm²/s'], 'viscosity_100' => [92, 'mm²/s'], 'temperature' => [70, '°C'],
        ], 'thicker at 40 °C'];
        yield 'a step of nothing' => ['nose-bend', [
            'lift_at_nose' => [1, 'mm'], 'lift_before' => [1, 'mm'], 'lift_after' => [1, 'mm'], 'step' => [0, '°'],
        ], 'step'];
        yield 'no step between two clearances' => ['drive-lag-credit', [
            'lag' => [2, '°'], 'clearance_before' => [2, 'mm'], 'clearance_after' => [3, 'mm'], 'step' => [0, '°'],
        ], 'step'];
        yield 'a nose that would cut' => ['nose-radius-from-bend', ['nose_height' => [10, 'mm'], 'bend' => [1, 'mm/°²']], 'sharp'];
        yield 'a dish' => ['crown-radius', ['face_diameter' => [20, 'mm'], 'crown' => [-0.02, 'mm']], 'without end'];
        yield 'gas above spring' => ['quasi-static-bound', ['gas_force' => [2000, 'N']] + self::TRAIN, 'nothing left'];
        yield 'a lobe that does not turn down' => ['quasi-static-bound', ['bend' => [-1, 'm/°²'], 'gas_force' => [0, 'N']] + self::TRAIN,
            'bends down'];
        yield 'stresses the wrong way round' => ['spring-fatigue-use', [
            'stress_seat' => [900, 'MPa'], 'stress_open' => [500, 'MPa'], 'endurance' => [500, 'MPa'], 'strength' => [1200, 'MPa'],
        ], 'less than on the seat'];
    }

    /** @param array<string, array{float|int, string}> $inputs */
    #[DataProvider('impossible')]
    public function testWhatCannotBeIsSaid(string $name, array $inputs, string $words): void
    {
        $this->expectException(Contradiction::class);
        $this->expectExceptionMessage($words);
        self::traced($name, $inputs);
    }

    /** @param array<string, array{float|int, string}> $inputs number and unit by name */
    private static function traced(string $name, array $inputs): Trace
    {
        $calculation = Calculations::named($name);
        self::assertNotNull($calculation);

        return Calculations::run($calculation, Node::root(
            array_map(static fn (array $input): array => ['number' => $input[0], 'unit' => $input[1]], $inputs),
        ));
    }
}
