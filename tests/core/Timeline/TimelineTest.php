<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Timeline;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Timeline\CarriedCount;
use MuteTapper\Core\Timeline\CarriedParts;
use MuteTapper\Core\Timeline\Carry;
use MuteTapper\Core\Timeline\Component;
use MuteTapper\Core\Timeline\Event;
use MuteTapper\Core\Timeline\PartState;
use MuteTapper\Core\Timeline\Timeline;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TimelineTest extends TestCase
{
    /** @param array<string, array<string, mixed>> $events */
    private static function with(array $events): Example
    {
        $example = Example::pushrodEight();
        foreach ($events as $id => $data) {
            $example->records(EntryKind::Event, Event::slot($id), $data);
        }

        return $example;
    }

    public function testDatedEventsStandInOrderAndUndatedOnesKeepTheirPlace(): void
    {
        $timeline = Timeline::of(self::with([
            'failed' => ['what' => 'failure', 'date' => '2026-05-02'],
            'somewhen' => ['what' => 'service'],
            'built' => ['what' => 'build', 'date' => '2025-11-20'],
            'run' => ['what' => 'run', 'date' => '2026-03-01'],
        ])->case());
        self::assertSame(['built', 'somewhen', 'run', 'failed'], array_keys($timeline->events));
        self::assertSame([], $timeline->contradictions);
    }

    public function testACountThatRunsBackwardsIsSaid(): void
    {
        $events = [
            'built' => ['what' => 'build', 'date' => '2025-01-10', 'amount' => 40, 'unit' => 'h'],
            'run' => ['what' => 'run', 'date' => '2025-04-01', 'amount' => 62, 'unit' => 'h'],
            'failed' => ['what' => 'failure', 'date' => '2025-05-01', 'amount' => 55, 'unit' => 'h'],
        ];
        $contradictions = Timeline::of(self::with($events)->case())->contradictions;
        self::assertCount(1, $contradictions);
        self::assertStringContainsString(
            'failure of 2025-05-01 at 55 h stands after the run at 62 h: the count runs backwards', $contradictions[0],
        );
        $events['failed']['unit'] = 'runs';
        self::assertSame([], Timeline::of(self::with($events)->case())->contradictions, 'hours and runs cannot be compared');
        $rebuilt = ['run' => $events['run'], 'again' => ['what' => 'build', 'date' => '2025-04-20', 'amount' => 0, 'unit' => 'h']];
        self::assertSame([], Timeline::of(self::with($rebuilt)->case())->contradictions, 'a build begins the count anew');
    }

    public function testCarriedPartsAreHeldByComponentAndEvent(): void
    {
        $example = self::with(['built' => ['what' => 'build'], 'failed' => ['what' => 'failure']]);
        $example->records(
            EntryKind::Carry, Carry::slot(Component::Rockers, 'failed'), ['state' => 'carried'],
        )->records(EntryKind::Carry, Carry::slot(Component::Springs, 'failed'), ['state' => 'new']);
        self::assertSame(
            ['rockers' => ['failed' => PartState::Carried], 'springs' => ['failed' => PartState::New]],
            Timeline::of($example->case())->carried,
        );
    }

    public function testOnlyWhatTheEngineHasCanBeCarried(): void
    {
        $bucket = (new Example(['layout' => 'inline', 'drive' => 'bucket', 'cylinders' => 4]))->engine();
        self::assertNotContains(Component::Pushrods, Component::of($bucket));
        self::assertNotContains(Component::Rockers, Component::of($bucket));
        self::assertContains(Component::Pushrods, Component::of(Example::pushrodEight()->engine()));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        yield 'no such day' => [['what' => 'run', 'date' => '2026-02-30'], '“2026-02-30” is not a date'];
        yield 'another order' => [['what' => 'run', 'date' => '01.02.2026'], 'accepted is year-month-day'];
        yield 'below nought' => [['what' => 'run', 'amount' => -3], 'not plausible'];
        yield 'no such thing' => [['what' => 'holiday'], 'holiday'];
    }

    /** @param array<string, mixed> $data */
    #[DataProvider('bad')]
    public function testBadEventsAreRefusedInWords(array $data, string $words): void
    {
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessage($words);
        Event::fromNode(Node::root($data));
    }

    /** Agreement over failures, difference against runs without trouble; what ran before the first failure tells nothing. */
    public function testWhatWentFromFailureToFailureIsSaid(): void
    {
        $example = Example::pushrodEight()
            ->runsSound('2026-01-01', ['springs' => 'carried', 'cam' => 'new'])
            ->failsAgain('2026-02-01', ['springs' => 'new', 'cam' => 'carried', 'head' => 'carried', 'oil' => 'unknown'])
            ->failsAgain('2026-03-01', ['springs' => 'carried', 'cam' => 'carried', 'head' => 'carried'])
            ->runsSound('2026-04-01', ['springs' => 'carried', 'cam' => 'new', 'head' => 'carried']);
        $carried = CarriedParts::of(Timeline::of($example->case()));
        self::assertSame(
            ['springs' => [1, 1, 1, 0], 'cam' => [2, 0, 0, 1], 'head' => [2, 0, 1, 0]],
            array_map(static fn (CarriedCount $count): array => $count->toArray(), $carried->counts),
        );
        self::assertSame([
            'In every failure that came again: cam, head.', 'New in one of them, so not what it comes from: springs.',
            'In every failure, and new in a run without trouble: cam.', 'Ran without trouble too: springs, head.',
        ], $carried->sentences($example->engine()));
        self::assertSame([], CarriedParts::of(Timeline::of(Example::pushrodEight()->case()))->sentences($example->engine()));
    }
}
