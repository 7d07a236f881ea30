<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\Core\Document\Node;
use Symfony\Component\Uid\Uuid;

/** Parts by their tags: one part, wherever it stands. */
final class PartTagTest extends AppTestCase
{
    public function testAPartStandsAtOnePlaceOfAnEngine(): void
    {
        $case = '/api/cases/'.$this->newCase();
        $first = self::tag('A1-E1', 'drawer-9');
        $this->send('POST', $case.'/entries', $first, 201);
        $refused = $this->send('POST', $case.'/entries', self::tag('A2-E1', 'drawer-9'), 422);
        self::assertSame('/data/tag: “drawer-9” stands at 1E already: take it from there first.', $refused['detail']);
        $taken = ['supersedes' => $first['id']] + self::entry('withdrawal', ['A1-E1', 'spring', 'tag', 'outer'], []);
        $this->send('POST', $case.'/entries', $taken, 201);
        $this->send('POST', $case.'/entries', self::tag('A2-E1', 'drawer-9'), 201);
    }

    public function testATagIsOfOneKindOfPart(): void
    {
        $case = '/api/cases/'.$this->newCase();
        $this->send('POST', $case.'/entries', self::tag('A1-E1', 'odd-1'), 201);
        $valve = self::entry('tag', ['A1-E1', 'valve', 'tag'], ['tag' => 'odd-1']);
        $refused = $this->send('POST', $case.'/entries', $valve, 422);
        self::assertSame('/data/tag: “odd-1” is the tag of a spring.', $refused['detail']);
    }

    /** The same spring in two builds: each knows of the other. */
    public function testAPartIsMetOverCases(): void
    {
        [$earlier, $later] = [$this->newCase(), $this->newCase()];
        $this->send('POST', "/api/cases/$earlier/entries", self::tag('A3-I1', 'twice-1'), 201);
        $this->send('POST', "/api/cases/$later/entries", self::tag('A1-I1', 'twice-1'), 201);
        $this->send('POST', "/api/cases/$later/entries", self::entry(
            'reading', ['loose-twice-1', 'spring', 'free_height', 'outer'], ['text' => '2.25'],
        ), 201);
        $places = array_map(
            static fn (Node $one): array => [$one->get('case')->text(), $one->get('label')->text(), $one->get('isLoose')->flag()],
            Node::root($this->send('GET', '/api/parts/twice-1'))->items(),
        );
        self::assertEqualsCanonicalizing([
            [$earlier, '5I', false], [$later, '1I', false], [$later, 'loose twice-1', true],
        ], $places);
        self::assertSame([], $this->send('GET', '/api/parts/never-seen'));
    }

    /** What stood in an earlier failure is taken along with its case, and what was carried follows from it. */
    public function testWhatWasCarriedFollowsFromTheTagsOfBothCases(): void
    {
        [$earlier, $later] = [$this->newCase(), $this->newCase()];
        $this->send('POST', "/api/cases/$earlier/entries", self::tag('A3-I1', 'twice-1'), 201);
        $this->send('POST', "/api/cases/$later/entries", self::tag('A1-I1', 'twice-1'), 201);
        $first = self::event('first', ['what' => 'failure', 'date' => '2026-01-10', 'earlier' => ['case' => $earlier]]);
        $this->send('POST', "/api/cases/$later/entries", $first, 201);
        $second = self::event('second', ['what' => 'failure', 'date' => '2026-06-01', 'sameSymptom' => true]);
        $this->send('POST', "/api/cases/$later/entries", $second, 201);
        $said = self::entry('carry', ['engine', 'timeline', 'carry.springs', 'second'], ['state' => 'new']);
        $this->send('POST', "/api/cases/$later/entries", $said, 201);
        $timeline = Node::root($this->send('GET', "/api/cases/$later/timeline"));
        self::assertSame([['component' => 'springs', 'event' => 'second', 'state' => 'carried']], $timeline->get('byTags')->raw());
        self::assertSame(['In every failure that came again: springs.'], $timeline->get('carried')->words());
        self::assertStringContainsString('by their tags (twice-1) they were carried', $timeline->get('contradictions')->words()[0] ?? '');
    }

    public function testAnEventIsOfAnotherCaseThatIsHere(): void
    {
        $case = $this->newCase();
        $wrong = [$case => 'is not of the case that it stands in', Uuid::v7()->toRfc4122() => 'there is no such case here'];
        foreach ($wrong as $id => $why) {
            $event = self::event('first', ['what' => 'failure', 'earlier' => ['case' => $id]]);
            $refused = Node::root($this->send('POST', "/api/cases/$case/entries", $event, 422));
            self::assertSame('/data/earlier/case', $refused->get('pointer')->text());
            self::assertStringContainsString($why, $refused->get('detail')->text());
        }
    }

    /** A case that was taken in from elsewhere brings what it knows of an earlier one. */
    public function testAnEarlierCaseThatIsNotHereStaysAsItWasTold(): void
    {
        $case = $this->newCase();
        $told = ['case' => Uuid::v7()->toRfc4122(), 'name' => 'Elsewhere', 'parts' => [
            ['place' => 'A1-E1', 'part' => 'follower', 'tag' => 'f-7'],
        ]];
        $answer = Node::root($this->send(
            'POST', "/api/cases/$case/entries", self::event('first', ['what' => 'failure', 'earlier' => $told]), 201,
        ));
        self::assertSame($told, $answer->get('entry')->get('content')->get('earlier')->raw());
    }

    /**
     * @param array<string, mixed> $data
     *
     * @return array<string, mixed>
     */
    private static function event(string $id, array $data): array
    {
        return self::entry('event', ['engine', 'timeline', 'event', $id], $data);
    }

    /** @return array<string, mixed> */
    private static function tag(string $place, string $tag): array
    {
        return self::entry('tag', [$place, 'spring', 'tag', 'outer'], ['tag' => $tag]);
    }
}
