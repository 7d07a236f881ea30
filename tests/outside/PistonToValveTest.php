<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Outside;

use MuteTapper\Core\Assessment\Calculations;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Motion\CamCard;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Piston to valve by the cam card, against SciPy: the flank from four equations solved together and integrated as polynomials, the nearest
 * place by a bounded search; and the uncertainty against draws.
 */
final class PistonToValveTest extends TestCase
{
    use RunsPython;

    /** A made-up engine; inches and degrees. */
    private const ENGINE = [
        'stroke' => 3.48, 'rod_length' => 5.70, 'pin_offset' => 0.0, 'deck_clearance' => 0.010, 'gasket_thickness' => 0.039,
        'relief_depth' => 0.180, 'valve_recess' => 0.060, 'valve_lean' => 23.0, 'ratio' => 1.5, 'lash' => 0.016, 'lobe_lift' => 0.400,
        'high_lift' => 0.050, 'high_duration' => 255.0, 'low_lift' => 0.020, 'low_duration' => 290.0, 'ramp_height' => 0.012,
        'ramp_rate' => 0.00045, 'lobe_centre' => 106.0, 'advance' => 0.0,
    ];
    private const EXHAUST = ['relief_depth' => 0.150, 'lobe_centre' => 110.0];
    /** What is not a length. */
    private const UNITS = [
        'valve_lean' => Unit::Degree, 'high_duration' => Unit::Degree, 'low_duration' => Unit::Degree, 'lobe_centre' => Unit::Degree,
        'advance' => Unit::Degree, 'ratio' => Unit::One,
    ];
    private const PROGRAM = <<<'PYTHON'
        import json, sys
        import numpy as np
        from scipy.optimize import fsolve, minimize_scalar

        SMOOTH = np.poly1d([-2, 3, 0, 0])

        def flank(lift, height, rate, up, down, top, nose):
            """Lift over cam degrees from the nose, by integrating the steps of its acceleration twice."""
            rest = top - nose
            even = (height - rate * 2) / rate
            steps = [(nose, -down, -.75 * down), (.35 * rest, -.75 * down, up), (.30 * rest, up, up), (.35 * rest, up, 0),
                     (even, 0, 0), (2, 0, rate / 2), (2, rate / 2, 0)]
            at, s, v, pieces = 0.0, lift, 0.0, []
            for width, a, to in steps:
                acceleration = SMOOTH * float(to - a) + float(a)
                velocity = np.polyint(acceleration) * float(width) + float(v)
                path = np.polyint(velocity) * float(width) + float(s)
                pieces.append((at, width, path, velocity))
                at, s, v = at + width, path(1), velocity(1)
            def value(angle, which=2):
                angle = abs(angle)
                for piece in pieces:
                    if angle <= piece[0] + piece[1]:
                        return piece[which]((angle - piece[0]) / piece[1])
                return 0.0
            return value, pieces[3][2](1), pieces[3][3](1)

        def solved(p):
            scale = p['lobe_lift']
            def miss(x):
                value, s, v = flank(p['lobe_lift'], p['ramp_height'], p['ramp_rate'], x[0] * scale / 1000, x[1] * scale / 1000, x[2], x[3])
                return [(s - p['ramp_height']) / scale, (v + p['ramp_rate']) / scale * 10,
                        (value(p['high_duration'] / 4) - p['high_lift']) / scale, (value(p['low_duration'] / 4) - p['low_lift']) / scale]
            x = fsolve(miss, [1.0, 0.5, p['low_duration'] / 4 + 4, 22.0], xtol=1e-13)
            return flank(p['lobe_lift'], p['ramp_height'], p['ramp_rate'], x[0] * scale / 1000, x[1] * scale / 1000, x[2], x[3])[0]

        def nearest(p, is_intake):
            lobe = solved(p)
            r, l, d = p['stroke'] / 2, p['rod_length'], p['pin_offset']
            centre = (p['lobe_centre'] if is_intake else -p['lobe_centre']) - p['advance']
            def clearance(angle):
                t = np.radians(angle)
                pin = r * np.cos(t) + np.sqrt(l ** 2 - (r * np.sin(t) - d) ** 2)
                room = np.sqrt((r + l) ** 2 - d ** 2) - pin
                room += p['deck_clearance'] + p['gasket_thickness'] + p['relief_depth'] + p['valve_recess']
                return room * np.cos(np.radians(p['valve_lean'])) - max(0.0, p['ratio'] * lobe((angle - centre) / 2) - p['lash'])
            around = min(np.arange(-42, 43, 2.0), key=clearance)
            found = minimize_scalar(clearance, bounds=(around - 2, around + 2), method='bounded', options={'xatol': 1e-9})
            return found.fun, found.x

        draw = np.random.default_rng(20261127)
        answers = []
        for one in json.load(sys.stdin):
            at = nearest(one['at'], one['isIntake'])
            draws = [] if one['draws'] == 0 else [
                nearest({k: v + one['half'].get(k, 0) * draw.uniform(-1, 1) for k, v in one['at'].items()}, one['isIntake'])[0]
                for _ in range(one['draws'])]
            answers.append([*map(float, at), float(np.std(draws)) if draws else 0.0])
        print(json.dumps(answers))
        PYTHON;

    /**
     * The worked example, computed by three programs that were written apart.
     *
     * @return iterable<string, array{string, float, float, float}> kind, crank degrees early, clearance in inches, and where
     */
    public static function worked(): iterable
    {
        yield 'intake, late' => ['intake', -8.0, 0.110032, 10.731];
        yield 'intake' => ['intake', 0.0, 0.055828, 10.588];
        yield 'intake, early' => ['intake', 8.0, 0.004034, 9.904];
        yield 'exhaust, late' => ['exhaust', -8.0, 0.001884, -10.259];
        yield 'exhaust' => ['exhaust', 0.0, 0.055215, -10.783];
        yield 'exhaust, early' => ['exhaust', 8.0, 0.109064, -10.317];
    }

    #[DataProvider('worked')]
    public function testTheWorkedExample(string $kind, float $advance, float $inches, float $degrees): void
    {
        $figures = ['advance' => $advance] + self::engine($kind);
        self::assertEqualsWithDelta($inches, self::computed('piston-to-'.$kind.'-valve', $figures)->quantity()->in(Unit::Inch), 6e-7);
        self::assertEqualsWithDelta($degrees, self::computed($kind.'-nearest-at', $figures)->base, 6e-4);
    }

    /** Other engines, where nothing is round; and what is not known of the figures. */
    public function testItAgreesWithSciPy(): void
    {
        $asked = $expected = [];
        $half = ['relief_depth' => 0.002, 'gasket_thickness' => 0.001, 'lash' => 0.0005, 'lobe_lift' => 0.001, 'lobe_centre' => 0.5];
        /** @var list<array{string, array<string, float>, int}> $engines */
        $engines = [
            ['intake', [], 120], ['exhaust', [], 0], ['intake', ['pin_offset' => 0.04, 'ratio' => 1.63, 'lobe_lift' => 0.355], 0],
            ['exhaust', ['stroke' => 2.9, 'rod_length' => 5.1, 'low_duration' => 284.0, 'high_duration' => 250.0, 'advance' => -5.5], 120],
            ['intake', ['valve_lean' => 11.0, 'ratio' => 1.0, 'lobe_lift' => 0.44, 'ramp_height' => 0.010, 'ramp_rate' => 0.0004], 0],
        ];
        foreach ($engines as [$kind, $more, $draws]) {
            $figures = $more + self::engine($kind);
            $asked[] = ['at' => $figures, 'half' => $half, 'isIntake' => $kind === 'intake', 'draws' => $draws];
            $expected[] = [
                self::computed('piston-to-'.$kind.'-valve', $figures, $half), self::computed($kind.'-nearest-at', $figures)->base, $draws,
            ];
        }
        foreach (self::python(self::PROGRAM, $asked) as $i => $answer) {
            [$clearance, $angle, $deviation] = array_map(static fn (Node $one): float => $one->number(), Node::root($answer)->items());
            [$found, $at, $draws] = $expected[$i];
            self::assertEqualsWithDelta($clearance, $found->quantity()->in(Unit::Inch), 1e-8, 'clearance of '.$i);
            self::assertEqualsWithDelta($angle, $at, 1e-4, 'angle of '.$i);
            if ($draws > 0) {
                // So few draws tell a deviation to about seven in a hundred.
                self::assertEqualsWithDelta($deviation, $found->standard() / Unit::Inch->baseFactor(), 0.2 * $deviation);
            }
        }
    }

    /** Facts of the trade [practice]: nearest about 10° before and after overlap; the peak hardly matters; a late cam brings the exhaust near. */
    public function testFactsOfTheTrade(): void
    {
        self::assertEqualsWithDelta(-10.0, self::computed('exhaust-nearest-at', self::engine('exhaust'))->base, 2.0);
        self::assertEqualsWithDelta(7.5, self::computed('intake-nearest-at', self::engine('intake'))->base, 7.5);
        $byLift = self::clearance('intake', []) - self::clearance('intake', ['lobe_lift' => 0.450]);
        self::assertLessThan(0.015, $byLift, 'fifty thou more at the lobe, seventy-five at the valve');
        self::assertGreaterThan(0.015, self::clearance('intake', []) - self::clearance('intake', ['ratio' => 1.6]));
        self::assertLessThan(self::clearance('exhaust', []), self::clearance('exhaust', ['advance' => -4.0]));
        self::assertGreaterThan(self::clearance('intake', []), self::clearance('intake', ['advance' => -4.0]));
    }

    public function testTheLobeIsAsItsCardSays(): void
    {
        $card = CamCard::of(0.4, 0.05, 63.75, 0.02, 72.5, 0.012, 0.00045);
        foreach ([[0.0, 0.4], [63.75, 0.05], [-63.75, 0.05], [72.5, 0.02], [200.0, 0.0]] as [$angle, $lift]) {
            self::assertEqualsWithDelta($lift, $card->lift($angle), 1e-12);
        }
        self::assertEqualsWithDelta(0.0, $card->lift($card->end - 1e-6), 1e-12);
        $step = 0.01;
        for ($angle = 0.0; $angle < $card->end; $angle += 0.25) {
            self::assertGreaterThan($card->lift($angle + $step), $card->lift($angle) + 1e-12, 'the valve only closes');
        }
    }

    /** @return iterable<string, array{list<float>}> */
    public static function contradicting(): iterable
    {
        yield 'longer above the greater lift' => [[0.4, 0.05, 74.0, 0.02, 72.5, 0.012, 0.00045]];
        yield 'a card that lies above the nose' => [[0.04, 0.05, 63.75, 0.02, 72.5, 0.012, 0.00045]];
        yield 'a ramp above the advertised lift' => [[0.4, 0.05, 63.75, 0.01, 72.5, 0.012, 0.00045]];
        yield 'a ramp too steep for its height' => [[0.4, 0.05, 63.75, 0.02, 72.5, 0.012, 0.02]];
        yield 'two durations that no flank has' => [[0.4, 0.05, 20.0, 0.049, 88.0, 0.012, 0.00045]];
    }

    /** @param list<float> $card */
    #[DataProvider('contradicting')]
    public function testAnImpossibleCardIsRefusedInWords(array $card): void
    {
        $this->expectException(Contradiction::class);
        CamCard::of(...$card);
    }

    /**
     * In inches.
     *
     * @param array<string, float> $more
     */
    private static function clearance(string $kind, array $more): float
    {
        return self::computed('piston-to-'.$kind.'-valve', $more + self::engine($kind))->quantity()->in(Unit::Inch);
    }

    /** @return array<string, float> */
    private static function engine(string $kind): array
    {
        return ($kind === 'exhaust' ? self::EXHAUST : []) + self::ENGINE;
    }

    /**
     * @param array<string, float> $figures
     * @param array<string, float> $half
     */
    private static function computed(string $calculation, array $figures, array $half = []): Uncertain
    {
        $document = [];
        foreach ($figures as $name => $figure) {
            $document[$name] = [
                'number' => $figure, 'unit' => (self::UNITS[$name] ?? Unit::Inch)->value, 'half_width' => $half[$name] ?? 0.0,
            ];
        }
        $declared = Calculations::named($calculation) ?? self::fail('There is no '.$calculation);

        return Calculations::run($declared, Node::root($document))->result;
    }
}
