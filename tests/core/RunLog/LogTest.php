<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\RunLog;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\RunLog\Channel;
use MuteTapper\Core\RunLog\ColumnOfLog;
use MuteTapper\Core\RunLog\EngineSpeedFromRoadSpeed;
use MuteTapper\Core\RunLog\EpisodeKind;
use MuteTapper\Core\RunLog\LogAnalyser;
use MuteTapper\Core\RunLog\LogFormat;
use MuteTapper\Core\RunLog\LogResult;
use MuteTapper\Core\RunLog\Thresholds;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LogTest extends TestCase
{
    private static function thresholds(): Thresholds
    {
        return Thresholds::fromNode(
            Node::root(['over_speed' => 7000, 'limiter' => 7200, 'oil_per_thousand' => 0.69, 'oil_temperature' => 120]),
        );
    }

    /** @return array<string, array{int, string}> index and unit by channel */
    private static function mapping(LogFormat $format): array
    {
        return array_column(
            array_map(
                static fn (ColumnOfLog $column): array => [$column->channel->value, [$column->index, $column->unit]], $format->columns,
            ),
            1, 0,
        );
    }

    public function testCommasPointsAndUnitsInBracketsAreRecognised(): void
    {
        $format = LogFormat::recognise(
            "Time (s),Engine speed (rpm),MAP [kPa],Exhaust back pressure [psi],Oil pressure (bar),Oil temp (°C),TPS (%)\n"
            ."0.00,900,101.2,1.1,2.5,80,3\n0.02,910,101.0,1.1,2.5,80,3\n",
        );
        self::assertSame([',', '.', 1, []], [$format->delimiter, $format->decimal, $format->headerLines, $format->doubts]);
        self::assertSame(
            [
                'time' => [0, 's'], 'speed' => [1, 'rpm'], 'boost' => [2, 'kpa'], 'exhaust_pressure' => [3, 'psi'],
                'oil_pressure' => [4, 'bar'], 'oil_temperature' => [5, '°c'], 'throttle' => [6, '%'],
            ],
            self::mapping($format),
        );
    }

    public function testSemicolonsDecimalCommasAndALineOfUnitsAreRecognised(): void
    {
        $format = LogFormat::recognise(
            "\xEF\xBB\xBFRun 12, wet\r\nZeit;Drehzahl;Ladedruck;Öldruck\r\ns;1/min;mbar;bar\r\n0,00;950;12,5;2,4\r\n0,05;961;12,6;2,4\r\n",
        );
        self::assertSame([';', ',', 3], [$format->delimiter, $format->decimal, $format->headerLines]);
        self::assertSame(
            ['time' => [0, 's'], 'speed' => [1, '1/min'], 'boost' => [2, 'mbar'], 'oil_pressure' => [3, 'bar']], self::mapping($format),
        );
        $row = $format->read('0,05;961;12,6;2,4', 5);
        self::assertEqualsWithDelta(['time' => 0.05, 'speed' => 961.0, 'boost' => 0.0126, 'oil_pressure' => 2.4], $row ?? [], 1e-12);
    }

    public function testColumnsWithoutUnitsAreDoubtedNotGuessed(): void
    {
        $format = LogFormat::recognise("time\trpm\tboost\n0\t900\t0.2\n1\t950\t0.3\n");
        self::assertSame("\t", $format->delimiter);
        self::assertSame(['speed' => [1, 'rpm']], self::mapping($format));
        self::assertStringContainsString('“time” looks like time, but names no unit', implode(' ', $format->doubts));
        self::assertStringContainsString('“boost” looks like boost', implode(' ', $format->doubts));
    }

    public function testAMissingChannelIsSaid(): void
    {
        self::assertStringContainsString(
            'No column could be recognised as engine speed',
            implode(' ', LogFormat::recognise("Time (s),Boost (bar)\n0,0.1\n1,0.2\n")->doubts),
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function notLogs(): iterable
    {
        yield 'words' => ["Dear customer,\nthe engine broke.\n", 'this is not a log'];
        yield 'one column' => ["rpm\n900\n950\n", 'this is not a log'];
        yield 'no header' => ["0,900\n1,950\n", 'a header that names the columns is needed'];
        yield 'JSON' => ['{"format": "mute-tapper-case"}', 'this is not a log'];
    }

    #[DataProvider('notLogs')]
    public function testWhatIsNotALogIsRefusedInWords(string $text, string $words): void
    {
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessage($words);
        LogFormat::recognise($text);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badMappings(): iterable
    {
        $good = [
            'delimiter' => ',', 'decimal' => '.', 'header_lines' => 1,
            'columns' => [['index' => 0, 'channel' => 'time', 'unit' => 's'], ['index' => 1, 'channel' => 'speed', 'unit' => 'rpm']],
        ];
        yield 'no speed' => [['columns' => [$good['columns'][0]]] + $good, 'no column holds the engine speed'];
        yield 'a unit of something else' => [
            ['columns' => [['index' => 0, 'channel' => 'time', 'unit' => 'bar'], $good['columns'][1]]] + $good,
            'no unit that is known here: “bar”',
        ];
        yield 'one channel twice' => [
            ['columns' => [...$good['columns'], ['index' => 2, 'channel' => 'speed', 'unit' => 'rpm']]] + $good,
            'two columns are said to hold the engine speed',
        ];
        yield 'comma for both' => [['decimal' => ','] + $good, 'not the same'];
    }

    /** @param array<string, mixed> $format */
    #[DataProvider('badMappings')]
    public function testBadMappingsAreRefusedInWords(array $format, string $words): void
    {
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessage($words);
        LogFormat::fromNode(Node::root($format));
    }

    public function testABadCellIsNamedByLineAndColumn(): void
    {
        $format = LogFormat::recognise("Time (s),rpm\n0,900\n1,950\n");
        self::assertNull($format->read('  ', 7));
        self::assertArrayNotHasKey('speed', $format->read('3,', 8) ?? [], 'an empty cell is no figure, not a fault');
        $this->expectExceptionMessage('line 9, column 2 (engine speed): “n/a” is not a figure.');
        $format->read('3,n/a', 9);
    }

    /** Units agree with GNU units where it knows them; Fahrenheit by its own definition. */
    public function testUnitsAreConverted(): void
    {
        $kept = static fn (Channel $channel, string $unit, float $number): float => (new ColumnOfLog(0, $channel, $unit))->toKept($number);
        self::assertEqualsWithDelta(100.0, $kept(Channel::OilTemperature, '°f', 212), 1e-9);
        self::assertEqualsWithDelta(0.0, $kept(Channel::OilTemperature, 'k', 273.15), 1e-9);
        self::assertEqualsWithDelta(
            (float) trim((string) shell_exec("units --terse --output-format '%.12g' '14.7 psi' bar")),
            $kept(Channel::OilPressure, 'psi', 14.7), 1e-9,
        );
        self::assertSame(6000.0, $kept(Channel::Speed, 'hz', 100));
        self::assertSame(50.0, $kept(Channel::Throttle, '', 0.5));
    }

    /** @param iterable<array<string, float>> $rows */
    private static function analyse(iterable $rows): LogResult
    {
        $analyser = new LogAnalyser(self::thresholds());
        $line = 1;
        foreach ($rows as $row) {
            $analyser->add($row, ++$line);
        }

        return $analyser->result();
    }

    public function testOverSpeedIsCountedHowLongHowHighHowOften(): void
    {
        $rows = [];
        for ($i = 0; $i <= 1000; ++$i) {
            $time = $i / 100;
            $speed = match (true) {
                $time >= 2 && $time <= 2.3 => 7100 + 1000 * ($time - 2),
                $time >= 5 && $time <= 5.1 => 7050.0,
                default => 6500.0,
            };
            $rows[] = ['time' => $time, 'speed' => $speed, 'throttle' => 10.0];
        }
        $result = self::analyse($rows);
        self::assertSame(2, $result->totals['over_speed']['count']);
        self::assertEqualsWithDelta(0.4, $result->totals['over_speed']['seconds'], 1e-9);
        self::assertCount(2, $result->episodes);
        self::assertEqualsWithDelta(
            [2.0, 0.3, 7400.0], [$result->episodes[0]->from, $result->episodes[0]->seconds, $result->episodes[0]->worst], 1e-9,
        );
        self::assertSame(7400.0, round($result->peaks['speed']['value'], 6));
        self::assertArrayNotHasKey('at_limiter', $result->totals, 'off the throttle it is not the limiter');
    }

    public function testOneFlickerIsOneEpisode(): void
    {
        $speeds = [6900, 7100, 6990, 7100, 6900, 6900, 6900, 6900];
        $result = self::analyse(
            array_map(
                static fn (int $speed, int $i): array => ['time' => $i * 0.05, 'speed' => (float) $speed], $speeds, array_keys($speeds),
            ),
        );
        self::assertSame(1, $result->totals['over_speed']['count']);
    }

    public function testTimeAtTheLimiterIsTakenWithTheThrottleOpen(): void
    {
        $result = self::analyse(
            array_map(
                static fn (int $i): array => ['time' => $i / 10, 'speed' => $i < 20 ? 7150.0 : 6000.0, 'throttle' => 100.0], range(0, 40),
            ),
        );
        self::assertEqualsWithDelta(1.9, $result->totals['at_limiter']['seconds'], 1e-9);
    }

    /** [practice: ten pounds of oil pressure a thousand turns] */
    public function testOilPressureIsJudgedForItsSpeed(): void
    {
        $row = static fn (float $time, float $speed, float $oil): array => [
            'time' => $time, 'speed' => $speed, 'oil_pressure' => $oil, 'oil_temperature' => 90 + 10 * $time,
        ];
        $result = self::analyse(
            [$row(0, 900, 0.3), $row(1, 6000, 4.5), $row(2, 6000, 3.9), $row(3, 6000, 3.2), $row(4, 6000, 4.6), $row(5, 3000, 2.2)],
        );
        self::assertSame(1, $result->totals['oil_low']['count'], 'idling is not judged');
        self::assertSame(
            [2.0, 1.0, 3.2, 6000.0],
            [$result->episodes[0]->from, $result->episodes[0]->seconds, $result->episodes[0]->worst, $result->episodes[0]->speedAtWorst],
        );
        self::assertSame(EpisodeKind::OilHot, $result->episodes[1]->kind);
    }

    public function testTimeThatRunsBackwardsIsRefusedWithItsLine(): void
    {
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessage('line 4: time runs backwards, from 2 s to 1.5 s');
        self::analyse([['time' => 1.0, 'speed' => 900.0], ['time' => 2.0, 'speed' => 900.0], ['time' => 1.5, 'speed' => 900.0]]);
    }

    /** The overview must not lose a spike, however many rows are joined, and must not grow with the log. */
    public function testTheOverviewKeepsEverySpike(): void
    {
        $rows = (static function (): iterable {
            for ($i = 0; $i < 100_000; ++$i) {
                yield ['time' => $i / 100, 'speed' => 77_777 === $i ? 9999.0 : 3000.0 + $i % 7];
            }
        })();
        $before = memory_get_usage();
        $result = self::analyse($rows);
        self::assertLessThan(24e6, memory_get_usage() - $before);
        self::assertSame(100_000, $result->rows);
        self::assertLessThanOrEqual(4096, \count($result->buckets));
        $window = LogResult::window($result->buckets, 700, 800, 60);
        self::assertLessThanOrEqual(60, \count($window));
        self::assertSame(9999.0, max([0.0, ...array_map(static fn (array $bucket): float => $bucket[1]['speed'][1], $window)]));
        self::assertSame(9999.0, max([0.0, ...array_map(static fn (array $bucket): float => $bucket[1]['speed'][1], $result->buckets)]));
    }

    /** 200 km/h on 1.95 m and 4.1 overall: 200000 m an hour are 1709.4 turns of the wheel a minute, 7008.5 of the engine. */
    public function testAMissedShiftFollowsFromRoadSpeedAndGear(): void
    {
        $given = static fn (float $number, Unit $unit): Given => new Given(Uncertain::exact(Quantity::of($number, $unit)), 'given');
        $trace = Trace::of(
            new EngineSpeedFromRoadSpeed(),
            Values::of(
                [
                    'road_speed' => $given(200, Unit::KilometrePerHour), 'overall_ratio' => $given(4.1, Unit::One),
                    'circumference' => $given(1950, Unit::Millimetre),
                ],
            ),
        );
        self::assertEqualsWithDelta(200_000 / 60 / 1.95 * 4.1, $trace->result->base, 1e-9);
    }

    public function testTheUsualThresholdsComeFromTheEngine(): void
    {
        $engine = (new Example(['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4, 'intended_speed' => 9200.0]))->engine();
        self::assertSame([9200.0, 9200.0], [Thresholds::usual($engine)->overSpeed, Thresholds::usual($engine)->limiter]);
        $this->expectExceptionMessage('not plausible');
        Thresholds::fromNode(Node::root(['over_speed' => 3, 'oil_per_thousand' => 0.7, 'oil_temperature' => 120]));
    }
}
