<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Quantity\UnitSystem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Figures with their ± as everybody sees them. */
final class QuantityViewTest extends TestCase
{
    /** @return iterable<string, array{Quantity, float, string, string|null}> quantity, half-width in its unit, shown and ± */
    public static function figures(): iterable
    {
        yield 'a ± of its digits' => [Quantity::of(1.842, Unit::Inch), 0.001, '1.842 ± 0.001 in', '0.001'];
        yield 'a ± of a digit more' => [Quantity::of(1.842, Unit::Inch), 0.0003, '1.842 ± 0.0003 in', '0.0003'];
        yield 'a ± of nothing that could be seen' => [Quantity::of(1.842, Unit::Inch), 0.00002, '1.842 in', null];
        yield 'no ± at all' => [Quantity::of(1.842, Unit::Inch), 0.0, '1.842 in', null];
        yield 'less than its last digit' => [Quantity::of(0.00045, Unit::Inch), 0.0, '0.00045 in', null];
        yield 'nothing' => [Quantity::of(0.0, Unit::Inch), 0.0, '0.000 in', null];
        yield 'a plain number' => [Quantity::of(1.5, Unit::One), 0.02, '1.50 ± 0.02', '0.02'];
    }

    #[DataProvider('figures')]
    public function testAFigureAndItsDoubt(Quantity $quantity, float $halfWidth, string $shown, ?string $plusMinus): void
    {
        $unit = $quantity->dimension === Unit::One->dimension() ? Unit::One : Unit::Inch;
        $u = Uncertain::fromHalfWidth($halfWidth * $unit->baseFactor());
        $view = QuantityView::uncertain(Uncertain::of($quantity, ['gauge' => $u]), UnitSystem::Inch);
        self::assertSame([$shown, $plusMinus], [$view->shown, $view->plusMinus]);
    }
}
