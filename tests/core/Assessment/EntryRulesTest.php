<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Assessment;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\EntryForm;
use MuteTapper\Core\Assessment\EntryRules;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One rule decides what an entry may be: recording, checking a file and importing it ask the same. */
final class EntryRulesTest extends TestCase
{
    private const GAUGE = ['code' => 'caliper', 'label' => 'caliper', 'unit' => 'in', 'repeat' => 0.001, 'stated' => '±0.001 in'];

    /**
     * @param array{string, string, string, ?string} $slot place, part, item, index
     * @param array<string, mixed> $data
     */
    private static function entry(string $kind, array $slot, array $data): Entry
    {
        return Entry::fromNode(Node::root([
            'id' => '01900000-0000-7000-8000-000000000001', 'kind' => $kind, 'by' => 'tests', 'at' => '2026-11-25T10:00:00Z',
            'data' => $data,
            'slot' => ['place' => $slot[0], 'part' => $slot[1], 'item' => $slot[2], 'index' => $slot[3]],
        ]));
    }

    /**
     * @param array{string, string, string, ?string} $slot place, part, item, index
     * @param array<string, mixed> $data
     */
    private static function check(string $kind, array $slot, array $data): void
    {
        (new EntryRules(Example::knowledge(), new EntryForm(AllSheets::get())))
            ->check(self::entry($kind, $slot, $data), Example::bucketFour()->engine());
    }

    /** @return array<string, mixed> */
    private static function value(float $number, string $unit): array
    {
        return ['value' => ['number' => $number, 'unit' => $unit, 'decimals' => 3], 'gauge' => self::GAUGE];
    }

    /** @return iterable<string, array{string, array{string, string, string, ?string}, array<string, mixed>, string, string}> */
    public static function refused(): iterable
    {
        $height = self::value(1.8, 'in');
        yield 'a place the engine has not' => [
            'reading', ['Z9-E1', 'spring_seat', 'installed_height', null], $height, '/slot/place', 'no place “Z9-E1”',
        ];
        yield 'a place of another kind' => [
            'reading', ['A1', 'spring_seat', 'installed_height', null], $height, '/slot/place', 'each station',
        ];
        yield 'a reading of no sheet' => ['reading', ['A1-E1', 'valve', 'horn', null], $height, '/slot/item', 'not a reading of any sheet'];
        yield 'another part' => ['reading', ['A1-E1', 'valve', 'installed_height', null], $height, '/slot/part', 'is of the part'];
        yield 'an index where there is none' => [
            'reading', ['A1-E1', 'spring_seat', 'installed_height', 'top'], $height, '/slot/index', 'has no index',
        ];
        yield 'no index where one is needed' => [
            'reading', ['A1-E1', 'guide', 'guide_bore', 'top'], self::value(0.34, 'in'), '/slot/index', 'goes by depth and direction',
        ];
        yield 'another dimension' => [
            'reading', ['A1-E1', 'spring_seat', 'installed_height', null], self::value(1.8, 'lbf'), '/data/value/unit', 'is a length',
        ];
        yield 'a load without its height' => [
            'reading', ['A1-E1', 'spring', 'load_seat', 'outer'], self::value(120, 'lbf'), '/data/at', 'needs the height',
        ];
        yield 'a load of two springs, read' => [
            'reading', ['A1-E1', 'spring', 'load_seat', 'pair'], self::value(120, 'lbf'), '/slot/index', 'stated, not read',
        ];
        yield 'what is stated only' => [
            'reading', ['A1-E1', 'guide', 'stem_clearance.least', null], self::value(0.001, 'in'), '/slot/item', 'not read',
        ];
        yield 'a claim of no figure' => [
            'claim', ['kind-E', 'valve', 'claimed.horn', null], ['standing' => 'known'] + $height, '/slot/item',
            'not a figure of the build',
        ];
        yield 'a limit of nothing that is judged' => [
            'claim', ['kind-E', 'valve', 'maker.horn.most', null], ['standing' => 'known'] + $height, '/slot/item', 'one of the maker',
        ];
        yield 'a sign on another part' => [
            'finding', ['A1-E1', 'guide', 'coils_bright', null], ['severity' => 2, 'state' => 'as_found'], '/slot/part',
            'not seen on the guide',
        ];
        $task = ['label' => 'Grind', 'kind' => 'work'];
        $promise = ['engine', 'schedule', 'promise', null];
        foreach ([
            'task' => $task, 'order' => ['codes' => []], 'event' => ['what' => 'run'], 'step' => ['state' => 'done'],
            'pieces' => ['expected' => 2, 'found' => 2], 'custody' => ['where' => 'tray'],
            'report' => ['laboratory' => 'Any', 'words' => '', 'results' => []], 'carry' => ['state' => 'new'],
            'answer' => ['choice' => 'seen'], 'photograph' => ['sha256' => str_repeat('a', 64)],
        ] as $kind => $data) {
            yield $kind.' in the promise’s slot' => [$kind, $promise, $data, '/slot', 'no '.$kind.' is kept at engine/schedule/promise/'];
        }
        yield 'promise in a task’s slot' => [
            'promise', ['engine', 'schedule', 'task', 'x'], ['date' => '2026-12-01'], '/slot', 'no promise',
        ];
        yield 'task without an index' => ['task', ['engine', 'schedule', 'task', null], $task, '/slot', 'no task'];
        yield 'task after itself' => [
            'task', ['engine', 'schedule', 'task', 'x'], $task + ['after' => ['y', 'x']], '/data/after/1', 'after itself',
        ];
        yield 'finding on a part that no engine has' => [
            'finding', ['A1-E1', 'wing', 'coils_bright', null], ['severity' => 2], '/slot', 'no finding',
        ];
        yield 'answer about another part' => [
            'answer', ['engine', 'oil', 'mirror', null], ['choice' => 'seen'], '/slot/part', 'asked about',
        ];
        yield 'step of no name' => ['step', ['engine', 'plan', 'step.', null], ['state' => 'done'], '/slot', 'no step'];
        yield 'carry of no component' => ['carry', ['engine', 'timeline', 'carry.wing', 'x'], ['state' => 'new'], '/slot', 'no carry'];
        yield 'photograph without a checksum' => [
            'photograph', ['A1-E1', 'valve', 'photograph', 'x'], ['sha256' => 'abc'], '/data/sha256', 'not a SHA-256',
        ];
        yield 'withdrawal of nothing' => ['withdrawal', $promise, [], '/supersedes', 'names the entry'];
        yield 'order of too many steps' => [
            'order', ['engine', 'plan', 'order', null], ['codes' => array_map(strval(...), range(1, 201))], '/data/codes', 'at most 200',
        ];
    }

    public function testWhatTheCatalogueDoesNotListIsNotRecordedNow(): void
    {
        $rules = new EntryRules(Example::knowledge(), new EntryForm(AllSheets::get()));
        foreach ([
            ['finding', ['A1-E1', 'valve', 'haunted', null], ['severity' => 2], '/slot/item'],
            ['answer', ['engine', 'running', 'horoscope', null], ['choice' => 'yes'], '/slot/item'],
            ['order', ['engine', 'plan', 'order', null], ['codes' => ['dance']], '/data/codes/0'],
            ['photograph', ['A1-E1', 'valve', 'photograph', 'x'], ['sha256' => str_repeat('a', 64), 'about' => 'haunted'], '/data/about'],
        ] as [$kind, $slot, $data, $pointer]) {
            $entry = self::entry($kind, $slot, $data);
            $rules->check($entry, Example::bucketFour()->engine());
            try {
                $rules->checkNew($entry, Example::bucketFour()->engine());
                self::fail($kind.' was accepted.');
            } catch (BadDocument $problem) {
                self::assertSame($pointer, $problem->pointer);
            }
        }
    }

    /**
     * @param array{string, string, string, ?string} $slot
     * @param array<string, mixed> $data
     */
    #[DataProvider('refused')]
    public function testItIsRefusedWithWhereAndWhy(string $kind, array $slot, array $data, string $pointer, string $why): void
    {
        try {
            self::check($kind, $slot, $data);
            self::fail('It was accepted.');
        } catch (BadDocument $problem) {
            self::assertSame($pointer, $problem->pointer);
            self::assertStringContainsString($why, $problem->reason);
        }
    }

    public function testWhatFitsIsAccepted(): void
    {
        $this->expectNotToPerformAssertions();
        self::check('reading', ['A1-E1', 'spring_seat', 'installed_height', null], self::value(1.8, 'in'));
        self::check('reading', ['A1-E1', 'guide', 'guide_bore', 'bottom.across'], self::value(8.7, 'mm'));
        self::check('claim', ['kind-E', 'guide', 'maker.stem_clearance.most', null], ['standing' => 'known'] + self::value(0.003, 'in'));
        self::check('claim', ['kind-E', 'guide', 'claimed.stem_clearance.least', null], ['standing' => 'said'] + self::value(0.001, 'in'));
        self::check('finding', ['A1-E1', 'spring', 'coils_bright', null], ['severity' => 2, 'state' => 'as_found']);
    }
}
