<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Outside;

use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Photograph\Annotation;
use MuteTapper\Core\Photograph\Measurer;
use MuteTapper\Core\Photograph\Shape;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Typed;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\RunLog\LogAnalyser;
use MuteTapper\Core\RunLog\LogResult;
use MuteTapper\Core\RunLog\Thresholds;
use MuteTapper\Core\Schedule\Schedule;
use MuteTapper\Core\Schedule\Task;
use MuteTapper\Core\Sheet\FarFromOthers;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Measures on photographs, schedules and logs against programs of their own in Python, which know nothing of this one. */
final class WorkOutsideTest extends TestCase
{
    use RunsPython;

    private const SHA = 'cccccccccccccccccccccccccccccccccccccccccccccccccccccccccccccccc';

    /** @return iterable<string, array{Shape, list<array{float, float}>}> */
    public static function measures(): iterable
    {
        yield 'a level length' => [Shape::Length, [[100.0, 200.0], [420.0, 200.0]]];
        yield 'a slanting length' => [Shape::Length, [[37.0, 900.0], [811.0, 133.0]]];
        yield 'a diameter, points well apart' => [Shape::Diameter, [[700.0, 400.0], [350.0, 752.0], [210.0, 140.0]]];
        yield 'a diameter from one side' => [Shape::Diameter, [[700.0, 400.0], [640.0, 560.0], [520.0, 660.0]]];
        yield 'an acute angle' => [Shape::Angle, [[600.0, 100.0], [100.0, 120.0], [560.0, 300.0]]];
        yield 'an obtuse angle' => [Shape::Angle, [[600.0, 100.0], [300.0, 400.0], [-80.0, 300.0]]];
    }

    /**
     * Value and uncertainty against a Monte Carlo with the same rectangular errors [pub: JCGM 101:2008, the method].
     *
     * @param list<array{float, float}> $points
     */
    #[DataProvider('measures')]
    public function testMeasuresAgreeWithAMonteCarlo(Shape $shape, array $points): void
    {
        $scale = [[100.0, 1000.0], [500.0, 1000.0]];
        $own = Measurer::by(
            Annotation::of(self::SHA, Shape::Scale, $scale, '', new Typed(12.5, Unit::Millimetre, 1)),
        )->measure(Annotation::of(self::SHA, $shape, $points, '', null));
        self::assertNotNull($own);
        $reference = self::python(<<<'PY'
            import json, sys, numpy as np
            given = json.load(sys.stdin)
            rng = np.random.default_rng(7)
            n = 400_000
            def placed(points):
                return np.array(points)[None, :, :] + rng.uniform(-2, 2, (n, len(points), 2))
            def dist(a, b):
                return np.hypot(*(b - a).T)
            scale = placed(given["scale"])
            millimetres = rng.uniform(12.45, 12.55, n) / dist(scale[:, 0], scale[:, 1])
            p = placed(given["points"])
            if given["shape"] == "length":
                value = dist(p[:, 0], p[:, 1]) * millimetres
            elif given["shape"] == "diameter":
                # Centre by solving the two perpendicular bisectors, not by the sides of the triangle.
                a = 2 * (p[:, 1:] - p[:, :1])
                b = (p[:, 1:] ** 2).sum(2) - (p[:, :1] ** 2).sum(2)
                centre = np.linalg.solve(a, b[..., None])[..., 0]
                value = 2 * dist(centre, p[:, 0]) * millimetres
            else:
                u, v = p[:, 0] - p[:, 1], p[:, 2] - p[:, 1]
                value = np.degrees(np.arccos((u * v).sum(1) / np.hypot(*u.T) / np.hypot(*v.T)))
            print(json.dumps([float(value.mean()), float(value.std())]))
            PY, ['scale' => $scale, 'points' => $points, 'shape' => $shape->value]);
        [$mean, $deviation] = [$reference[0] ?? null, $reference[1] ?? null];
        self::assertIsFloat($mean);
        self::assertIsFloat($deviation);
        $factor = Shape::Angle === $shape ? 1.0 : 1000.0;
        self::assertEqualsWithDelta($mean, $own->base * $factor, 0.1 * $deviation);
        self::assertEqualsWithDelta($deviation, $own->standard() * $factor, 0.03 * $deviation);
    }

    /** Random plans without circles: the days until the last task ends are those of the longest way through them. */
    public function testSchedulesAgreeWithAnEnumerationOfAllWays(): void
    {
        mt_srand(11);
        $plans = $own = [];
        for ($trial = 0; $trial < 25; ++$trial) {
            $example = Example::pushrodEight();
            $plan = [];
            for ($i = 0; $i < 9; ++$i) {
                $after = array_values(
                    array_filter(range(0, max(0, $i - 1)), static fn (int $other): bool => $other < $i && mt_rand(0, 3) === 0),
                );
                $least = mt_rand(0, 8) / 2;
                $most = $least + mt_rand(0, 6) / 2;
                $done = mt_rand(0, 5) === 0;
                $plan[] = ['after' => $after, 'least' => $least, 'most' => $most, 'done' => $done];
                $example->records(
                    EntryKind::Task, Task::slot('t'.$i),
                    [
                        'label' => 't'.$i, 'kind' => 'work', 'leastDays' => $least, 'mostDays' => $most,
                        'after' => array_map(static fn (int $other): string => 't'.$other, $after), 'taskState' => $done ? 'done' : 'open',
                    ],
                );
            }
            $schedule = Schedule::of($example->case(), new \DateTimeImmutable('2026-11-26T12:00:00Z'));
            $plans[] = $plan;
            $own[] = [$schedule->leastDays, $schedule->mostDays];
        }
        $reference = self::python(<<<'PY'
            import json, math, sys
            plans = json.load(sys.stdin)
            def ways(plan, i):
                # A finished task holds nobody up, and what came before it does not matter any more.
                yield [i]
                for j in plan[i]["after"]:
                    if not plan[j]["done"]:
                        for way in ways(plan, j):
                            yield way + [i]
            def longest(plan, key):
                lengths = [sum(plan[k][key] for k in way) for i in range(len(plan)) if not plan[i]["done"] for way in ways(plan, i)]
                return math.ceil(max(lengths, default=0))
            print(json.dumps([[longest(plan, "least"), longest(plan, "most")] for plan in plans]))
            PY, $plans);
        self::assertSame($reference, $own);
    }

    /** A made-up run, found by NumPy in one piece: the same episodes, the same peaks, nothing lost in the overview. */
    public function testEpisodesOfALogAgreeWithNumPy(): void
    {
        mt_srand(3);
        $rows = [];
        $speed = 4000.0;
        for ($i = 0; $i < 20_000; ++$i) {
            $speed = max(900.0, min(7600.0, $speed + mt_rand(-220, 221)));
            $rows[] = [round($i * 0.02, 2), round($speed, 1), round(1.0 + $speed / 1600 - (mt_rand(0, 300) === 0 ? 2.5 : 0.0), 3)];
        }
        $analyser = new LogAnalyser(
            Thresholds::fromNode(Node::root(['over_speed' => 7200, 'oil_per_thousand' => 0.69, 'oil_temperature' => 130])),
        );
        foreach ($rows as $i => [$time, $turns, $oil]) {
            $analyser->add(['time' => $time, 'speed' => $turns, 'oil_pressure' => $oil], $i + 2);
        }
        $result = $analyser->result();
        $reference = self::python(<<<'PY'
            import json, sys, numpy as np
            t, speed, oil = np.array(json.load(sys.stdin)).T
            def episodes(past):
                # Runs of rows past the threshold; runs that part for less than a tenth of a second are one.
                at = np.flatnonzero(past)
                if at.size == 0:
                    return [0, 0.0]
                parts = np.split(at, np.flatnonzero(np.diff(at) > 1) + 1)
                spans = [[t[p[0]], t[p[-1]]] for p in parts]
                joined = [spans[0]]
                for start, end in spans[1:]:
                    # The gap ends with the first row back: what matters is whether a row beyond a tenth was seen meanwhile.
                    between = t[(t > joined[-1][1]) & (t < start)]
                    if (between - joined[-1][1] > 0.1).any():
                        joined.append([start, end])
                    else:
                        joined[-1][1] = end
                return [len(joined), float(sum(e - s for s, e in joined))]
            print(
                json.dumps(
                    [
                        episodes(speed > 7200), episodes((speed > 1500) & (oil < 0.69 * speed / 1000)), float(speed.max()),
                        float(speed.min()),
                    ],
                ),
            )
            PY, $rows);
        foreach (['over_speed', 'oil_low'] as $i => $kind) {
            $expected = $reference[$i];
            self::assertIsArray($expected);
            self::assertGreaterThan(3, $expected[0], 'the run has some of each');
            self::assertSame($expected[0], $result->totals[$kind]['count'], $kind);
            self::assertIsFloat($expected[1]);
            self::assertEqualsWithDelta($expected[1], $result->totals[$kind]['seconds'], 1e-6, $kind);
        }
        $ranges = array_map(static fn (array $bucket): array => $bucket[1]['speed'], LogResult::window($result->buckets, 0, 400, 50));
        self::assertSame([$reference[2], $reference[3]], [max(0.0, ...array_column($ranges, 1)), min(1e9, ...array_column($ranges, 0))]);
    }

    /** [pub: NIST SP 811, by way of GNU units] */
    public function testTemperaturesAgreeWithGnuUnits(): void
    {
        foreach ([-40.0, 0.0, 68.0, 212.0, 451.5] as $fahrenheit) {
            $kelvin = trim((string) shell_exec(\sprintf("units --terse --output-format '%%.14g' 'tempF(%s)' K", $fahrenheit)));
            self::assertIsNumeric($kelvin);
            self::assertEqualsWithDelta((float) $kelvin, Quantity::of($fahrenheit, Unit::DegreeFahrenheit)->base, 1e-9);
            self::assertEqualsWithDelta($fahrenheit, Quantity::of($fahrenheit, Unit::DegreeFahrenheit)->in(Unit::DegreeFahrenheit), 1e-9);
        }
        self::assertEqualsWithDelta(293.15, Quantity::of(20, Unit::DegreeCelsius)->base, 1e-12);
    }

    /** Of sound sets of any size, drawn by NumPy, chance names about two in a hundred: a remark that comes often is not read. */
    public function testChanceSeldomCallsAReadingFar(): void
    {
        $rates = self::python(<<<'PY'
            import json, sys, numpy as np
            rng = np.random.default_rng(11)
            rates = []
            for least, beyond in json.load(sys.stdin):
                x = rng.standard_normal((100_000, least))
                d = np.abs(x - np.median(x, 1, keepdims=True))
                rates.append(float((d.max(1) > beyond * np.median(d, 1) / 0.6745).mean()))
            print(json.dumps(rates))
            PY, array_map(null, array_keys(FarFromOthers::BEYOND), array_values(FarFromOthers::BEYOND)));
        self::assertSame(FarFromOthers::LEAST_SET, array_key_first(FarFromOthers::BEYOND));
        self::assertCount(count(FarFromOthers::BEYOND), $rates);
        foreach ($rates as $rate) {
            self::assertGreaterThan(0.01, $rate);
            self::assertLessThan(0.025, $rate);
        }
    }
}
