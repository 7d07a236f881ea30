<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Assessment;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\EntryContent;
use MuteTapper\Core\Assessment\EntryForm;
use MuteTapper\Core\Assessment\EntryRules;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\RunLog\ColumnOfLog;
use MuteTapper\Core\RunLog\LogFormat;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Laws that every content keeps, and that what a log says does not depend on how it is written. */
final class EntryContentTest extends TestCase
{
    private const SHA = 'dddddddddddddddddddddddddddddddddddddddddddddddddddddddddddddddd';

    /** @return iterable<string, array{EntryKind, array<string, mixed>}> */
    public static function contents(): iterable
    {
        $log = [
            'sha256' => self::SHA, 'fileName' => 'run.csv',
            'format' => [
                'delimiter' => ';', 'decimal' => ',', 'header_lines' => 2, 'headers' => ['t', 'n'],
                'columns' => [['index' => 0, 'channel' => 'time', 'unit' => 'ms'], ['index' => 1, 'channel' => 'speed', 'unit' => 'hz']],
            ],
            'thresholds' => ['over_speed' => 9000, 'limiter' => null, 'oil_per_thousand' => 0.5, 'oil_temperature' => 120],
        ];
        $drawing = [
            'annotation' => [
                '@context' => 'http://www.w3.org/ns/anno.jsonld', 'type' => 'Annotation',
                'body' => [
                    ['type' => 'TextualBody', 'purpose' => 'tagging', 'value' => 'scale'],
                    ['type' => 'TextualBody', 'purpose' => 'describing', 'value' => '10.00 mm'],
                ],
                'target' => [
                    'source' => 'urn:sha256:'.self::SHA,
                    'selector' => [
                        'type' => 'SvgSelector', 'value' => '<svg xmlns="http://www.w3.org/2000/svg"><polyline points="1,2 3,4"/></svg>',
                    ],
                ],
            ],
        ];
        yield 'answer' => [EntryKind::Answer, ['choice' => 'steady', 'note' => ' at 900 ']];
        yield 'answers' => [EntryKind::Answer, ['choice' => 'inlet', 'also' => ['exhaust']]];
        yield 'event' => [EntryKind::Event, ['what' => 'run', 'date' => '2026-01-31', 'amount' => 3, 'unit' => 'runs', 'words' => ' wet ']];
        yield 'event of an earlier case' => [EntryKind::Event, ['what' => 'failure', 'earlier' => [
            'case' => '01a00000-0000-7000-8000-000000000001', 'name' => 'Before',
            'parts' => [['place' => 'A1-E1', 'part' => 'spring', 'index' => 'outer', 'tag' => 's-1']],
        ]]];
        yield 'event without anything' => [EntryKind::Event, ['what' => 'build']];
        yield 'carried' => [EntryKind::Carry, ['state' => 'unknown']];
        yield 'log' => [EntryKind::Log, $log];
        yield 'step' => [EntryKind::Step, ['state' => 'skipped', 'note' => 'no']];
        yield 'order' => [EntryKind::Order, ['codes' => ['b', 'a']]];
        yield 'pieces' => [EntryKind::Pieces, ['expected' => 2, 'found' => 3]];
        yield 'custody' => [EntryKind::Custody, ['where' => 'customer', 'whom' => 'owner']];
        yield 'custody of a part that is cut' => [EntryKind::Custody, [
            'where' => 'laboratory', 'whom' => 'Made-up lab', 'seal' => 'S-1', 'why' => 'origin', 'until' => '2026-12-02',
            'destroyed' => true, 'invited' => ['one, comes', 'other, does not'], 'note' => 'by hand',
        ]];
        yield 'drawing' => [EntryKind::Annotation, $drawing];
        yield 'task' => [EntryKind::Task, ['label' => 'x', 'kind' => 'parts', 'leastDays' => 1, 'after' => ['y'], 'due' => '2026-12-01']];
        yield 'promise' => [EntryKind::Promise, ['date' => '2026-12-24']];
        yield 'chain' => [EntryKind::Chain, ['edit' => 'cut', 'event' => 'float', 'to' => 'seat_hammer', 'words' => ' not so ']];
        yield 'added to the chain' => [
            EntryKind::Chain, ['edit' => 'event', 'event' => 'own-1', 'words' => 'x', 'known' => 'told', 'place' => 'A1-E1'],
        ];
        yield 'remedy' => [EntryKind::Remedy, [
            'name' => 'Shims', 'remedyKind' => 'cure', 'words' => ' thin ', 'hours' => 2.5, 'waitDays' => 3,
            'change' => [['places' => ['A1-E1'], 'name' => 'lash', 'to' => ['number' => 0.012, 'unit' => 'in']]],
        ]];
        yield 'containment' => [
            EntryKind::Remedy, ['name' => 'Limiter', 'remedyKind' => 'containment', 'until' => 'the springs come', 'tellTales' => 'noise'],
        ];
        yield 'a report given out' => [EntryKind::Issue, ['whom' => 'owner and insurer']];
        yield 'taken' => [EntryKind::Taken, ['remedies' => ['a', 'b'], 'words' => ' both ']];
        yield 'kept with a limit' => [
            EntryKind::Reuse, ['decision' => 'keep_with_limit', 'amount' => 12, 'unit' => 'runs', 'words' => ' sound '],
        ];
        yield 'replaced' => [EntryKind::Reuse, ['decision' => 'replace']];
        yield 'tightening' => [EntryKind::Tightening, [
            'passes' => [['figure' => 30, 'unit' => 'N·m'], ['figure' => 90, 'unit' => '°']], 'bolts' => 'once', 'threads' => ' oiled ',
            'order' => 'from the middle', 'source' => ' manual, page 12 ',
        ]];
        yield 'line' => [EntryKind::Line, ['state' => 'left_out', 'note' => ' none fitted ', 'choice' => 'dry']];
        yield 'outcome' => [EntryKind::Outcome, ['amount' => 10, 'symptom' => 'gone', 'words' => ' quiet ']];
        yield 'report' => [EntryKind::Report, ['laboratory' => 'lab', 'words' => 'x', 'results' => [['name' => 'iron', 'value' => '7']]]];
    }

    /**
     * What is stored is read back as itself, through JSON too.
     *
     * @param array<string, mixed> $data
     */
    #[DataProvider('contents')]
    public function testTheStoredShapeIsStable(EntryKind $kind, array $data): void
    {
        $once = EntryContent::normal($kind, Node::root($data));
        self::assertNotNull($once);
        self::assertSame($once, EntryContent::normal($kind, Node::root($once)));
        $decoded = json_decode(json_encode($once, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION), true, 64, \JSON_THROW_ON_ERROR);
        self::assertSame($once, EntryContent::normal($kind, Node::root($decoded)));
    }

    /**
     * Each member that a content needs is missed by name.
     *
     * @param array<string, mixed> $data
     */
    #[DataProvider('contents')]
    public function testAnEmptyContentIsRefusedByName(EntryKind $kind, array $data): void
    {
        $this->expectException(BadDocument::class);
        EntryContent::normal($kind, Node::root([]));
    }

    public function testKindsThatNeedMoreThanTheirContentAreLeftToTheCase(): void
    {
        foreach ([
            EntryKind::Reading, EntryKind::Claim, EntryKind::Finding, EntryKind::Look, EntryKind::Photograph, EntryKind::Withdrawal,
        ] as $kind) {
            self::assertNull(EntryContent::normal($kind, Node::root(['x' => 1])));
        }
    }

    /** A case with a content that cannot be read is refused with the way to it. */
    public function testABadContentIsNamedByItsPlaceInTheFile(): void
    {
        $entry = [
            'id' => '01900000-0000-7000-8000-000000000009', 'kind' => 'promise',
            'slot' => ['place' => 'engine', 'part' => 'schedule', 'item' => 'promise', 'index' => null], 'by' => 'x',
            'at' => '2026-11-25T10:00:00Z', 'data' => ['date' => '2026-13-01'],
        ];
        $document = ['engine' => ['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4], 'entries' => [$entry]];
        try {
            (new EntryRules(Example::knowledge(), new EntryForm(AllSheets::get())))->checkAll(CaseFile::fromNode(Node::root($document)));
            self::fail('It was taken.');
        } catch (BadDocument $problem) {
            self::assertSame('/entries/0/data/date', $problem->pointer);
            self::assertStringContainsString('“2026-13-01” is not a date', $problem->reason);
        }
    }

    /** The same run written in every way that is recognised says the same. */
    public function testALogSaysTheSameHoweverItIsWritten(): void
    {
        $run = [[0.0, 900.0, 2.5], [0.1, 1234.5, 3.25], [0.2, 6800.25, 4.75]];
        $kept = [];
        foreach ([',' => ['.'], ';' => ['.', ','], "\t" => ['.', ','], '|' => ['.', ',']] as $delimiter => $decimals) {
            foreach ($decimals as $decimal) {
                foreach (["\n", "\r\n"] as $end) {
                    foreach (['in brackets', 'in a line'] as $units) {
                        $figure = static fn (float $number): string => str_replace('.', $decimal, (string) $number);
                        $head = $units === 'in brackets'
                            ? [['Time (ms)', 'Engine speed (rpm)', 'Oil pressure (kPa)']]
                            : [['Time', 'Engine speed', 'Oil pressure'], ['ms', 'rpm', 'kPa']];
                        $lines = array_map(
                            static fn (array $row): string => implode($delimiter, $row),
                            [
                                ...$head,
                                ...array_map(
                                    static fn (array $row): array => [$figure($row[0] * 1000), $figure($row[1]), $figure($row[2] * 100)],
                                    $run,
                                ),
                            ],
                        );
                        $format = LogFormat::recognise(implode($end, $lines).$end);
                        self::assertSame([], $format->doubts);
                        self::assertSame(
                            ['ms', 'rpm', 'kpa'], array_map(static fn (ColumnOfLog $column): string => $column->unit, $format->columns),
                        );
                        $again = LogFormat::fromNode(Node::root($format->toArray()));
                        self::assertSame($format->toArray(), $again->toArray());
                        foreach ($run as $i => $row) {
                            $values = $again->read($lines[$format->headerLines + $i], $i) ?? [];
                            self::assertEqualsWithDelta(['time' => $row[0], 'speed' => $row[1], 'oil_pressure' => $row[2]], $values, 1e-9);
                            $kept[] = $values;
                        }
                    }
                }
            }
        }
        self::assertCount(3 * 7 * 2 * 2, $kept);
    }
}
