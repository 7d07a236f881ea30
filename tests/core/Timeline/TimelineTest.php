<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Timeline;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Slot;
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

    private const EARLIER = '01a00000-0000-7000-8000-000000000001';

    /**
     * A failure, and the one at hand: what stood in the first is told by its tags, what stands now by the entries of the case.
     *
     * @param list<array<string, string>> $before
     * @param array<string, string> $now tag by station, of the followers
     * @param array<string, array<string, mixed>> $between
     */
    private static function twice(array $before, array $now, array $between = []): Example
    {
        $example = self::with([
            'first' => [
                'what' => 'failure', 'date' => '2026-01-10',
                'earlier' => ['case' => self::EARLIER, 'name' => 'Made up', 'parts' => $before],
            ],
            ...$between,
            'second' => ['what' => 'failure', 'date' => '2026-06-01', 'sameSymptom' => true],
        ]);
        foreach ($now as $place => $tag) {
            $example->records(EntryKind::Tag, new Slot($place, 'follower', 'tag'), ['tag' => $tag]);
        }

        return $example;
    }

    /** @return array<string, string> */
    private static function follower(string $place, string $tag): array
    {
        return ['place' => $place, 'part' => 'follower', 'tag' => $tag];
    }

    public function testAPartThatStoodInBothFailuresWasCarriedWhereverItStandsNow(): void
    {
        $timeline = Timeline::of(self::twice(
            [self::follower('A4-E1', 'f-1'), self::follower('A1-E1', 'f-2')], ['A2-I1' => 'f-1', 'A1-E1' => 'f-2'],
        )->case());
        self::assertSame(['followers' => ['second' => PartState::Carried]], $timeline->byTags);
        self::assertSame($timeline->byTags, $timeline->carried);
        self::assertSame([1, 0, 0, 0], CarriedParts::of($timeline)->counts['followers']->toArray());
        self::assertSame([], $timeline->contradictions);
    }

    public function testAPartInThePlaceOfAnotherIsNewAndOneOfWhichNothingIsKnownIsNeither(): void
    {
        $before = [self::follower('A4-E1', 'f-1')];
        $new = Timeline::of(self::twice($before, ['A4-E1' => 'f-9'])->case());
        self::assertSame(['followers' => ['second' => PartState::New]], $new->byTags);
        self::assertSame([], Timeline::of(self::twice($before, ['A3-E1' => 'f-9'])->case())->byTags, 'nobody tagged what stood there');
        $mixed = self::twice([...$before, self::follower('A1-E1', 'f-2')], ['A4-E1' => 'f-9', 'A1-E1' => 'f-2']);
        self::assertSame([], Timeline::of($mixed->case())->byTags, 'one was carried, one is new');
        $at = Timeline::of($mixed->failed('A4-E1')->case());
        self::assertSame(['followers' => ['second' => PartState::New]], $at->byTags, 'what counts is the one that failed');
    }

    public function testWhatRanInBetweenMayBeWhereAPartWentInNew(): void
    {
        $run = ['ran' => ['what' => 'run', 'date' => '2026-03-01']];
        $before = [self::follower('A4-E1', 'f-1')];
        self::assertSame([], Timeline::of(self::twice($before, ['A4-E1' => 'f-9'], $run)->case())->byTags);
        self::assertNotSame([], Timeline::of(self::twice($before, ['A4-E1' => 'f-1'], $run)->case())->byTags);
        $built = ['built' => ['what' => 'build', 'date' => '2026-03-01']];
        self::assertNotSame([], Timeline::of(self::twice($before, ['A4-E1' => 'f-9'], $built)->case())->byTags);
    }

    public function testTagsGoBeforeWhatWasSaidAndTheContradictionIsSaid(): void
    {
        $example = self::twice([self::follower('A4-E1', 'f-1')], ['A4-E1' => 'f-1'])->records(
            EntryKind::Carry, Carry::slot(Component::Followers, 'second'), ['state' => 'new'],
        )->records(EntryKind::Carry, Carry::slot(Component::Springs, 'second'), ['state' => 'new']);
        $timeline = Timeline::of($example->case());
        self::assertSame(PartState::Carried, $timeline->carried['followers']['second'] ?? null);
        self::assertSame(PartState::New, $timeline->carried['springs']['second'] ?? null, 'of the springs there are no tags');
        self::assertCount(1, $timeline->contradictions);
        self::assertStringContainsString(
            'said to be new at the failure of 2026-06-01, but by their tags (f-1) they were carried', $timeline->contradictions[0],
        );
    }

    public function testAPartOfAnEarlierBuildHasAPlaceForATag(): void
    {
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessage('no spring is told by a tag there');
        Event::fromNode(Node::root(['what' => 'failure', 'earlier' => [
            'case' => self::EARLIER, 'parts' => [['place' => 'A4-E1', 'part' => 'spring', 'tag' => 's-1']],
        ]]));
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
