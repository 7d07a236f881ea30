<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Outside;

use MuteTapper\Core\Assessment\Calculations;
use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\Dimension;
use PHPUnit\Framework\TestCase;

/**
 * Every calculation of the bench against NumPy: the value against a formula written apart, or read from its own words, and the
 * uncertainty of first order against 200,000 draws from the half-widths of its inputs [pub: JCGM 101:2008, propagation by drawing].
 */
final class UncertaintyTest extends TestCase
{
    use RunsPython;

    /** Half-width of each input, as a share of it: what a good gauge does, and small enough for the first order. */
    private const SHARE = 0.002;
    /** What is left of chance in the standard deviation of so many draws, several times over. */
    private const CHANCE = 0.015;

    /** A figure such as one meets, in base units; the inputs of one dimension are told apart by their place. */
    private const USUAL = [
        'length' => [0.048, 0.0033], 'force' => [740.0, 90.0], 'stiffness' => [70e3, 4e3], 'stress' => [79e9, 1e9],
        'ratio' => [1.6, 0.7], 'percent' => [8.0, 1.5], 'crank_angle' => [45.0, 1.0], 'mass' => [0.096, 0.002],
        'volume' => [64e-6, 1e-6], 'road_speed' => [31.0, 1.0],
        'pressure' => [1.2e6, 4e4],
    ];
    /** Where a formula wants figures that fit each other. */
    private const FITTING = [
        'spring-rate-from-two-loads' => ['load_seat' => 740.0, 'height_seat' => 0.048, 'load_open' => 1830.0, 'height_open' => 0.033],
        'spring-load-as-taken' => ['height' => 0.048, 'wanted_height' => 0.048],
        'spring-rate-from-geometry' => ['wire_diameter' => 0.0053, 'mean_diameter' => 0.034, 'active_coils' => 4.0],
        'spring-shear-stress' => ['wire_diameter' => 0.0053, 'mean_diameter' => 0.034],
        'spring-surge-frequency' => ['wire_diameter' => 0.0053, 'mean_diameter' => 0.034, 'active_coils' => 4.0],
        'compression-ratio' => [
            'bore' => 0.102, 'stroke' => 0.088, 'piston' => 6e-6, 'gasket_thickness' => 0.001, 'deck_clearance' => 0.0003,
        ],
    ];

    /** Written apart from the core, in the symbols of the textbooks. */
    private const PROGRAM = <<<'PYTHON'
        import json, re, sys
        import numpy as np
        from numpy import pi, sqrt, tan, radians

        def wahl(load, wire_diameter, mean_diameter):
            c = mean_diameter / wire_diameter
            return ((4 * c - 1) / (4 * c - 4) + 0.615 / c) * 8 * load * mean_diameter / (pi * wire_diameter ** 3)

        def surge(shear_modulus, wire_diameter, mean_diameter, active_coils):
            rate = shear_modulus * wire_diameter ** 4 / (8 * mean_diameter ** 3 * active_coils)
            mass = 7850 * (pi * wire_diameter ** 2 / 4) * (pi * mean_diameter * active_coils)
            return 0.5 * sqrt(rate / mass)

        def ratio(bore, stroke, chamber, piston, gasket_thickness, deck_clearance):
            a = pi * bore ** 2 / 4
            top = chamber + piston + a * (gasket_thickness + deck_clearance)
            return (top + a * stroke) / top

        apart = {
            'compression-share': lambda compression, highest: 100 * compression / highest,
            'load-departure': lambda load, reference: 100 * (load / reference - 1),
            'rate-departure': lambda rate, reference: 100 * (rate / reference - 1),
            'spring-load-at-height': lambda load, height, rate, wanted_height: load + rate * (height - wanted_height),
            'spring-load-as-taken': lambda load, height, wanted_height: load,
            'free-height-allowance': lambda load, rate: load / (10 * rate),
            'spring-rate-from-two-loads':
                lambda load_seat, height_seat, load_open, height_open: (load_open - load_seat) / (height_seat - height_open),
            'net-lift-solid': lambda lobe_lift, ratio, lash: lobe_lift * ratio - lash,
            'net-lift-hydraulic': lambda lobe_lift, ratio: lobe_lift * ratio,
            'spring-squareness-limit': lambda free_height: free_height * tan(radians(2)),
            'spring-rate-from-geometry': lambda shear_modulus, wire_diameter, mean_diameter, active_coils:
                shear_modulus * wire_diameter ** 4 / (8 * mean_diameter ** 3 * active_coils),
            'spring-shear-stress': wahl,
            'spring-surge-frequency': surge,
            'radial-room': lambda relief_radius, head_diameter: relief_radius - 0.5 * head_diameter,
            'compression-ratio': ratio,
            'engine-speed-from-road-speed': lambda road_speed, overall_ratio, circumference:
                60 * road_speed * overall_ratio / circumference,
        }
        of_sets = {
            'median of the set': np.median, 'least of the set': np.min, 'greatest of the set': np.max,
            'greatest − least': lambda x, axis: np.max(x, axis) - np.min(x, axis),
        }

        def worded(formula, inputs):
            """A sum as its own words say it: the terms in the order of the inputs."""
            signs = re.findall(r' ([+−]) ', ' + ' + formula)
            if len(signs) != len(inputs):
                raise ValueError(formula + ' does not name its inputs one by one')
            return sum((x if sign == '+' else -x) for sign, x in zip(signs, inputs))

        draw = np.random.default_rng(20261127)
        answers = []
        for one in json.load(sys.stdin):
            def value(inputs):
                if one['isList']:
                    return of_sets[one['formula']](np.array(inputs), axis=0)
                if one['name'] in apart:
                    return apart[one['name']](**dict(zip(one['names'], inputs)))
                return worded(one['formula'], inputs)
            draws = [x + h * draw.uniform(-1, 1, 200000) for x, h in zip(one['at'], one['half'])]
            answers.append([float(value(one['at'])), float(np.std(value(draws)))])
        print(json.dumps(answers))
        PYTHON;

    public function testEveryCalculationAgreesWithAFormulaWrittenApart(): void
    {
        $asked = $results = [];
        foreach (Calculations::all() as $calculation) {
            [$document, $at] = self::example($calculation);
            $results[] = Calculations::run($calculation, Node::root($document))->result;
            $inputs = $calculation->inputs();
            $asked[] = [
                'name' => $calculation->name(), 'formula' => $calculation->formula(), 'isList' => $inputs[0]->isList,
                'names' => array_map(static fn (Input $input): string => $input->name, $inputs), 'at' => $at,
                'half' => array_map(static fn (float $value): float => self::SHARE * $value, $at),
            ];
        }
        self::assertGreaterThan(50, count($asked));
        foreach (self::python(self::PROGRAM, $asked) as $i => $reference) {
            [$value, $deviation] = array_map(static fn (Node $one): float => $one->number(), Node::root($reference)->items());
            $name = $asked[$i]['name'];
            self::assertEqualsWithDelta($value, $results[$i]->base, 1e-9 * max(abs($value), 1e-9), $name);
            self::assertEqualsWithDelta($deviation, $results[$i]->standard(), self::CHANCE * $deviation, 'uncertainty of '.$name);
        }
    }

    /** @return array{array<string, mixed>, list<float>} the document of the inputs, and their values in order */
    private static function example(Calculation $calculation): array
    {
        $document = $at = [];
        $seen = [];
        foreach ($calculation->inputs() as $input) {
            $values = [];
            foreach (range(0, $input->isList ? 4 : 0) as $ignored) {
                [$usual, $step] = self::USUAL[$input->dimension->value] ?? self::fail('No usual figure of '.$input->dimension->value);
                $place = $seen[$input->dimension->value] = ($seen[$input->dimension->value] ?? -1) + 1;
                $values[] = self::FITTING[$calculation->name()][$input->name] ?? $usual + $step * ($place * 2 % 5);
            }
            $given = array_map(static fn (float $value): array => self::quantity($value, $input->dimension), $values);
            $document[$input->name] = $input->isList ? $given : $given[0];
            array_push($at, ...$values);
        }

        return [$document, $at];
    }

    /** @return array{number: float, unit: string, half_width: float} */
    private static function quantity(float $value, Dimension $dimension): array
    {
        return ['number' => $value, 'unit' => $dimension->baseUnit()->value, 'half_width' => self::SHARE * $value];
    }
}
