<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Quantity;

use MuteTapper\Core\Quantity\EntryParser;
use MuteTapper\Core\Quantity\NotUnderstood;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Spring\SheetColumn;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EntryParserTest extends TestCase
{
    /** @return iterable<string, array{string, SheetColumn, float, UnitSystem}> typed text, column, millimetres or newtons or plain number */
    public static function accepted(): iterable
    {
        $inch = UnitSystem::Inch;
        yield 'inch without unit' => ['0.045', SheetColumn::Lash, 1.143, $inch];
        yield 'inch, no leading zero, unit joined' => ['.045in', SheetColumn::Lash, 1.143, $inch];
        yield 'thou' => ['45 thou', SheetColumn::Lash, 1.143, $inch];
        yield 'tenths' => ['180 tenths', SheetColumn::Lash, 0.4572, $inch];
        yield 'millimetre' => ['1.14 mm', SheetColumn::Lash, 1.14, $inch];
        yield 'decimal comma' => ['1,14 mm', SheetColumn::Lash, 1.14, $inch];
        yield 'decimal comma after a zero has one reading' => ['0,045', SheetColumn::Lash, 1.143, $inch];
        yield 'metric default' => ['1.14', SheetColumn::Lash, 1.14, UnitSystem::Metric];
        yield 'inch typed in a metric case' => ['0.045 in', SheetColumn::Lash, 1.143, UnitSystem::Metric];
        yield 'pounds' => ['115 lb', SheetColumn::SeatLoad, 511.5454857549575, $inch];
        yield 'kilogram-force' => ['52 kgf', SheetColumn::SeatLoad, 509.9458, $inch];
        yield 'newton' => ['511 N', SheetColumn::SeatLoad, 511.0, $inch];
        yield 'negative where depth is signed' => ['-0.020', SheetColumn::RetainerDepth, -0.508, $inch];
        yield 'typographic minus' => ['−0.020', SheetColumn::RetainerDepth, -0.508, $inch];
        yield 'zero' => ['0', SheetColumn::Shims, 0.0, $inch];
    }

    #[DataProvider('accepted')]
    public function testReadsWhatPeopleType(string $text, SheetColumn $column, float $expected, UnitSystem $system): void
    {
        $quantity = (new EntryParser($system))->parse($text, $column->range())->quantity();
        $scale = 'length' === $quantity->dimension->value ? 1000 : 1;
        self::assertEqualsWithDelta($expected, $quantity->base * $scale, 1e-9);
    }

    /** @return iterable<string, array{string, SheetColumn, string, list<string>}> text, column, words of the reason, offers */
    public static function refused(): iterable
    {
        yield 'thou without saying so' => ['45', SheetColumn::Lash, '45 thou (0.045 in)?', ['45 thou']];
        yield 'ambiguous comma' => ['1,234', SheetColumn::InstalledHeight, 'can be read two ways', ['1.234', '1234']];
        yield 'two points' => ['15.2.3', SheetColumn::SeatLoad, 'two decimal points', []];
        yield 'point and comma' => ['1.234,5', SheetColumn::SeatLoad, 'more than one separator', []];
        yield 'words' => ['broken', SheetColumn::SeatLoad, 'not a number', []];
        yield 'nothing' => ['  ', SheetColumn::SeatLoad, 'Nothing was typed', []];
        yield 'unit of another kind' => ['1.8 in', SheetColumn::SeatLoad, 'not a unit of force', []];
        yield 'unknown unit' => ['1.8 furlong', SheetColumn::InstalledHeight, 'not a unit of length', []];
        yield 'negative lash' => ['-0.010', SheetColumn::Lash, 'not plausible', []];
        yield 'absurd height' => ['99', SheetColumn::InstalledHeight, 'not plausible', []];
        yield 'millimetres without saying so' => ['45.72', SheetColumn::InstalledHeight, '45.72 mm (1.800 in)?', ['45.72 mm']];
        yield 'newtons without saying so' => ['745', SheetColumn::SeatLoad, '745 N', ['745 N']];
        yield 'exponent' => ['1e3', SheetColumn::SeatLoad, 'not', []];
        yield 'endless text' => [str_repeat('1', 500), SheetColumn::SeatLoad, 'too long', []];
    }

    /** @param list<string> $offers */
    #[DataProvider('refused')]
    public function testRefusesWithTheReasonAndWhatIsAccepted(string $text, SheetColumn $column, string $words, array $offers): void
    {
        try {
            (new EntryParser(UnitSystem::Inch))->parse($text, $column->range());
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
        foreach (SheetColumn::cases() as $column) {
            foreach (['45', '1.8', '18', '180', '1800', '45.72', '745'] as $text) {
                try {
                    $parser->parse($text, $column->range());
                } catch (NotUnderstood $refusal) {
                    foreach ($refusal->offers as $offer) {
                        self::assertTrue($column->range()->holds($parser->parse($offer, $column->range())->quantity()), $column->value.': '.$offer);
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
                $column = SheetColumn::cases()[mt_rand(0, \count(SheetColumn::cases()) - 1)];
                $range = $column->range();
                $base = $range->least->base + mt_rand(1, 999) / 1000 * ($range->most->base - $range->least->base);
                $quantity = Quantity::base($base, $range->dimension());
                $shown = $system->figure($quantity);
                $back = $parser->parse($shown, $range)->quantity();
                $step = 10 ** -$system->decimalsOf($range->dimension()) * $system->unitOf($range->dimension())->baseFactor();
                self::assertEqualsWithDelta($base, $back->base, 0.5001 * $step);
                self::assertSame($shown, $system->figure($back));
            }
        }
    }

    public function testTellsHowFineAFigureWasTyped(): void
    {
        $typed = (new EntryParser(UnitSystem::Inch))->parse('1.80', SheetColumn::InstalledHeight->range());
        self::assertSame(Unit::Inch, $typed->unit);
        self::assertEqualsWithDelta(0.005 * 0.0254, $typed->halfLastDigit(), 1e-12);
    }
}
