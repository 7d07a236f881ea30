<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Assessment;

use MuteTapper\Core\Assessment\Calculations;
use MuteTapper\Core\Assessment\TypedInputs;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Quantity\UnitSystem;
use PHPUnit\Framework\TestCase;

/** Figures as people type them, without a case. */
final class TypedInputsTest extends TestCase
{
    /** @param array<string, string> $typed */
    private static function calculate(string $name, array $typed, UnitSystem $units = UnitSystem::Inch): Trace
    {
        return (new TypedInputs($units))->run(Calculations::named($name) ?? self::fail($name), Node::root($typed));
    }

    public function testUnitsAreTheSystemsOrTyped(): void
    {
        $typed = ['installed_height' => '1.900', 'net_lift' => '570 thou', 'bind_height' => '30.48 mm'];
        self::assertEqualsWithDelta(0.130, self::calculate('travel-to-bind', $typed)->result->quantity()->in(Unit::Inch), 1e-9);
        $metric = ['installed_height' => '48,26', 'net_lift' => '14.478', 'bind_height' => '1.2 in'];
        self::assertEqualsWithDelta(
            0.130, self::calculate('travel-to-bind', $metric, UnitSystem::Metric)->result->quantity()->in(Unit::Inch), 1e-9,
        );
    }

    /** A ± is a half-width of a rectangular distribution, as on a gauge: u = a/√3. */
    public function testAPlusMinusIsAHalfWidth(): void
    {
        $trace = self::calculate('stem-in-guide', ['guide_bore' => '0.3435 ± 0.0002', 'stem_diameter' => '0.3417 +- 0.1 thou']);
        self::assertEqualsWithDelta(sqrt((0.0002 ** 2 + 0.0001 ** 2) / 3) * 0.0254, $trace->result->standard(), 1e-12);
    }

    public function testAListHasOneALine(): void
    {
        $trace = self::calculate('middle-value', ['loads' => "168\n171; 165 lb\n"]);
        self::assertEqualsWithDelta(168, $trace->result->quantity()->in(Unit::PoundForce), 1e-9);
    }

    public function testWhatIsNotUnderstoodIsNamed(): void
    {
        foreach ([
            'installed_height' => ['installed_height' => '1.9.0', 'net_lift' => '0.5', 'bind_height' => '1.2'],
            'net_lift' => ['installed_height' => '1.9', 'net_lift' => '12 lb', 'bind_height' => '1.2'],
            'bind_height' => ['installed_height' => '1.9', 'net_lift' => '0.5'],
        ] as $input => $typed) {
            try {
                self::calculate('travel-to-bind', $typed);
                self::fail('It was accepted.');
            } catch (BadDocument $refusal) {
                self::assertStringContainsString('/'.$input, $refusal->getMessage());
            }
        }
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessage('cannot be negative');
        self::calculate('net-lift-hydraulic', ['lobe_lift' => '0.390 ± -0.001', 'ratio' => '1.5']);
    }
}
