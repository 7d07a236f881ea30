<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\Core\Document\Node;

/** What followed from an entry is told in one answer: only what changed of what the screen shows. */
final class NewsTest extends AppTestCase
{
    private string $case;

    protected function setUp(): void
    {
        parent::setUp();
        $this->case = '/api/cases/'.$this->newCase();
    }

    private function reads(string $place, string $item, string $text): void
    {
        $slot = $item === 'installed_height' ? [$place, 'spring_seat', $item] : [$place, 'spring', $item, 'outer'];
        $this->send('POST', $this->case.'/entries', self::entry('reading', $slot, ['text' => $text]), 201);
    }

    private function news(string $query): Node
    {
        return Node::root($this->send('GET', $this->case.'/news?'.$query));
    }

    /** @return list<string> places of the margins that are told */
    private static function places(Node $followed): array
    {
        $places = array_map(static fn (Node $margin): string => $margin->get('place')->text(), $followed->get('margins')->items());

        return array_values(array_unique($places));
    }

    public function testWhatIsKnownIsNotToldAgain(): void
    {
        $this->reads('A1-E1', 'installed_height', '1.800');
        $known = self::at($this->send('GET', $this->case.'/sheets/springs'), 'content')->text();
        $nothing = $this->news('sheets=springs@'.$known)->get('sheets')->items()[0];
        self::assertFalse($nothing->get('whole')->flag());
        self::assertSame([], self::places($nothing));

        $this->reads('A1-E1', 'bind_height', '1.100');
        $news = $this->news('sheets=springs@'.$known);
        $sheet = $news->get('sheets')->items()[0];
        self::assertSame(['A1-E1'], self::places($sheet));
        self::assertNotSame($known, $news->get('content')->text());
        self::assertSame(2, $news->get('revision')->whole(0, 99));

        // Told on, step by step: what was told last is known the next time.
        $this->reads('A2-I1', 'installed_height', '1.800');
        $next = $this->news('sheets=springs@'.$news->get('content')->text())->get('sheets')->items()[0];
        self::assertNotContains('A1-E1', self::places($next));
    }

    public function testWhatIsNotKnownAnyMoreIsToldWhole(): void
    {
        $this->reads('A1-E1', 'installed_height', '1.800');
        foreach (['', '@', '@'.str_repeat('0', 64), '@../../etc/passwd'] as $known) {
            $sheet = $this->news('sheets=springs'.$known)->get('sheets')->items()[0];
            self::assertTrue($sheet->get('whole')->flag());
            self::assertGreaterThan(1, count(self::places($sheet)));
        }
    }

    public function testMarginsOfALensAreFollowed(): void
    {
        $this->reads('A1-E1', 'installed_height', '1.800');
        $known = self::at($this->send('GET', $this->case.'/margins?quantity=travel_to_bind,load_from_middle'), 'content')->text();
        $this->reads('A1-E1', 'bind_height', '1.100');
        $lens = $this->news('margins=travel_to_bind%2Bload_from_middle@'.$known)->get('margins')->items()[0];
        self::assertSame('travel_to_bind+load_from_middle', $lens->get('name')->text());
        self::assertFalse($lens->get('whole')->flag());
        self::assertSame(['A1-E1'], self::places($lens));
    }

    public function testStepsAndDaysAreThoseOfTheWholeCase(): void
    {
        $this->reads('A1-E1', 'installed_height', '1.800');
        $news = $this->news('');
        $view = Node::root($this->send('GET', $this->case));
        foreach (['steps', 'next', 'days', 'revision'] as $member) {
            self::assertEquals($view->get($member)->raw(), $news->get($member)->raw(), $member);
        }
    }

    public function testASheetThatTheEngineDoesNotHaveIsNamed(): void
    {
        $problem = $this->send('GET', $this->case.'/news?sheets=nonsense', null, 404);
        self::assertStringContainsString('nonsense', self::at($problem, 'detail')->text());
    }
}
