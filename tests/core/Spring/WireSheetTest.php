<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Spring;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** What follows from wire and coils. */
final class WireSheetTest extends TestCase
{
    private static function spring(): Example
    {
        return Example::pushrodEight()->measures('A1-E1', 'outside_diameter', '1.540')->measures('A1-E1', 'wire_diameter', '0.2100')
            ->measures('A1-E1', 'coil_count', '6')->measures('A1-E1', 'load_open', '412', '1.290');
    }

    private static function base(string $name): float
    {
        $value = self::spring()->bench()->value('A1-E1', $name, 'outer');
        self::assertInstanceOf(Given::class, $value, $name.' is not known');

        return $value->value->base;
    }

    /** The form of EN 13906-1 (from memory): 3560·d ÷ (n·D²)·√(G ÷ ρ) in mm, MPa, kg/dm³; its constant is rounded to 3 parts in 10 000. */
    public function testSurgeIsThatOfTheStandardAndHalfTheRootOfRateOverMass(): void
    {
        $wire = 5.334;
        $mean = 33.782;
        self::assertEqualsWithDelta(3560 * $wire / (4 * $mean ** 2) * sqrt(79000 / 7.85), self::base('surge_frequency'), 0.2);
        $mass = 7850 * M_PI / 4 * ($wire / 1000) ** 2 * M_PI * $mean / 1000 * 4;
        self::assertEqualsWithDelta(0.5 * sqrt(self::base('rate_from_wire') / $mass), self::base('surge_frequency'), 1e-6);
    }

    /** G·d⁴ ÷ (8·D³·n) by hand: 79 000 · 5.334⁴ ÷ (8 · 33.782³ · 4) = 51.8 N/mm. */
    public function testRateFromTheWire(): void
    {
        self::assertEqualsWithDelta(51.84e3, self::base('rate_from_wire'), 50);
        self::assertEqualsWithDelta(4.0, self::base('active_coils'), 1e-9);
    }

    /** Wahl by hand: C = 6.333, K = 1.238; 1.238 · 8 · 1832.7 N · 33.782 mm ÷ (π · 5.334³ mm³) = 1286 MPa. */
    public function testStressAtTheOpenLoad(): void
    {
        self::assertEqualsWithDelta(1286e6, self::base('open_stress'), 2e6);
    }

    /** Fact of the trade, without a published source: free height × tan 2° is what a standing spring may lean. */
    public function testSquarenessIsJudgedByTheHeightOfTheSpring(): void
    {
        $verdict = static fn (string $gap): ?Verdict => Example::pushrodEight()->measures('A1-E1', 'free_height', '2.250')
            ->measures('A1-E1', 'squareness_gap', $gap)->bench()->margin('A1-E1', 'squareness_gap', 'outer')?->verdict;
        self::assertSame(Verdict::Inside, $verdict('0.076'), 'allowed are 0.0786');
        self::assertSame(Verdict::Outside, $verdict('0.082'));
    }
}
