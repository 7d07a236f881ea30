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
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Head\HeadCalculations;
use MuteTapper\Core\Motion\PistonToValve;
use MuteTapper\Core\Piston\PistonCalculations;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\RunLog\EngineSpeedFromRoadSpeed;
use MuteTapper\Core\Spring\RateFromGeometry;
use MuteTapper\Core\Spring\ShearStress;
use MuteTapper\Core\Spring\SpringCalculations;
use MuteTapper\Core\Spring\SquarenessLimit;

/** The registry: every calculation of the bench by its name. */
final class Calculations
{
    /** @return list<Calculation> those that sheets make use of, and those that stand by themselves */
    public static function all(): array
    {
        $standing = [
            new RateFromGeometry(), new ShearStress(), new SquarenessLimit(),
            SpringCalculations::fatigueUse(), HeadCalculations::usableLift(),
            PistonCalculations::afterGrowth(), PistonCalculations::metalToTakeOff(), PistonCalculations::valveToValve(),
            PistonCalculations::driveLagCredit(),
            PistonToValve::least(ValveKind::Intake), PistonToValve::nearestAt(ValveKind::Intake),
            PistonToValve::least(ValveKind::Exhaust), PistonToValve::nearestAt(ValveKind::Exhaust),
            new EngineSpeedFromRoadSpeed(),
        ];

        return array_values(
            AllSheets::get()->calculations() + array_combine(
                array_map(static fn (Calculation $one): string => $one->name(), $standing), $standing,
            ),
        );
    }

    /** @return array<string, string> title of the sheet that a calculation is at home on, by name; nothing of those that stand alone */
    public static function homes(): array
    {
        $sheets = AllSheets::get();
        $homes = [];
        foreach ($sheets->values as $value) {
            foreach ($value->ways as $way) {
                if ($way->calculation !== null) {
                    $homes[$way->calculation->name()] ??= $sheets->sheetOf($value->name)->title;
                }
            }
        }

        return $homes;
    }

    public static function named(string $name): ?Calculation
    {
        foreach (self::all() as $calculation) {
            if ($calculation->name() === $name) {
                return $calculation;
            }
        }

        return null;
    }

    /**
     * Runs a calculation on a document: by input name, `{"number": 1.8, "unit": "in", "half_width": 0.001}`, or a list of
     * these for a list input. Each half-width is an independent rectangular ±.
     *
     * @throws BadDocument
     * @throws Contradiction
     */
    public static function run(Calculation $calculation, Node $document): Trace
    {
        $given = [];
        foreach ($calculation->inputs() as $input) {
            $node = $document->get($input->name);
            $values = array_map(
                static fn (Node $one): Given => self::given($one, $input),
                $input->isList ? $node->items() : [$node],
            );
            if ($values === []) {
                throw BadDocument::at($node->pointer, 'the list is empty; at least one value is needed.');
            }
            $given[$input->name] = $values;
        }

        return Trace::of($calculation, Values::of($given));
    }

    private static function given(Node $node, Input $input): Given
    {
        $unit = $node->get('unit')->choice(Unit::class);
        if ($unit->dimension() !== $input->dimension) {
            throw BadDocument::at($node->pointer.'/unit', sprintf('“%s” is not a unit of %s.', $unit->value, $input->dimension->value));
        }
        $halfWidth = $node->maybe('half_width')?->number() ?? 0.0;
        if ($halfWidth < 0) {
            throw BadDocument::at($node->pointer.'/half_width', 'a half-width cannot be negative.');
        }

        return new Given(
            Uncertain::of(
                Quantity::of($node->get('number')->number(), $unit),
                [$node->pointer => Uncertain::fromHalfWidth($halfWidth * $unit->baseFactor())],
            ),
            $node->maybe('origin')?->word() ?? 'given',
        );
    }
}
