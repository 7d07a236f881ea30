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
        'pressure' => [1.2e6, 4e4], 'temperature' => [358.0, 1.0], 'viscosity' => [90e-6, 1e-6], 'film' => [0.4, 0.07],
        'dynamic_viscosity' => [0.009, 1e-4], 'pressure_viscosity' => [18.0, 1.0], 'density' => [850.0, 1.0], 'area' => [0.0048, 1e-5],
        'rotation_speed' => [6400.0, 10.0], 'lift_curvature' => [4.4e-6, 1e-8], 'frequency' => [480.0, 10.0],
    ];
    /** Where a formula wants figures that fit each other. */
    private const FITTING = [
        'spring-rate-from-two-loads' => ['load_seat' => 740.0, 'height_seat' => 0.048, 'load_open' => 1830.0, 'height_open' => 0.033],
        'spring-load-as-taken' => ['height' => 0.048, 'wanted_height' => 0.048],
        'spring-rate-from-geometry' => ['wire_diameter' => 0.0053, 'mean_diameter' => 0.034, 'active_coils' => 4.0],
        'spring-shear-stress' => ['wire_diameter' => 0.0053, 'mean_diameter' => 0.034],
        'spring-surge-frequency' => ['wire_diameter' => 0.0053, 'mean_diameter' => 0.034, 'active_coils' => 4.0],
        'load-from-sweep' => [
            'heights' => [0.048, 0.0478, 0.0476, 0.0474, 0.0472, 0.047, 0.0468, 0.0466, 0.0464, 0.0462, 0.046, 0.0458],
            'loads' => [738.0, 757.0, 771.0, 780.0, 799.0, 813.0, 822.0, 841.0, 855.0, 864.0, 883.0, 897.0],
            'wanted_height' => 0.0469,
        ],
        'rate-from-sweep' => [
            'heights' => [0.048, 0.0468, 0.0456, 0.0444, 0.0432, 0.042, 0.0408, 0.0396, 0.0384, 0.0372, 0.036, 0.0348],
            'loads' => [738.0, 827.0, 911.0, 990.0, 1079.0, 1163.0, 1242.0, 1331.0, 1415.0, 1494.0, 1583.0, 1667.0],
            'height' => 0.0475,
            'open_height' => 0.0355,
        ],
        'bind-height-from-sweep' => [
            'heights' => [
                0.035, 0.0347, 0.0344, 0.0341, 0.0338, 0.0335, 0.0332, 0.0329,
                0.0326, 0.0323, 0.032, 0.0317, 0.0314, 0.0311, 0.0308, 0.0305,
            ],
            'loads' => [
                740.0, 761.0, 782.0, 803.0, 824.0, 845.0, 866.0, 887.0,
                908.0, 929.0, 950.0, 971.0, 1411.4, 2131.4, 2851.4, 3571.4,
            ],
        ],
        'oil-viscosity-at-temperature' => ['viscosity_40' => 92e-6, 'viscosity_100' => 13.4e-6],
        'film-at-nose' => [
            'force' => 2900.0, 'track_width' => 0.0131, 'contact_radius' => 0.0074, 'nose_radius' => 0.0077, 'nose_height' => 0.029,
            'engine_speed' => 2200.0, 'contact_modulus' => 113e9,
        ],
        'nose-bend' => ['lift_at_nose' => 0.0101, 'lift_before' => 0.0097, 'lift_after' => 0.0096, 'step' => 15.0],
        'nose-radius-from-bend' => ['nose_height' => 0.029, 'bend' => 5.6e-6],
        'nose-radius-under-roller' => ['nose_height' => 0.025, 'bend' => 4.8e-6, 'roller_diameter' => 0.019],
        'coil-pitch' => ['free_height' => 0.057, 'wire_diameter' => 0.0053, 'active_coils' => 4.0],
        'spring-in-pocket-pressed' => ['room' => 0.0007, 'growth' => 0.0002, 'above_rim' => -0.001],
        'drive-lag-credit' => ['lag' => 3.0, 'clearance_before' => 0.0020, 'clearance_after' => 0.0028, 'step' => 4.0],
        'nose-height' => ['base_circle' => 0.03, 'lobe_lift' => 0.01],
        'bound-over-speed' => ['bound' => 9400.0, 'speed' => 7600.0],
        'crown-radius' => ['face_diameter' => 0.021, 'crown' => 0.00004],
        'contact-radius' => ['nose_radius' => 0.0077, 'follower_radius' => 1.1],
        'nose-stress' => ['force' => 2900.0, 'track_width' => 0.0131, 'contact_radius' => 0.0074, 'contact_modulus' => 113e9],
        'nose-force-slow' => ['load_open' => 1830.0],
        'nose-force-at-speed' => ['load_open' => 1830.0, 'mass' => 0.19],
        'quasi-static-bound' => ['load_open' => 1830.0, 'gas_force' => 120.0, 'mass' => 0.19],
        'gas-force' => ['cylinder_pressure' => 2e4, 'port_pressure' => 2.1e5, 'seat_diameter' => 0.038, 'stem_diameter' => 0.0079],
        'seat-emptying-pressure' => ['cylinder_pressure' => 2e4, 'seat_diameter' => 0.038, 'stem_diameter' => 0.0079],
        'valve-to-valve' => [
            'closed_gap' => 0.0061, 'intake_lift' => 0.0031, 'exhaust_lift' => 0.0029, 'intake_lean' => 12.0, 'exhaust_lean' => 14.0,
        ],
        'coil-growth' => ['pitch' => 0.0118, 'wire_diameter' => 0.0053, 'mean_diameter' => 0.034],
        'spring-fatigue-use' => ['stress_seat' => 4.1e8, 'stress_open' => 8.4e8, 'endurance' => 5.3e8, 'strength' => 1.25e9],
        'metal-to-take-off' => ['volume' => 66e-6, 'wanted' => 61e-6],
        'compression-ratio' => [
            'bore' => 0.102, 'stroke' => 0.088, 'piston' => 6e-6, 'gasket_thickness' => 0.001, 'deck_clearance' => 0.0003,
        ],
    ];

    /** What solves for the shape of a lobe is checked in a test of its own, PistonToValveTest: it takes too long for so many draws. */
    private const ELSEWHERE = '/^(piston-to-(intake|exhaust)-valve|(intake|exhaust)-nearest-at'
        .'|(clearance-at-phase-(intake|exhaust)|float-speed|first-loss|loft-at-speed)(-by-table)?)$/';

    /** Inputs that are taken as exact: a height set on the tester's own scale, whose error is in the gain of the load. */
    private const EXACT = [
        'load-from-sweep' => ['heights'], 'rate-from-sweep' => ['heights', 'height', 'open_height'],
        'bind-height-from-sweep' => ['heights'],
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

        def d341(nu40, nu100, kelvin):
            """The straight line of the standard, by natural logarithms and least squares through its two points."""
            z = lambda nu: np.log(np.log(nu * 1e6 + 0.7))
            t40, t100 = np.log(313.15), np.log(373.15)
            slope = (z(nu100) - z(nu40)) / (t100 - t40)
            return (np.exp(np.exp(z(nu40) + slope * (np.log(kelvin) - t40))) - 0.7) / 1e6

        def hertz(load, width, radius, modulus):
            """By the half-width of the flat that the load presses, Johnson 4.43 and 4.45."""
            half = sqrt(4 * (load / width) * radius / (pi * modulus))
            return 2 * (load / width) / (pi * half)

        def film(load, width, radius, nose, height, rpm, eta, alpha, modulus):
            omega = rpm * 2 * pi / 60 / 2
            u = 0.5 * omega * np.abs(2 * nose - height)
            e = 2 * modulus
            return 2.65 * (eta * u) ** 0.7 * (alpha * 1e-9) ** 0.54 * radius ** 0.43 * e ** -0.03 * (load / width) ** -0.13 * 1e6

        def under_roller(height, bend, roller):
            """By the curvature of the path of the roller's middle, written in polar coordinates."""
            r, dd = height + roller / 2, -bend / radians(1) ** 2
            curvature = (r ** 2 - r * dd) / r ** 3
            return 1 / curvature - roller / 2

        def at_speed(load, ratio, mass, bend, rpm):
            cam = rpm / 2 * 360 / 60
            return ratio * (load - mass * ratio * bend * cam ** 2)

        def swept(x, count):
            """Heights, which are exact, and loads, drawn or not."""
            n = (len(x) - count) // 2
            return np.array([np.atleast_1d(h)[0] for h in x[:n]]), np.array([np.atleast_1d(load) for load in x[n:2 * n]]), x[2 * n:]

        def load_from_sweep(*x):
            heights, loads, (wanted,) = swept(x, 1)
            near = np.abs(heights - np.mean(wanted)) <= 0.025 * 0.0254 + 1e-9
            slope, level = np.polyfit(heights[near], loads[near], 1)
            return np.squeeze(slope * wanted + level)

        def rate_from_sweep(*x):
            heights, loads, (high, low) = swept(x, 2)
            within = (heights <= np.mean(high) + 1e-9) & (heights >= np.mean(low) - 1e-9)
            return np.squeeze(-np.polyfit(heights[within], loads[within], 1)[0])

        def bind_from_sweep(*x):
            """Where two fitted lines cross; the scale of the tester and the steps of the sweep are drawn along."""
            heights, loads, _ = swept(x, 0)
            slopes = -np.diff(np.mean(loads, axis=1)) / np.diff(heights)
            solid = 1 + int(np.argmax(slopes > 4 * np.median(slopes)))
            above = (heights >= heights[solid - 1] - 1e-9) & (heights <= heights[solid - 1] + 0.050 * 0.0254 + 1e-9)
            k, a = np.polyfit(heights[above], loads[above], 1)
            stiff, b = np.polyfit(heights[solid:], loads[solid:], 1)
            found = np.squeeze((a - b) / (stiff - k))
            if np.ndim(found) == 0:
                return found
            step = (heights[0] - heights[-1]) / (len(heights) - 1)
            return found + 0.001 * 0.0254 * draw.uniform(-1, 1, found.size) + step / 2 * draw.uniform(-1, 1, found.size)

        apart = {
            'load-from-sweep': load_from_sweep,
            'rate-from-sweep': rate_from_sweep,
            'bind-height-from-sweep': bind_from_sweep,
            'oil-viscosity-at-temperature': d341,
            'height-at-half-lift': lambda height, lift: height - lift / 2,
            'oil-dynamic-viscosity': lambda nu, rho: nu * rho,
            'film-at-nose': film,
            'film-ratio': lambda film, a, b: film / np.hypot(a, b),
            'roughness-rq-from-ra': lambda ra: 1.25 * ra,
            'nose-bend': lambda nose, before, after, step: ((nose - before) + (nose - after)) / step ** 2,
            'nose-radius-from-bend': lambda height, bend: height - bend / radians(1) ** 2,
            'nose-height': lambda base, lift: 0.5 * base + lift,
            'nose-radius-under-roller': under_roller,
            'roller-radius': lambda diameter: 0.5 * diameter,
            'bound-over-speed': lambda bound, speed: bound / speed,
            'surge-order': lambda frequency, speed: frequency / (speed / 60 / 2),
            'cam-early': lambda phase: -phase,
            'exhaust-cam-early': lambda phase: phase,
            'cam-late': lambda phase: phase,
            'exhaust-cam-late': lambda phase: -phase,
            'speed-over-intended': lambda highest, intended: highest - intended,
            'contact-radius': lambda a, b: a * b / (a + b),
            'nose-stress': hertz,
            'nose-force-slow': lambda load, ratio: load * ratio,
            'nose-force-at-speed': at_speed,
            'effective-mass': lambda valve, retainer, locks, spring, follower, pushrod, rocker, ratio:
                (valve + retainer + locks) + spring / 3 + rocker + follower / ratio ** 2 + pushrod / ratio ** 2,
            'quasi-static-bound': lambda load, gas, mass, ratio, bend: 2 * sqrt((load - gas) / mass / (ratio * bend)) / 360 * 60,
            'gas-force': lambda port, cylinder, seat, stem:
                port * (pi * seat ** 2 / 4 - pi * stem ** 2 / 4) - cylinder * pi * seat ** 2 / 4,
            'seat-emptying-pressure': lambda load, cylinder, seat, stem:
                (load + cylinder * pi * seat ** 2 / 4) / (pi * (seat - stem) * (seat + stem) / 4),
            'valve-to-valve': lambda gap, intake, exhaust, a, b: gap - intake * np.sin(radians(a)) - exhaust * np.sin(radians(b)),
            'drive-lag-credit': lambda lag, before, after, step: (after - before) / step * lag,
            'metal-to-take-off': lambda volume, wanted, opening: (volume - wanted) / opening,
            'coil-pitch': lambda free, wire, active: free / active - 2 * wire / active,
            'spring-in-pocket-pressed': lambda room, growth, above: room - growth,
            'coil-growth': lambda m, d, mean: 0.1 * (m * m - 0.8 * m * d - 0.2 * d * d) / mean,
            'spring-fatigue-use': lambda least, most, endurance, strength:
                50 * (most - least) / endurance + 50 * (most + least) / strength,
            'crown-radius': lambda diameter, crown: ((diameter / 2) ** 2 + crown ** 2) / (2 * crown),
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
                if one['name'] in apart:
                    return apart[one['name']](*inputs)
                if one['isList']:
                    return of_sets[one['formula']](np.array(inputs), axis=0)
                return worded(one['formula'], inputs)
            draws = [x + h * draw.uniform(-1, 1, 200000) for x, h in zip(one['at'], one['half'])]
            answers.append([float(value(one['at'])), float(np.std(value(draws)))])
        print(json.dumps(answers))
        PYTHON;

    public function testEveryCalculationAgreesWithAFormulaWrittenApart(): void
    {
        $asked = $results = [];
        foreach (Calculations::all() as $calculation) {
            if (preg_match(self::ELSEWHERE, $calculation->name()) === 1) {
                continue;
            }
            [$document, $at, $half] = self::example($calculation);
            $results[] = Calculations::run($calculation, Node::root($document))->result;
            $inputs = $calculation->inputs();
            $asked[] = [
                'name' => $calculation->name(), 'formula' => $calculation->formula(), 'isList' => $inputs[0]->isList,
                'at' => $at, 'half' => $half,
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

    /** @return array{array<string, mixed>, list<float>, list<float>} the document of the inputs, their values in order, and half-widths */
    private static function example(Calculation $calculation): array
    {
        $document = $at = $halves = [];
        $seen = [];
        foreach ($calculation->inputs() as $input) {
            $share = in_array($input->name, self::EXACT[$calculation->name()] ?? [], true) ? 0.0 : self::SHARE;
            $values = self::fitting($calculation->name(), $input->name);
            if ($values === []) {
                [$usual, $step] = self::USUAL[$input->dimension->value] ?? self::fail('No usual figure of '.$input->dimension->value);
                foreach (range(0, $input->isList ? 4 : 0) as $ignored) {
                    $place = $seen[$input->dimension->value] = ($seen[$input->dimension->value] ?? -1) + 1;
                    $values[] = $usual + $step * ($place * 2 % 5);
                }
            }
            $given = array_map(static fn (float $value): array => self::quantity($value, $share, $input->dimension), $values);
            $document[$input->name] = $input->isList ? $given : $given[0];
            array_push($at, ...$values);
            array_push($halves, ...array_map(static fn (float $value): float => $share * abs($value), $values));
        }

        return [$document, $at, $halves];
    }

    /** @return list<float> figures that fit each other; none where any will do */
    private static function fitting(string $calculation, string $input): array
    {
        $fitting = self::FITTING[$calculation][$input] ?? [];

        return is_array($fitting) ? $fitting : [$fitting];
    }

    /** @return array{number: float, unit: string, half_width: float} */
    private static function quantity(float $value, float $share, Dimension $dimension): array
    {
        return ['number' => $value, 'unit' => $dimension->baseUnit()->value, 'half_width' => $share * abs($value)];
    }
}
