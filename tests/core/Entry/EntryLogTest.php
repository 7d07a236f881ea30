<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Evidence;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\EntryLog;
use MuteTapper\Core\Entry\Gauge;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

final class EntryLogTest extends TestCase
{
    private static function entry(int $number, ?int $supersedes, string $kind = 'finding', string $place = 'A1-E1'): Entry
    {
        $id = static fn (int $n): string => \sprintf('01900000-0000-7000-8000-%012d', $n);

        return Entry::fromNode(Node::root([
            'id' => $id($number), 'kind' => $kind, 'slot' => ['place' => $place, 'part' => 'seat', 'item' => 'seat_hammered'],
            'supersedes' => null === $supersedes ? null : $id($supersedes), 'by' => 'tests', 'at' => '2026-11-25T11:00:00+02:00',
            'data' => ['severity' => 1],
        ]));
    }

    private static function head(EntryLog $log): ?Entry
    {
        return $log->headOf(new Slot('A1-E1', 'seat', 'seat_hammered'));
    }

    public function testTheNewestEntryHeadsItsSlotAndEveryOneIsKept(): void
    {
        $log = EntryLog::of([self::entry(1, null), self::entry(2, 1), self::entry(3, null, place: 'A2-E1')]);
        self::assertSame('01900000-0000-7000-8000-000000000002', self::head($log)?->id);
        self::assertCount(3, $log->entries);
        self::assertCount(2, $log->standing(EntryKind::Finding));
    }

    public function testAWithdrawalEmptiesTheSlotAndCanItselfBeFollowed(): void
    {
        $withdrawn = [self::entry(1, null), self::entry(2, 1, 'withdrawal')];
        self::assertNull(self::head(EntryLog::of($withdrawn)));
        self::assertSame('01900000-0000-7000-8000-000000000003', self::head(EntryLog::of([...$withdrawn, self::entry(3, 2)]))?->id);
    }

    public function testABrokenChainIsRefused(): void
    {
        foreach ([
            [self::entry(1, null), self::entry(2, null)], [self::entry(1, null), self::entry(2, 9)],
            [self::entry(1, null), self::entry(1, 1)], [self::entry(1, 5)],
        ] as $entries) {
            try {
                EntryLog::of($entries);
                self::fail('It was accepted.');
            } catch (BadDocument $problem) {
                self::assertStringStartsWith('/entries/', $problem->pointer);
            }
        }
    }

    public function testTheHeadsAloneAreAsGoodAsTheWholeLog(): void
    {
        $entries = [self::entry(1, null), self::entry(2, 1), self::entry(3, null, place: 'A2-E1')];
        self::assertEquals(
            EntryLog::of($entries)->standing(EntryKind::Finding),
            EntryLog::ofHeads([$entries[1], $entries[2]])->standing(EntryKind::Finding),
        );
    }

    public function testAnEntryWrittenOutAndReadBackIsTheSame(): void
    {
        $entry = self::entry(2, 1);
        self::assertEquals($entry, Entry::fromNode(Node::root($entry->toArray())));
        self::assertSame('2026-11-25T09:00:00.000Z', $entry->toArray()['at'], 'Times are kept in UTC.');
    }

    public function testACodeIsACode(): void
    {
        $this->expectException(BadDocument::class);
        Slot::fromNode(Node::root(['place' => 'A1-E1', 'part' => '../seat', 'item' => 'x']));
    }

    /** A tester's gain is common to all its readings; each has its own repeatability; small loads have a floor. */
    public function testWhatAGaugeIsWorth(): void
    {
        $tester = Example::knowledge()->gauges['spring_tester'];
        $large = $tester->reading(Quantity::of(200, Unit::PoundForce), 'a');
        $small = $tester->reading(Quantity::of(20, Unit::PoundForce), 'b');
        $pound = Unit::PoundForce->baseFactor();
        self::assertEqualsWithDelta(0.02 * 200 * $pound / sqrt(3), $large->contributions['gauge spring_tester gain'], 1e-9);
        self::assertEqualsWithDelta(1.0 * $pound / sqrt(3), $small->contributions['gauge spring_tester gain'], 1e-9);
        self::assertEqualsWithDelta(0.005 * 200 * $pound / sqrt(3), $large->contributions['reading a'], 1e-9);
        self::assertSame(
            $tester->toArray(), Gauge::fromNode(Node::root($tester->toArray()))->toArray(), 'Its figures travel with each reading.',
        );
    }
}
