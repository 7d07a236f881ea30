<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\Core\Document\Node;

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

    /** @return array<string, mixed> */
    private static function tag(string $place, string $tag): array
    {
        return self::entry('tag', [$place, 'spring', 'tag', 'outer'], ['tag' => $tag]);
    }
}
