<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Entry;

use MuteTapper\Core\Entry\NotMeasurable;
use MuteTapper\Core\Entry\TypedReading;
use MuteTapper\Core\Quantity\EntryParser;
use MuteTapper\Core\Quantity\NotUnderstood;
use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Quantity\UnitSystem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A cell takes a figure, a figure with its reason, or a reason alone. */
final class TypedReadingTest extends TestCase
{
    /** @return iterable<string, array{string, NotMeasurable|null}> */
    public static function words(): iterable
    {
        yield 'in full' => ['worn', NotMeasurable::Worn];
        yield 'as it begins' => ['un', NotMeasurable::Unreachable];
        yield 'by its letter' => [' M ', NotMeasurable::Missing];
        yield 'a figure' => ['1.9', null];
        yield 'a figure in millimetres' => ['48.2 mm', null];
    }

    #[DataProvider('words')]
    public function testAWordStandsInPlaceOfAFigure(string $text, ?NotMeasurable $none): void
    {
        $typed = self::typed($text);
        self::assertSame($none, $typed->none);
        self::assertSame($none === null, $typed->figure !== null);
        self::assertNull($typed->kept);
    }

    public function testAFigureNobodyWouldExpectIsKeptWithItsReason(): void
    {
        $typed = self::typed('9.5 in ! the tower of a tractor');
        self::assertSame('the tower of a tractor', $typed->kept);
        self::assertSame(9.5, $typed->figure?->number);
        self::assertSame('gauge says so', self::typed('1.9 ! gauge says so')->kept, 'A plausible one may have a reason, too.');
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'not plausible' => ['9.5', 'If it is so, write why behind it: “9.5 ! …”.'];
        yield 'kept without a reason' => ['9.5 !', 'Behind the “!” stands why it is kept.'];
        yield 'not a figure at all' => ['9.5 ells ! really', '“ells” is not a unit'];
        yield 'no such word' => ['wobbly', '“wobbly” is not a number'];
    }

    #[DataProvider('refused')]
    public function testWhatIsRefusedSaysWhy(string $text, string $words): void
    {
        try {
            self::typed($text);
            self::fail('It was taken.');
        } catch (NotUnderstood $refusal) {
            self::assertStringContainsString($words, $refusal->reason);
            self::assertStringNotContainsString('write why behind it: “9.5 ells', $refusal->reason);
        }
    }

    private static function typed(string $text): TypedReading
    {
        $range = new PlausibleRange(Quantity::of(0.7, Unit::Inch), Quantity::of(3, Unit::Inch), Quantity::of(1.9, Unit::Inch));

        return TypedReading::of($text, $range, new EntryParser(UnitSystem::Inch));
    }
}
