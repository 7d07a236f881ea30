<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\SolvedAtOnce;
use MuteTapper\Core\Cause\Evidence;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Piston to valve as the judgement hears it: at the phase as found, with its ±; the worked example is [own]. */
final class ClearanceAtPhaseTest extends TestCase
{
    private const AT = 'A1-E1';

    public function testItIsTheWorkedExampleAtThePhaseAsFound(): void
    {
        foreach (['110' => 0.055215, '118' => 0.001884, '102' => 0.109064] as $found => $inches) {
            $given = self::given(self::phased((string) $found)->bench(new SolvedAtOnce()));
            self::assertEqualsWithDelta($inches * Lobes::INCH, $given->value->base, 2e-8);
        }
    }

    /** A degree of phase is worth about 0.0066 in; a phase that nobody found is good to two degrees, and that is most of the ±. */
    public function testItsUncertaintyIsThatOfWhatItRestsOn(): void
    {
        $unseen = self::given(self::engine()->bench(new SolvedAtOnce()));
        $seen = self::given(self::phased('110')->bench(new SolvedAtOnce()));
        $of = static fn (Given $given, string $source): float => abs($given->value->contributions[$source] ?? 0.0);
        self::assertEqualsWithDelta(
            2 * 0.0066 * Lobes::INCH / sqrt(3), $of($unseen, 'taken as on its marks: its phase was not found'), 0.0006 * Lobes::INCH,
        );
        self::assertLessThan($unseen->value->standard(), $seen->value->standard());
        self::assertGreaterThan(0.0, $of($seen, 'what a card leaves open of its lobe'));
        // Along the cylinder a thou of relief is a thou times the cosine of the lean.
        $slope = $seen->trace?->shares()['free_drop'] ?? 0.0;
        self::assertGreaterThan(0.0, $slope);
    }

    public function testItStandsInForClayAndYieldsToIt(): void
    {
        $bench = self::phased('118')->bench(new SolvedAtOnce());
        self::assertSame(Verdict::Outside, $bench->margin(self::AT, 'piston_to_valve')?->verdict);
        $clay = self::phased('118')->tests(self::AT, 'piston_to_valve', '0.130')->bench(new SolvedAtOnce());
        self::assertSame(Verdict::Inside, $clay->margin(self::AT, 'piston_to_valve')?->verdict);
        self::assertNull(self::given($clay)->trace);
    }

    public function testAPhaseThatLeavesNoRoomIsHeardByTheJudgement(): void
    {
        $p = static function (string $centre): float {
            foreach (Evidence::gather(self::phased($centre)->bench(new SolvedAtOnce()), Example::knowledge()) as $item) {
                if ($item->sign === 'valve_no_room') {
                    return $item->sites[self::AT] ?? 0.0;
                }
            }

            return 0.0;
        };
        self::assertGreaterThan($p('102') + 0.2, $p('119'));
    }

    private static function given(Bench $bench): Given
    {
        $given = $bench->value(self::AT, 'piston_to_valve');
        self::assertInstanceOf(Given::class, $given);
        self::assertSame(Basis::Read, $given->basis);

        return $given;
    }

    /** Centres of a cam in the block stand after top dead centre for the card of its phase: more is later. */
    private static function phased(string $found): Example
    {
        return self::engine()->tests('engine', 'cam_phase_card', '110', 'cam')->tests('engine', 'cam_phase_found', $found, 'cam');
    }

    private static function engine(): Example
    {
        return PistonTravelTest::engine();
    }
}
