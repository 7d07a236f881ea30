<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Cause\Evidence;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the bench says of motion without any solving: each value is heard with its sign, and turning it turns the ranking. */
final class BenchStatesTest extends TestCase
{
    private const AT = 'A1-E1';

    /** @return iterable<string, array{\Closure(bool): Example, string, string, string}> train as it should be or not, value, sign, cause */
    public static function states(): iterable
    {
        $four = static fn (): Example => Train::fill(Train::bucketFour(), self::AT);
        yield 'the nose, turned slowly' => [
            static fn (bool $isBad): Example => Train::fill(
                Train::bucketFour(), self::AT, lobe: $isBad ? ['track_width' => '0.050'] : [],
            ),
            'sliding_nose_stress', 'nose_overloaded', 'nose_load_much',
        ];
        yield 'gas against the seat' => [
            static fn (bool $isBad): Example => $four()->claims('kind-E', 'port_pressure', $isBad ? '75 psi' : '8 psi'),
            'seat_load_left', 'seat_emptied', 'gas_force',
        ];
        yield 'the spring’s own frequency' => [
            static fn (bool $isBad): Example => Example::pushrodEight()->claims('engine', 'highest_speed', '7000')
                ->measures(self::AT, 'outside_diameter', '1.540')->measures(self::AT, 'wire_diameter', '0.2100')
                ->measures(self::AT, 'coil_count', $isBad ? '7' : '4'),
            'surge_order', 'surge_near', 'spring_surge',
        ];
        yield 'an element that stands under its spring' => [
            static fn (bool $isBad): Example => Example::hydraulicRollerEight()->measures(self::AT, 'load_seat', '130', '1.900')
                ->measures(self::AT, 'load_open', $isBad ? '640' : '310', '1.400')->tests(self::AT, 'installed_height', '1.900')
                ->tests(self::AT, 'net_lift', '0.500')->tests(self::AT, 'ratio', '1.5'),
            'element_load', 'element_overloaded', 'spring_over_element',
        ];
        yield 'two valves in one chamber' => [
            static fn (bool $isBad): Example => $four()->tests('A1', 'valve_to_valve', $isBad ? '-0.004' : '0.110'),
            'valve_to_valve', 'valves_no_room', 'phase_off',
        ];
    }

    /** @param \Closure(bool): Example $train */
    #[DataProvider('states')]
    public function testItIsHeardAndTurnsTheRanking(\Closure $train, string $value, string $sign, string $cause): void
    {
        [$good, $bad] = [$train(false), $train(true)];
        self::assertInstanceOf(Given::class, $bad->bench()->value(self::AT, $value));
        self::assertGreaterThan(self::present($good, $sign) + 0.5, self::present($bad, $sign));
        self::assertGreaterThan(1.2 * self::weight($good, $cause), self::weight($bad, $cause));
    }

    private static function present(Example $example, string $sign): float
    {
        foreach (Evidence::gather($example->bench(), Example::knowledge()) as $item) {
            if ($item->sign === $sign) {
                return max([0.0, ...array_values($item->sites)]);
            }
        }

        return 0.0;
    }

    private static function weight(Example $example, string $cause): float
    {
        foreach (Assessment::of($example->case(), Example::knowledge())->ranking()->causes as $one) {
            if ($one->cause->code === $cause) {
                return $one->probability;
            }
        }

        return 0.0;
    }
}
