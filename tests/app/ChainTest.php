<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\Core\Document\Node;

/** The chain of damage over the wire: drawn from the ranking, changed by people, printed. */
final class ChainTest extends AppTestCase
{
    private string $case;

    protected function setUp(): void
    {
        parent::setUp();
        $this->case = '/api/cases/'.$this->newCase();
        foreach (['coils_bright' => 'spring', 'end_coil_dug' => 'spring_seat', 'pushrod_bent' => 'pushrod'] as $sign => $part) {
            $this->send('POST', $this->case.'/entries', self::entry('finding', ['A2-E1', $part, $sign], ['severity' => 3]), 201);
        }
        $this->send(
            'POST', $this->case.'/entries',
            self::entry('claim', ['kind-E', 'spring_seat', 'claimed.installed_height'], ['text' => '1.800', 'standing' => 'known']), 201,
        );
        $this->send('POST', $this->case.'/entries', self::height('1.720', 'A2-E1'), 201);
    }

    /** @return array<string, Node> by code */
    private function events(): array
    {
        $events = [];
        foreach (Node::root($this->send('GET', $this->case.'/chain'))->get('events')->items() as $event) {
            $events[$event->get('code')->word()] = $event;
        }

        return $events;
    }

    public function testItIsToldFromTheCauseToWhatWasFound(): void
    {
        $events = $this->events();
        self::assertSame('seen', $events['coil_bind']->get('standing')->word());
        self::assertSame(
            'Spring goes solid (coil bind), 3E: adjacent coils bright on facing sides; end coil dug into retainer or seat.',
            $events['coil_bind']->get('sentence')->word(1000),
        );
        self::assertStringStartsWith('Because of ', $events['train_overload']->get('because')->word(1000));
        self::assertSame('teardown', $events['train_overload']->get('step')->word());
    }

    /** @param array<string, string> $data */
    private function change(array $data, int $status = 201): string
    {
        $index = ($data['edit'] === 'first' ? null : $data['event'].(isset($data['to']) ? '.'.$data['to'] : ''));
        $slot = ['engine', 'chain', $data['edit'], ...$index === null ? [] : [$index]];
        $answer = Node::root($this->send('POST', $this->case.'/entries', self::entry('chain', $slot, $data), $status));

        return $status === 201 ? $answer->get('entry')->get('id')->word() : $answer->get('reason')->word(1000);
    }

    public function testAPersonCutsAddsAndTakesBack(): void
    {
        $ranking = $this->send('GET', $this->case.'/ranking');
        $cut = $this->change(['edit' => 'cut', 'event' => 'coil_bind', 'to' => 'train_overload', 'words' => 'dropped on the floor']);
        $this->change(['edit' => 'event', 'event' => 'own-1', 'words' => 'pushrod dropped', 'known' => 'told']);
        $this->change(['edit' => 'link', 'event' => 'own-1', 'to' => 'train_overload']);
        $chain = Node::root($this->send('GET', $this->case.'/chain'));
        $links = array_map(
            static fn (Node $link): array => [
                $link->get('from')->word(), $link->get('to')->word(), $link->get('isCut')->flag(), $link->get('words')->text(),
            ], $chain->get('links')->items(),
        );
        self::assertContains(['coil_bind', 'train_overload', true, 'dropped on the floor'], $links);
        self::assertContains(['own-1', 'train_overload', false, ''], $links);
        self::assertSame(
            [
                'Cut: Spring goes solid (coil bind) → train overloaded', 'Added: pushrod dropped',
                'Linked: pushrod dropped → train overloaded',
            ],
            array_map(static fn (Node $edit): string => $edit->get('label')->word(200), $chain->get('edits')->items()),
        );
        self::assertSame($ranking['causes'], $this->send('GET', $this->case.'/ranking')['causes']);

        $back = self::entry('withdrawal', ['engine', 'chain', 'cut', 'coil_bind.train_overload'], []);
        $this->send('POST', $this->case.'/entries', ['supersedes' => $cut] + $back, 201);
        self::assertCount(2, Node::root($this->send('GET', $this->case.'/chain'))->get('edits')->items());
    }

    public function testWhatTheCatalogueOrTheEngineDoesNotHaveIsRefused(): void
    {
        self::assertStringContainsString(
            'no cause or event “gremlins”', $this->change(['edit' => 'older', 'event' => 'gremlins'], 422),
        );
        self::assertStringContainsString(
            'no place “Z9-E1”',
            $this->change(['edit' => 'event', 'event' => 'own-1', 'words' => 'x', 'known' => 'seen', 'place' => 'Z9-E1'], 422),
        );
        $elsewhere = self::entry('chain', ['engine', 'chain', 'older', 'float'], ['edit' => 'older', 'event' => 'coil_bind']);
        self::assertStringContainsString(
            'no chain is kept at', self::at($this->send('POST', $this->case.'/entries', $elsewhere, 422), 'reason')->word(1000),
        );
    }

    /** The report prints the drawing of the screen, its story, and what was changed by whom. */
    public function testItIsPrinted(): void
    {
        $this->change(['edit' => 'cut', 'event' => 'coil_bind', 'to' => 'train_overload', 'words' => 'dropped on the floor']);
        $this->client->request('GET', $this->case.'/report.html');
        $html = (string) $this->client->getResponse()->getContent();
        self::assertStringContainsString('Chain of damage', $html);
        self::assertStringContainsString('dropped on the floor', $html);
        self::assertStringContainsString($this->events()['coil_bind']->get('sentence')->word(1000), html_entity_decode($html));
        preg_match('#<img src="data:image/svg\+xml;base64,([^"]+)" alt="Chain of damage, told in sentences below"#', $html, $found);
        $svg = (string) base64_decode($found[1] ?? '', true);
        self::assertStringContainsString('Spring goes solid', $svg);
        self::assertStringContainsString('first event', $svg);
        self::assertStringNotContainsString('var(--', $svg);
        $drawing = new \DOMDocument();
        self::assertTrue($drawing->loadXML($svg));
    }
}
