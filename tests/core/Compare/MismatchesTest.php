<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Compare;

use MuteTapper\Core\Compare\Difference;
use MuteTapper\Core\Compare\Mismatch;
use MuteTapper\Core\Compare\Mismatches;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** What does not match in an engine is found without being asked. */
final class MismatchesTest extends TestCase
{
    private const BANK_A = ['A1-E1', 'A2-E1', 'A3-E1', 'A4-E1'];
    private const BANK_B = ['B1-E1', 'B2-E1', 'B3-E1', 'B4-E1'];

    public function testBanksThatDifferAreFoundAndThoseThatScatterAreNot(): void
    {
        $example = self::heights(['1.900', '1.902', '1.899', '1.901'], ['1.842', '1.845', '1.840', '1.843']);
        [$one] = self::of($example);
        self::assertSame([Difference::Banks, 'installed height', 'exhausts'], [$one->kind, $one->what, $one->where]);
        self::assertSame(['bank A', 'bank B'], [$one->one->name, $one->other->name]);
        self::assertEqualsWithDelta(1.8425 - 1.9005, (float) $one->difference?->base / 0.0254, 1e-9);
        self::assertEqualsWithDelta([1.840, 1.845], [
            (float) $one->other->least?->base / 0.0254, (float) $one->other->most?->base / 0.0254,
        ], 1e-9);
        self::assertGreaterThan(30, $one->byGauge);
        // As far apart, and no further than each bank is in itself.
        self::assertSame([], self::of(self::heights(['1.900', '1.860', '1.930', '1.880'], ['1.842', '1.905', '1.860', '1.890'])));
        // A difference that the gauge could make of like parts.
        self::assertSame([], self::of(self::heights(['1.900', '1.900', '1.900', '1.900'], ['1.901', '1.901', '1.901', '1.901'])));
        // Two a side tell nothing.
        self::assertSame([], self::of(self::heights(['1.900', '1.900'], ['1.800', '1.800'])));
    }

    public function testFoundAgainstClaimedIsOneLineAKindAndBank(): void
    {
        $example = Example::pushrodEight()->claims('engine', 'installed_height', '1.900');
        foreach (['A1-E1' => '1.901', 'A1-I1' => '1.899', 'B1-E1' => '1.840', 'B2-E1' => '1.843', 'B1-I1' => '1.802'] as $place => $text) {
            $example = $example->measures($place, 'installed_height', $text);
        }
        $found = self::of($example);
        self::assertSame(
            [['intakes of bank B', ['B1-I1']], ['exhausts of bank B', ['B1-E1', 'B2-E1']]],
            array_map(static fn (Mismatch $one): array => [$one->where, $one->places], $found),
        );
        self::assertSame([Difference::Claim, Difference::Claim], array_map(static fn (Mismatch $one): Difference => $one->kind, $found));
    }

    public function testOneOfAKindThatIsNotAsTheOthersIsNamed(): void
    {
        $example = Example::pushrodEight();
        foreach ([...self::BANK_A, ...self::BANK_B] as $i => $place) {
            $example = $example->measures($place, 'lock_height', $i === 5 ? '0.350' : '0.300');
        }
        [$one] = self::of($example);
        self::assertSame([Difference::Kind, ['B2-E1'], 'the others'], [$one->kind, $one->places, $one->one->name]);
    }

    public function testPartsOfDifferentKindsAreMismatchesWhateverTheNumbersSay(): void
    {
        $byBank = Example::pushrodEight();
        foreach (['A1-E1', 'A2-E1', 'A3-E1'] as $place) {
            $byBank = $byBank->answers($place, 'valve_material', 'titanium');
        }
        foreach (['B1-E1', 'B2-E1'] as $place) {
            $byBank = $byBank->answers($place, 'valve_material', 'stainless');
        }
        [$one] = self::of($byBank);
        self::assertSame(
            [Difference::Banks, 'bank A', 'bank B', null], [$one->kind, $one->one->name, $one->other->name, $one->difference],
        );
        $odd = Example::pushrodEight();
        foreach (['A1-E1' => 'titanium', 'A2-E1' => 'titanium', 'A3-E1' => 'stainless', 'A4-E1' => 'titanium'] as $place => $material) {
            $odd = $odd->answers($place, 'valve_material', $material);
        }
        [$one] = self::of($odd);
        self::assertSame([Difference::Kind, ['A3-E1'], 3], [$one->kind, $one->places, $one->one->count]);
        self::assertSame([], self::of(Example::pushrodEight()->answers('A1-E1', 'valve_material', 'titanium')));
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private static function heights(array $a, array $b): Example
    {
        $example = Example::pushrodEight();
        foreach ([self::BANK_A, self::BANK_B] as $bank => $places) {
            foreach ([$a, $b][$bank] as $i => $text) {
                $example = $example->measures($places[$i], 'installed_height', $text);
            }
        }

        return $example;
    }

    /** @return list<Mismatch> */
    private static function of(Example $example): array
    {
        return (new Mismatches($example->bench(), Example::knowledge()->questions))->all();
    }
}
