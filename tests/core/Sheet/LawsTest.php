<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Sheet;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;
use MuteTapper\Core\Verdict\Margin;
use MuteTapper\Core\Verdict\Side;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What holds of every engine, whatever was measured: tried on engines filled by chance. */
final class LawsTest extends TestCase
{
    /** Without these a lift meets nothing. */
    private const ALWAYS = ['installed_height', 'bind_height', 'net_lift'];

    /** @return iterable<array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 12) as $seed) {
            yield [$seed];
        }
    }

    /** A valve that goes further has less room everywhere, or as much: never more. */
    #[DataProvider('seeds')]
    public function testALargerLiftNeverRaisesAMargin(int $seed): void
    {
        $bench = self::filled($seed)->bench();
        $stations = $bench->case->engine->sites(Site::Station);
        $more = $bench->with(Change::none()->adding($stations, 'net_lift', Quantity::of(0.001 * $seed * $seed, Unit::Inch)));
        $fell = 0;
        foreach (self::rooms($bench) as [$margin, $room]) {
            $after = $more->margin($margin->place, $margin->limit->quantity, $margin->index)?->trace?->result;
            self::assertNotNull($after, $margin->place.' '.$margin->limit->quantity);
            self::assertLessThanOrEqual($room + 1e-12, $after->base, $margin->place.' '.$margin->limit->quantity);
            $fell += (int) ($after->base < $room - 1e-12);
        }
        self::assertGreaterThan(0, $fell);
    }

    /** Inches or millimetres are how a case is shown: it is judged the same. */
    #[DataProvider('seeds')]
    public function testTheChoiceOfUnitsNeverChangesAVerdict(int $seed): void
    {
        $told = static function (UnitSystem $units) use ($seed): array {
            $verdicts = [];
            foreach (self::filled($seed, $units)->bench()->margins() as $margin) {
                $key = implode(' ', [$margin->place, $margin->limit->quantity, $margin->index]);
                $verdicts[$key] = [$margin->verdict->value, $margin->trace?->result->base, $margin->trace?->result->standard()];
            }

            return $verdicts;
        };
        $inch = $told(UnitSystem::Inch);
        self::assertGreaterThan(100, count($inch));
        self::assertSame($inch, $told(UnitSystem::Metric));
    }

    /** @return iterable<array{Margin, float}> margins that are rooms, with what is left of each */
    private static function rooms(Bench $bench): iterable
    {
        foreach ($bench->margins() as $margin) {
            $judged = $bench->sheets->judged[$margin->limit->quantity];
            if ($margin->trace !== null && $margin->limit->side === Side::AtLeast && !$judged->isDeparture && !$judged->accusesOnly) {
                yield [$margin, $margin->trace->result->base];
            }
        }
    }

    /** An engine of eight with most of its figures read, each somewhere about its usual one. */
    private static function filled(int $seed, UnitSystem $units = UnitSystem::Inch): Example
    {
        $chance = new Randomizer(new Mt19937($seed));
        $example = new Example(['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8, 'rocker_ratio' => 1.5], 'usual', $units);
        $stations = $example->engine()->sites(Site::Station);
        foreach (AllSheets::get()->columns as $code => $column) {
            if ($column->site !== Site::Station || !$column->isReadable || $column->isForDual) {
                continue;
            }
            if (!in_array($code, self::ALWAYS, true) && $chance->getInt(1, 8) === 1) {
                continue;
            }
            $unit = UnitSystem::Inch->unitOf($column->dimension());
            foreach ($stations as $place) {
                $about = $column->range->example()->in($unit) * (1 + 0.02 * $chance->getInt(-1000, 1000) / 1000);
                $figure = max($column->range->least->in($unit), min($column->range->most->in($unit), $about));
                $text = number_format($figure, 4, '.', '');
                if ($column->index->has(Axis::Coil)) {
                    $example->measures($place, $code, $text, $column->isAtHeight ? '1.900' : null, Coil::Outer->value);
                } elseif ($column->index->axes === []) {
                    $example->tests($place, $code, $text);
                }
            }
        }

        return $example;
    }
}
