<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\EntryParser;
use MuteTapper\Core\Quantity\NotUnderstood;
use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Quantity\UnitSystem;

/** Runs a calculation on figures as people type them: `1.842`, `45 thou`, `14.35 mm ± 0.02`; a list has one a line, or semicolons. */
final readonly class TypedInputs
{
    private EntryParser $parser;

    public function __construct(UnitSystem $units)
    {
        $this->parser = new EntryParser($units);
    }

    /**
     * @param Node $typed a text for each input, by its name
     *
     * @throws BadDocument naming the input that is missing or not understood
     * @throws Contradiction
     */
    public function run(Calculation $calculation, Node $typed): Trace
    {
        $given = [];
        foreach ($calculation->inputs() as $input) {
            $node = $typed->get($input->name);
            $texts = $input->isList ? explode(';', str_replace("\n", ';', $node->word(2000))) : [$node->word()];
            $values = [];
            foreach (array_filter($texts, static fn (string $text): bool => trim($text) !== '') as $i => $text) {
                $values[] = $this->given($text, $input, $node->pointer.'/'.$i);
            }
            $given[$input->name] = $values === [] ? throw BadDocument::at($node->pointer, 'at least one figure is needed.') : $values;
        }

        return Trace::of($calculation, Values::of($given));
    }

    private function given(string $text, Input $input, string $source): Given
    {
        $parts = array_map(trim(...), explode('±', str_replace('+-', '±', $text), 2));
        try {
            $typed = $this->parser->parse($parts[0], self::range($input->dimension));
            $halfWidth = isset($parts[1]) ? $this->parser->parse($parts[1], self::range($input->dimension))->quantity()->base : 0.0;
        } catch (NotUnderstood $refusal) {
            throw BadDocument::at('/'.$input->name, rtrim(sprintf('%s Accepted: %s.', $refusal->reason, $refusal->accepted)));
        }
        if ($halfWidth < 0) {
            throw BadDocument::at('/'.$input->name, 'a ± cannot be negative.');
        }

        return new Given(Uncertain::of($typed->quantity(), [$source => Uncertain::fromHalfWidth($halfWidth)]), 'as typed');
    }

    private static function range(Dimension $dimension): PlausibleRange
    {
        $usual = match ($dimension) {
            Dimension::Length => Quantity::of(1.842, Unit::Inch),
            Dimension::Force => Quantity::of(168, Unit::PoundForce),
            Dimension::Stiffness => Quantity::of(402, Unit::PoundForcePerInch),
            Dimension::Stress => Quantity::of(79000, Unit::Megapascal),
            Dimension::Volume => Quantity::of(64, Unit::CubicCentimetre),
            Dimension::Mass => Quantity::of(96, Unit::Gram),
            Dimension::GaugePressure => Quantity::of(175, Unit::PoundPerSquareInch),
            Dimension::Velocity => Quantity::of(150, Unit::KilometrePerHour),
            Dimension::Temperature => Quantity::of(90, Unit::DegreeCelsius),
            Dimension::Viscosity => Quantity::of(92, Unit::SquareMillimetrePerSecond),
            Dimension::DynamicViscosity => Quantity::of(9, Unit::MillipascalSecond),
            Dimension::PressureViscosity => Quantity::of(18, Unit::PerGigapascal),
            Dimension::Density => Quantity::of(0.85, Unit::GramPerCubicCentimetre),
            Dimension::LiftCurvature => Quantity::of(0.0048, Unit::MillimetrePerSquareDegree),
            Dimension::Area => Quantity::of(48, Unit::SquareCentimetre),
            Dimension::RotationSpeed => Quantity::of(6500, Unit::RevolutionPerMinute),
            default => Quantity::base(2, $dimension),
        };

        return PlausibleRange::any($dimension, $usual);
    }
}
