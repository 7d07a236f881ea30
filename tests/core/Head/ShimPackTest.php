<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Head;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Head\HeightsSheet;
use MuteTapper\Core\Head\ShimPack;
use MuteTapper\Core\Knowledge\ShimStock;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ShimPackTest extends TestCase
{
    private const INCH = 0.0254;

    /** @return iterable<array{float, list<float>|null}> what is needed, and the pack, in inches */
    public static function packs(): iterable
    {
        yield [0.0, []];
        yield [0.005, []];
        yield [0.006, null];
        yield [0.010, [0.015]];
        yield [0.030, [0.030]];
        yield [0.047, [0.030, 0.015]];
        yield [0.060, [0.060]];
        yield [0.091, [0.060, 0.030]];
        yield [0.105, [0.060, 0.030, 0.015]];
        yield [0.360, [0.060, 0.060, 0.060, 0.060, 0.060, 0.060]];
        yield [0.390, null];
    }

    /** @param list<float>|null $expected */
    #[DataProvider('packs')]
    public function testFewestShimsThatComeNearEnough(float $needed, ?array $expected): void
    {
        $pack = ShimPack::reaching($needed * self::INCH, Example::knowledge()->springShims);
        self::assertSame(
            $expected, $pack === null ? null : array_map(static fn (float $shim): float => round($shim / self::INCH, 6), $pack->shims),
        );
    }

    /** Against every pack there is: none of fewer shims comes near enough, and none of as many comes nearer. */
    public function testNoOtherPackIsBetter(): void
    {
        $stock = [15, 30, 60];
        for ($needed = 0; $needed <= 380; $needed += 3) {
            $best = null;
            foreach (range(0, 6) as $one) {
                foreach (range(0, 6 - $one) as $two) {
                    foreach (range(0, 6 - $one - $two) as $three) {
                        $off = abs($one * $stock[0] + $two * $stock[1] + $three * $stock[2] - $needed);
                        $pack = [$one + $two + $three, $off];
                        $best = $off <= 5 && ($best === null || $pack < $best) ? $pack : $best;
                    }
                }
            }
            $found = ShimPack::reaching($needed / 1000 * self::INCH, Example::knowledge()->springShims);
            self::assertSame($best, $found === null ? null : [
                count($found->shims), (int) round(abs($found->thickness() / self::INCH * 1000 - $needed)),
            ], $needed.' thou');
        }
    }

    /** Of two packs of as many shims the nearer one is taken. */
    public function testTheNearerOfAsMany(): void
    {
        $stock = ShimStock::fromNode(Node::root([
            'unit' => 'mm', 'thicknesses' => [1.0, 1.2], 'tolerance' => 0.2, 'most' => 6, 'mark' => 'own', 'source' => 'Made up.',
        ]));
        self::assertEqualsWithDelta([0.0012], ShimPack::reaching(0.00115, $stock)->shims ?? [], 1e-12);
    }

    public function testTheSheetSaysHowTheHeightsAreReachedAndWhatSpreadIsLeft(): void
    {
        $example = Example::pushrodEight()->claims('engine', 'installed_height', '1.900');
        foreach (['A1-E1' => '1.948', 'A1-I1' => '1.946', 'A2-E1' => '1.902', 'A2-I1' => '1.880'] as $place => $height) {
            $example->tests($place, 'installed_height', $height);
        }
        $remark = $example->bench()->remarks(HeightsSheet::declare())[0] ?? '';
        self::assertStringContainsString('1E, 1I: 0.030 + 0.015', $remark);
        self::assertStringContainsString('take out 0.020 in', $remark);
        // 0.048 − 0.045 = 0.003 is the most that is left, −0.020 of the one that is too low the least.
        self::assertStringEndsWith('Spread left over all stations: 0.023 in.', $remark);
    }

    public function testAStockThatCannotBeIsRefusedByItsFigure(): void
    {
        $stock = ['unit' => 'in', 'thicknesses' => [0.015], 'tolerance' => 0.005, 'most' => 6, 'mark' => 'own', 'source' => 'Made up.'];
        foreach ([
            '/unit' => ['unit' => 'lbf'], '/thicknesses' => ['thicknesses' => []], '/thicknesses/1' => ['thicknesses' => [0.015, 15]],
            '/tolerance' => ['tolerance' => 1], '/most' => ['most' => 0],
        ] as $pointer => $bad) {
            try {
                ShimStock::fromNode(Node::root($bad + $stock));
                self::fail($pointer.' was accepted.');
            } catch (BadDocument $problem) {
                self::assertSame($pointer, $problem->pointer);
            }
        }
    }
}
