<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Quantity;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Quantity\EntryParser;
use MuteTapper\Core\Quantity\NotUnderstood;
use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Quantity\UnitSystem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EntryParserTest extends TestCase
{
    private static function range(string $column): PlausibleRange
    {
        return AllSheets::get()->columns[$column]->range;
    }

    /** @return iterable<string, array{string, string, float, UnitSystem}> typed text, column, millimetres or newtons or plain number */
    public static function accepted(): iterable
    {
        $inch = UnitSystem::Inch;
        yield 'inch without unit' => ['0.045', 'lash', 1.143, $inch];
        yield 'inch, no leading zero, unit joined' => ['.045in', 'lash', 1.143, $inch];
        yield 'thou' => ['45 thou', 'lash', 1.143, $inch];
        yield 'tenths' => ['180 tenths', 'lash', 0.4572, $inch];
        yield 'millimetre' => ['1.14 mm', 'lash', 1.14, $inch];
        yield 'decimal comma' => ['1,14 mm', 'lash', 1.14, $inch];
        yield 'decimal comma after a zero has one reading' => ['0,045', 'lash', 1.143, $inch];
        yield 'metric default' => ['1.14', 'lash', 1.14, UnitSystem::Metric];
        yield 'inch typed in a metric case' => ['0.045 in', 'lash', 1.143, UnitSystem::Metric];
        yield 'pounds' => ['115 lb', 'load_seat', 511.5454857549575, $inch];
        yield 'kilogram-force' => ['52 kgf', 'load_seat', 509.9458, $inch];
        yield 'newton' => ['511 N', 'load_seat', 511.0, $inch];
        yield 'negative where depth is signed' => ['-0.020', 'retainer_depth', -0.508, $inch];
        yield 'typographic minus' => ['−0.020', 'retainer_depth', -0.508, $inch];
        yield 'zero' => ['0', 'shims', 0.0, $inch];
    }

    #[DataProvider('accepted')]
    public function testReadsWhatPeopleType(string $text, string $column, float $expected, UnitSystem $system): void
    {
        $quantity = (new EntryParser($system))->parse($text, self::range($column))->quantity();
        $scale = 'length' === $quantity->dimension->value ? 1000 : 1;
        self::assertEqualsWithDelta($expected, $quantity->base * $scale, 1e-9);
    }

    /** @return iterable<string, array{string, string, string, list<string>}> text, column, words of the reason, offers */
    public static function refused(): iterable
    {
        yield 'thou without saying so' => ['45', 'lash', '45 thou (0.045 in)?', ['45 thou']];
        yield 'ambiguous comma' => ['1,234', 'installed_height', 'can be read two ways', ['1.234', '1234']];
        yield 'two points' => ['15.2.3', 'load_seat', 'two decimal points', []];
        yield 'point and comma' => ['1.234,5', 'load_seat', 'more than one separator', []];
        yield 'words' => ['broken', 'load_seat', 'not a number', []];
        yield 'nothing' => ['  ', 'load_seat', 'Nothing was typed', []];
        yield 'unit of another kind' => ['1.8 in', 'load_seat', 'not a unit of force', []];
        yield 'unknown unit' => ['1.8 furlong', 'installed_height', 'not a unit of length', []];
        yield 'negative lash' => ['-0.010', 'lash', 'not plausible', []];
        yield 'absurd height' => ['99', 'installed_height', 'not plausible', []];
        yield 'millimetres without saying so' => ['45.72', 'installed_height', '45.72 mm (1.800 in)?', ['45.72 mm']];
        yield 'newtons without saying so' => ['745', 'load_seat', '745 N', ['745 N']];
        yield 'exponent' => ['1e3', 'load_seat', 'not', []];
        yield 'endless text' => [str_repeat('1', 500), 'load_seat', 'too long', []];
    }

    /** @param list<string> $offers */
    #[DataProvider('refused')]
    public function testRefusesWithTheReasonAndWhatIsAccepted(string $text, string $column, string $words, array $offers): void
    {
        try {
            (new EntryParser(UnitSystem::Inch))->parse($text, self::range($column));
            self::fail('It was accepted.');
        } catch (NotUnderstood $refusal) {
            self::assertStringContainsString($words, $refusal->reason);
            self::assertNotSame('', $refusal->accepted);
            foreach ($offers as $offer) {
                self::assertContains($offer, $refusal->offers);
            }
        }
    }

    public function testEveryOfferIsItselfAccepted(): void
    {
        $parser = new EntryParser(UnitSystem::Inch);
        foreach (AllSheets::get()->columns as $column) {
            foreach (['45', '1.8', '18', '180', '1800', '45.72', '745'] as $text) {
                try {
                    $parser->parse($text, $column->range);
                } catch (NotUnderstood $refusal) {
                    foreach ($refusal->offers as $offer) {
                        self::assertTrue(
                            $column->range->holds($parser->parse($offer, $column->range)->quantity()), $column->code.': '.$offer,
                        );
                    }
                }
            }
        }
    }

    /** Law: a figure shown in any unit and typed back is the same quantity, to the digits shown. */
    public function testShownAndTypedBackIsTheSame(): void
    {
        mt_srand(7);
        foreach ([UnitSystem::Inch, UnitSystem::Metric] as $system) {
            $parser = new EntryParser($system);
            for ($i = 0; $i < 500; ++$i) {
                $column = array_values(AllSheets::get()->columns)[mt_rand(0, \count(AllSheets::get()->columns) - 1)];
                $range = $column->range;
                $step = 10 ** -$system->decimalsOf($range->dimension()) * $system->unitOf($range->dimension())->baseFactor();
                // A figure that is rounded past the end of its range is rightly refused.
                $base = $range->least->base + $step + mt_rand(0, 1000) / 1000 * ($range->most->base - $range->least->base - 2 * $step);
                $quantity = Quantity::base($base, $range->dimension());
                $shown = $system->figure($quantity);
                $back = $parser->parse($shown, $range)->quantity();
                self::assertEqualsWithDelta($base, $back->base, 0.5001 * $step);
                self::assertSame($shown, $system->figure($back));
            }
        }
    }

    public function testTellsHowFineAFigureWasTyped(): void
    {
        $typed = (new EntryParser(UnitSystem::Inch))->parse('1.80', self::range('installed_height'));
        self::assertSame(Unit::Inch, $typed->unit);
        self::assertEqualsWithDelta(0.005 * 0.0254, $typed->halfLastDigit(), 1e-12);
    }
}
