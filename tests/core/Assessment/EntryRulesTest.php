<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Assessment;

use MuteTapper\Core\Assessment\AllSheets;
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
    private static function check(string $kind, array $slot, array $data): void
    {
        $entry = Entry::fromNode(Node::root([
            'id' => '01900000-0000-7000-8000-000000000001', 'kind' => $kind, 'by' => 'tests', 'at' => '2026-11-25T10:00:00Z',
            'data' => $data,
            'slot' => ['place' => $slot[0], 'part' => $slot[1], 'item' => $slot[2], 'index' => $slot[3]],
        ]));
        (new EntryRules(Example::knowledge(), AllSheets::get()))->check($entry, Example::bucketFour()->engine());
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
