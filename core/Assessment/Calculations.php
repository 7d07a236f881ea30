<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\Before;
use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Clearance;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Fit;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\RunLog;
use MuteTapper\Core\Spring;
use MuteTapper\Core\Valve;

/** The registry: every calculation of the bench by its name. */
final class Calculations
{
    /** @return list<Calculation> */
    public static function all(): array
    {
        return [
            new Valve\NetLiftSolid(), new Valve\NetLiftHydraulic(),
            new Spring\RateFromTwoLoads(), new Spring\LoadAtHeight(), new Spring\TravelToBind(), new Spring\Departure(),
            new Spring\LoadDeparture(), new Spring\MiddleValue(), new Spring\RateFromGeometry(), new Spring\ShearStress(), new Spring\SquarenessLimit(), new Spring\InnerInstalledHeight(),
            new Clearance\RetainerToSeal(), new Clearance\HeightAboveSpringSeat(), new Clearance\UsableLift(), new Clearance\GrowthClearance(),
            new Before\CompressionShare(), new Before\LeakDown(), new Before\CamPhaseDeparture(), new Before\LashDrift(), new Before\PullDrift(),
            new RunLog\EngineSpeedFromRoadSpeed(),
            new Fit\SpringInPocket(), new Fit\StemInGuide(),
        ];
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
     * @throws \DomainException
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
            Uncertain::of(Quantity::of($node->get('number')->number(), $unit), [$node->pointer => Uncertain::fromHalfWidth($halfWidth * $unit->baseFactor())]),
            $node->maybe('origin')?->word() ?? 'given',
        );
    }
}
