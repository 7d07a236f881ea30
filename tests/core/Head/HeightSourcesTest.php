<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Head;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Head\HeightsSheet;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Heights by what they are made of, and the lift that a head takes. */
final class HeightSourcesTest extends TestCase
{
    private const AT = 'A1-E1';

    /** A locator of 0.050 in takes it from height and lift, unless a longer valve or offset locks give it back. [practice] */
    public function testWhatALocatorTakesALongerValveGivesBack(): void
    {
        $example = Example::pushrodEight()->tests(self::AT, 'bare_height', '1.900')->tests(self::AT, 'locator_thickness', '0.050')
            ->tests(self::AT, 'shim_stack', '0.000');
        self::assertEqualsWithDelta(1.850, self::inches($example->bench(), 'installed_height'), 1e-9);
        $example->tests(self::AT, 'lock_offset', '0.050');
        self::assertEqualsWithDelta(1.900, self::inches($example->bench(), 'installed_height'), 1e-9);
        $example->tests(self::AT, 'longer_valve', '0.100')->tests(self::AT, 'retainer_offset', '-0.020');
        self::assertEqualsWithDelta(1.980, self::inches($example->bench(), 'installed_height'), 1e-9);
    }

    /** What was measured goes before what was put together, and what the parts do not explain is judged. */
    public function testAHeightThatItsPartsDoNotExplain(): void
    {
        $found = static fn (string $height): Bench => Example::pushrodEight()->tests(self::AT, 'bare_height', '1.900')
            ->tests(self::AT, 'installed_height', $height)->bench();
        self::assertSame(Verdict::Inside, $found('1.902')->margin(self::AT, 'height_unexplained')?->verdict);
        $forgotten = $found('1.840');
        self::assertEqualsWithDelta(1.840, self::inches($forgotten, 'installed_height'), 1e-9);
        self::assertSame(Verdict::Outside, $forgotten->margin(self::AT, 'height_unexplained')?->verdict);
        self::assertEqualsWithDelta(-0.060, self::inches($forgotten, 'height_unexplained'), 1e-9);
    }

    /** A spring of 0.600 in becomes one of 0.550 over a locator of 0.050; the retainer may end it before. [practice] */
    public function testTheHighestLiftAndWhatEndsIt(): void
    {
        $example = Example::pushrodEight();
        foreach ([self::AT => '1.850', 'A2-E1' => '1.900'] as $place => $height) {
            $example->tests($place, 'installed_height', $height)->measures($place, 'bind_height', '1.240')
                ->tests($place, 'net_lift', '0.500');
        }
        $said = static fn (): string => implode(' ', $example->bench()->remarks(HeightsSheet::declare()));
        // 1.850 − 1.240 less the 0.060 of the usual school.
        self::assertStringContainsString('Highest lift within every limit that was measured: exhausts 0.550 in (1E, travel', $said());
        $example->tests('A2-E1', 'seal_height', '0.980')->tests('A2-E1', 'retainer_depth', '0.400');
        // 1.900 − 0.980 − 0.400 less 0.050 leaves less than the spring does.
        self::assertStringContainsString('exhausts 0.470 in (3E, retainer to seal).', $said());
    }

    private static function inches(Bench $bench, string $name): float
    {
        $value = $bench->value(self::AT, $name);
        self::assertInstanceOf(Given::class, $value, $name);

        return $value->value->base / 0.0254;
    }
}
