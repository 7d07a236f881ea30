<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Gauge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Gauge\GaugeLine;
use MuteTapper\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class GaugeLineTest extends TestCase
{
    public function testALineOfEachKind(): void
    {
        $line = GaugeLine::parse("reading gauge=height-2 n=41 value=1.8420 unit=in\r\n");
        self::assertSame(['height-2', 41, '1.8420', Unit::Inch, null, false], array_values((array) $line));
        $line = GaugeLine::parse('reading  simulated=yes unit=lbf value=-168.5 height_unit=mm height=48.2 n=1 gauge=tester-1');
        self::assertSame(['tester-1', 1, '-168.5', Unit::PoundForce, '48.2 mm', true], array_values((array) $line));
    }

    /** @return iterable<array{string, string}> */
    public static function wrong(): iterable
    {
        yield ['', 'begins with'];
        yield ['Reading gauge=a n=1 value=1 unit=in', 'begins with'];
        yield [str_pad('reading gauge=a n=1 value=1 unit=in', 201), 'at most 200'];
        yield ['reading gauge=A n=1 value=1 unit=in', 'gauge is'];
        yield ['reading gauge=a value=1 unit=in', 'n is'];
        yield ['reading gauge=a n=1 value=1,5 unit=in', 'value is'];
        yield ['reading gauge=a n=1 value=1e5 unit=in', 'value is'];
        yield ['reading gauge=a n=1 value=1 unit=furlong', 'unit is'];
        yield ['reading gauge=a n=1 value=1', 'unit is'];
        yield ['reading gauge=a n=1 value=1 unit=in height=1.9', 'height_unit is'];
        yield ['reading gauge=a n=1 value=1 unit=in colour=red', '“colour=red” is not understood'];
        yield ['reading gauge=a gauge=b n=1 value=1 unit=in', 'each once'];
    }

    #[DataProvider('wrong')]
    public function testWhatIsNoLineIsRefusedByItsNumber(string $text, string $words): void
    {
        try {
            GaugeLine::parse($text, 7);
            self::fail('accepted');
        } catch (BadDocument $problem) {
            self::assertSame('/line/7', $problem->pointer);
            self::assertStringContainsString($words, $problem->reason);
        }
    }
}
