<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Sheet;

use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Slider;
use PHPUnit\Framework\TestCase;

final class SliderTest extends TestCase
{
    public function testWhatIsMoreThanNothingIsNotTriedAsLess(): void
    {
        $grams = Slider::around(12, 12, 0.5, Unit::Gram);
        self::assertEqualsWithDelta(0.0005, $grams->from(0.0108), 1e-12);
        self::assertEqualsWithDelta(0.0230, $grams->to(0.0108), 1e-12);
        self::assertEqualsWithDelta(0.0080, $grams->from(0.0200), 1e-12);
        self::assertLessThan(0.0, Slider::around(0.1, 0.1)->from(-0.001), 'what may lie below nothing still may');
    }
}
