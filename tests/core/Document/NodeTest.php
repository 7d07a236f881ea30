<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Document;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Layout;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NodeTest extends TestCase
{
    private const DOCUMENT = [
        'name' => ' Bench ', 'count' => 3, 'share' => 0.5, 'on' => true, 'layout' => 'vee', 'list' => [['x' => 1], ['x' => 'one']],
        'empty' => [], 'nothing' => null,
    ];

    public function testTypedReading(): void
    {
        $node = Node::root(self::DOCUMENT);
        self::assertSame('Bench', $node->get('name')->word());
        self::assertSame(' Bench ', $node->get('name')->text());
        self::assertSame(3, $node->get('count')->whole(1, 5));
        self::assertSame([3.0, 0.5], [$node->get('count')->number(), $node->get('share')->number()]);
        self::assertTrue($node->get('on')->flag());
        self::assertSame(Layout::Vee, $node->get('layout')->choice(Layout::class));
        self::assertNull($node->maybe('nothing'));
        self::assertNull($node->maybe('missing'));
        self::assertSame([], $node->get('empty')->items());
        self::assertSame([], $node->get('empty')->map(), 'An empty list and an empty object are the same in PHP.');
        self::assertSame(1, $node->get('list')->items()[0]->get('x')->whole(0, 9));
    }

    /** @return iterable<string, array{\Closure(Node): mixed, string, string}> reading, pointer, words */
    public static function wrong(): iterable
    {
        yield 'missing' => [
            static fn (Node $n): string => $n->get('missing')->text(), '/missing', 'nothing stands here; accepted is a text',
        ];
        yield 'number for text' => [static fn (Node $n): string => $n->get('count')->text(), '/count', '3 stands here'];
        yield 'text for number' => [
            static fn (Node $n): float => $n->get('name')->number(), '/name', '" Bench " stands here; accepted is a number',
        ];
        yield 'fraction for whole' => [static fn (Node $n): int => $n->get('share')->whole(0, 1), '/share', 'a whole number from 0 to 1'];
        yield 'out of range' => [static fn (Node $n): int => $n->get('count')->whole(4, 9), '/count', 'from 4 to 9'];
        yield 'text for flag' => [static fn (Node $n): bool => $n->get('name')->flag(), '/name', 'true or false'];
        yield 'unknown choice' => [
            static fn (Node $n): mixed => $n->get('name')->choice(Layout::class), '/name', 'one of inline, vee, flat',
        ];
        yield 'object for list' => [static fn (Node $n): array => $n->items(), '', 'an object stands here; accepted is a list'];
        yield 'list for object' => [
            static fn (Node $n): array => $n->get('list')->map(), '/list', 'a list stands here; accepted is an object',
        ];
        yield 'deep' => [static fn (Node $n): int => $n->get('list')->items()[1]->get('x')->whole(0, 9), '/list/1/x', '"one" stands here'];
        yield 'blank' => [static fn (Node $n): string => Node::root(['name' => '  '])->get('name')->word(), '/name', 'it is empty'];
        yield 'too long' => [static fn (Node $n): string => $n->get('name')->text(3), '/name', '7 characters; at most 3'];
        yield 'member of a text' => [static fn (Node $n): Node => $n->get('name')->get('first'), '/name', 'accepted is an object'];
        yield 'not finite' => [static fn (Node $n): float => Node::root(\INF)->number(), '', 'a number'];
    }

    /** @param \Closure(Node): mixed $read */
    #[DataProvider('wrong')]
    public function testAWrongValueIsNamedWithItsPlace(\Closure $read, string $pointer, string $words): void
    {
        try {
            $read(Node::root(self::DOCUMENT));
            self::fail('It was accepted.');
        } catch (BadDocument $problem) {
            self::assertSame($pointer, $problem->pointer);
            self::assertStringContainsString($words, $problem->getMessage());
        }
    }

    /** @return iterable<string, array{string, string}> written, the moment in UTC */
    public static function times(): iterable
    {
        yield 'as the screens send it' => ['2026-11-25T14:32:05.123Z', '2026-11-25T14:32:05.123Z'];
        yield 'to the minute' => ['2026-11-25T14:32Z', '2026-11-25T14:32:00.000Z'];
        yield 'with an offset' => ['2026-11-25T00:30:00+01:00', '2026-11-24T23:30:00.000Z'];
        yield 'without an offset' => ['2026-11-25T14:32:05', '2026-11-25T14:32:05.000Z'];
        yield 'leap day' => ['2028-02-29T00:00:00Z', '2028-02-29T00:00:00.000Z'];
    }

    #[DataProvider('times')]
    public function testTimesAreReadInUtc(string $written, string $moment): void
    {
        self::assertSame($moment, Node::root($written)->time()->format('Y-m-d\TH:i:s.v\Z'));
    }

    /** @return iterable<array{string}> */
    public static function noTimes(): iterable
    {
        foreach ([
            '+100000 years', '@99999999999999', 'tomorrow', 'Nov', '2026-02-31T10:00:00Z', '2026-11-25T99:99', '2026-11-25T24:00:00Z',
            '-5000-01-01T00:00:00Z', '12026-01-01T00:00:00Z', '1899-12-31T00:00:00Z', '2200-01-01T00:00:00Z', '2026-11-25',
            '2026-11-25T10:00:60Z', '2026-11-25T10:00:00+99:00', "2026-11-25T10:00:00Z\n2026",
        ] as $text) {
            yield $text => [$text];
        }
    }

    #[DataProvider('noTimes')]
    public function testWhatIsNoTimeIsRefused(string $text): void
    {
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessage('is not a time');
        Node::root($text)->time();
    }

    /** @return iterable<array{string}> */
    public static function noDays(): iterable
    {
        foreach (['2026-02-31', '2026-2-3', '0001-01-01', '9999-01-01', 'today', '+1 day'] as $text) {
            yield $text => [$text];
        }
    }

    #[DataProvider('noDays')]
    public function testWhatIsNoDayIsRefused(string $text): void
    {
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessage('is not a date');
        Node::root($text)->day();
    }

    public function testANumberIsNoChoiceAmongWords(): void
    {
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessage('0 stands here; accepted is one of');
        Node::root(0)->choice(Layout::class);
    }
}
