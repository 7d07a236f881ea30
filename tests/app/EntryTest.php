<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\Core\Document\Node;
use PHPUnit\Framework\Attributes\DataProvider;

final class EntryTest extends AppTestCase
{
    public function testAReadingIsStoredAsTypedAndAsMeant(): void
    {
        $case = $this->newCase();
        $stored = $this->send('POST', "/api/cases/$case/entries", self::height('45.72 mm'), 201);
        self::assertIsArray($stored['entry']);
        self::assertSame(['45.72 mm', '1.800'], [$stored['entry']['text'], $stored['entry']['shown']]);
        self::assertSame('height_micrometer', $stored['entry']['gaugeCode']);
    }

    public function testAWordStandsWhereNothingCouldBeRead(): void
    {
        $case = $this->newCase();
        $stored = Node::root($this->send('POST', "/api/cases/$case/entries", self::height('unr'), 201))->get('entry');
        self::assertSame('unreachable', $stored->get('shown')->text());
        self::assertSame('unreachable', $stored->get('content')->get('notMeasurable')->text());
        $margin = Node::root($this->send('GET', "/api/cases/$case/margins?quantity=retainer_to_seal"))->get('margins')->items()[0];
        self::assertSame('not_measured', $margin->get('verdict')->text());
        self::assertStringContainsString('The installed height cannot be measured: unreachable.', $margin->get('sentence')->text());
    }

    public function testAnImplausibleFigureIsKeptWithItsReason(): void
    {
        $case = $this->newCase();
        $refused = $this->send('POST', "/api/cases/$case/entries", self::height('4.2'), 422);
        self::assertIsString($refused['reason']);
        self::assertStringContainsString('“4.2 ! …”', $refused['reason']);
        $stored = Node::root($this->send('POST', "/api/cases/$case/entries", self::height('4.2 ! a marine head'), 201))->get('entry');
        self::assertSame(
            ['4.200', 'a marine head'], [$stored->get('shown')->text(), $stored->get('content')->get('kept')->text()],
        );
    }

    public function testAResentEntryIsStoredOnce(): void
    {
        $case = $this->newCase();
        $entry = self::height('1.800');
        $first = $this->send('POST', "/api/cases/$case/entries", $entry, 201);
        $again = $this->send('POST', "/api/cases/$case/entries", $entry, 200);
        self::assertSame($first['revision'], $again['revision']);
    }

    public function testTwoWindowsNeverOverwriteEachOtherSilently(): void
    {
        $case = $this->newCase();
        $first = self::height('1.800');
        $this->send('POST', "/api/cases/$case/entries", $first, 201);
        $this->send('POST', "/api/cases/$case/entries", ['supersedes' => $first['id'], 'by' => 'left window'] + self::height('1.801'), 201);
        $conflict = $this->send(
            'POST', "/api/cases/$case/entries", ['supersedes' => $first['id'], 'by' => 'right window'] + self::height('1.805'), 409,
        );
        self::assertIsArray($conflict['current']);
        self::assertIsArray($conflict['yours']);
        self::assertSame(
            ['1.801', 'left window', '1.805'], [$conflict['current']['shown'], $conflict['current']['by'], $conflict['yours']['shown']],
        );
        $this->send('POST', "/api/cases/$case/entries", ['supersedes' => $conflict['current']['id']] + self::height('1.805'), 201);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> entry, words of the refusal */
    public static function bad(): iterable
    {
        yield 'thou not said' => [self::entry('reading', ['A1-E1', 'valve', 'lash'], ['text' => '16']), '16 thou (0.016 in)?'];
        yield 'negative' => [self::height('-1.8'), 'not plausible'];
        yield 'no such place' => [self::height('1.8', 'C9-E1'), 'no place'];
        yield 'no such column' => [self::entry('reading', ['A1-E1', 'spring', 'colour'], ['text' => '1']), 'not a reading'];
        yield 'load without height' => [
            self::entry('reading', ['A1-E1', 'spring', 'load_seat', 'outer'], ['text' => '120']), 'test height',
        ];
        yield 'no such gauge' => [
            self::entry('reading', ['A1-E1', 'spring_seat', 'installed_height'], ['text' => '1.8', 'gauge' => 'eye']), 'no gauge',
        ];
        yield 'no such sign' => [self::entry('finding', ['A1-E1', 'spring', 'haunted'], ['severity' => 2]), 'no sign'];
        yield 'sign of another part' => [self::entry('finding', ['A1-E1', 'seal', 'coils_bright'], ['severity' => 2]), 'not seen on'];
        yield 'severity too high' => [
            self::entry('finding', ['A1-E1', 'spring', 'coils_bright'], ['severity' => 5]), 'accepted is one of 0, 1, 2, 3, 4',
        ];
        yield 'bench sign by eye' => [self::entry('finding', ['A1-E1', 'spring', 'no_travel'], ['severity' => 2]), 'comes from the bench'];
        yield 'part not fitted' => [self::entry('look', ['A1-E1', 'lash_shim', 'look'], []), 'no “lash_shim”'];
        yield 'photograph not uploaded' => [
            self::entry('photograph', ['A1-E1', 'spring', 'photograph', 'x'], ['sha256' => str_repeat('0', 64)]), 'upload it first',
        ];
        yield 'bad id' => [['id' => 'seven'] + self::height('1.8'), 'not a UUID'];
        yield 'bad time' => [['at' => 'yesterday-ish'] + self::height('1.8'), 'not a time'];
        yield 'nobody' => [['by' => ' '] + self::height('1.8'), 'empty'];
        yield 'claimed load without height' => [
            self::entry('claim', ['kind-E', 'spring', 'claimed.load_seat', 'outer'], ['text' => '120', 'standing' => 'said']),
            'needs its height',
        ];
    }

    /** @param array<string, mixed> $entry */
    #[DataProvider('bad')]
    public function testBadInputIsRefusedInWordsAndNothingIsStored(array $entry, string $words): void
    {
        $case = $this->newCase();
        $problem = $this->send('POST', "/api/cases/$case/entries", $entry, 422);
        self::assertIsString($problem['detail']);
        self::assertStringContainsString($words, $problem['detail']);
        self::assertSame([], $this->send('GET', "/api/cases/$case")['entries']);
    }

    public function testAWithdrawalEmptiesItsSlotAndStaysOnRecord(): void
    {
        $case = $this->newCase();
        $reading = self::height('1.800');
        $this->send('POST', "/api/cases/$case/entries", $reading, 201);
        $this->send(
            'POST', "/api/cases/$case/entries",
            ['kind' => 'withdrawal', 'supersedes' => $reading['id'], 'reason' => 'mistyped', 'data' => []] + self::height(''), 201,
        );
        $sheet = $this->send('GET', "/api/cases/$case/sheets/heights");
        self::assertIsArray($sheet['margins']);
        self::assertContains('installed height', self::at($sheet, 'margins/0/missing')->words());
        $this->client->request('GET', "/api/cases/$case/case.json");
        self::assertStringContainsString('"withdrawal"', (string) $this->client->getResponse()->getContent());
    }

    public function testAfterSigningACorrectionNeedsItsReason(): void
    {
        $case = $this->newCase();
        $reading = self::height('1.800');
        $this->send('POST', "/api/cases/$case/entries", $reading, 201);
        $this->send(
            'PUT', "/api/cases/$case/call",
            ['causes' => ['installed_height_small'], 'words' => 'Short.', 'confidence' => 60, 'by' => 'tests'], 200, ['If-Match' => '"1"'],
        );
        $this->send('POST', "/api/cases/$case/call/signature", ['by' => 'tests'], 200, ['If-Match' => '"2"']);
        $this->send('POST', "/api/cases/$case/entries", ['supersedes' => $reading['id']] + self::height('1.790'), 422);
        $this->send(
            'POST', "/api/cases/$case/entries", ['supersedes' => $reading['id'], 'reason' => 're-measured'] + self::height('1.790'), 201,
        );
    }

    public function testEntriesSentTogetherAreStoredInTheirOrderAndOnce(): void
    {
        $case = $this->newCase();
        $first = self::height('1.800');
        $entries = [$first, self::height('1.790', 'A2-E1'), ['supersedes' => $first['id']] + self::height('1.801')];
        $recorded = self::at($this->send('POST', "/api/cases/$case/entries/together", ['entries' => $entries]), 'recorded')->items();
        $shown = static fn (Node $one): string => $one->get('entry')->get('shown')->text();
        self::assertSame(['1.800', '1.790', '1.801'], array_map($shown, $recorded));
        $revision = static fn (Node $one): float => $one->get('revision')->number();
        self::assertSame([1.0, 2.0, 3.0], array_map($revision, $recorded));

        $more = [...$entries, self::height('1.795', 'A3-E1')];
        $again = self::at($this->send('POST', "/api/cases/$case/entries/together", ['entries' => $more]), 'recorded')->items();
        self::assertSame(['1.800', '1.790', '1.801', '1.795'], array_map($shown, $again));
        self::assertSame(4.0, $revision($again[3]));
        self::assertCount(3, self::at($this->send('GET', "/api/cases/$case"), 'entries')->items(), 'one stands at each place');
    }

    public function testOfEntriesSentTogetherAllAreStoredOrNoneAndTheRefusedOneIsNamed(): void
    {
        $case = $this->newCase();
        $this->send('POST', "/api/cases/$case/entries", $there = self::height('1.800'), 201);
        $good = self::height('1.790', 'A2-E1');
        foreach ([
            [self::height('-1.8', 'A3-E1'), 422, '/entries/1', 'not plausible'],
            [self::entry('finding', ['A1-E1', 'spring', 'coils_bright'], ['severity' => 5]), 422, '/entries/1/data/severity', 'accepted'],
            [['id' => 'seven'] + self::height('1.8', 'A3-E1'), 422, '/entries/1/id', 'not a UUID'],
            [self::height('1.805'), 409, '/entries/1', 'filled this place meanwhile'],
        ] as [$refused, $status, $pointer, $words]) {
            $problem = $this->send('POST', "/api/cases/$case/entries/together", ['entries' => [$good, $refused]], $status);
            self::assertSame($pointer, $problem['pointer']);
            self::assertStringContainsString($words, self::text($problem));
        }
        $many = array_fill(0, 101, $good);
        self::assertStringContainsString('100', self::text(
            $this->send('POST', "/api/cases/$case/entries/together", ['entries' => $many], 422),
        ));
        $standing = self::at($this->send('GET', "/api/cases/$case"), 'entries')->items();
        self::assertSame([$there['id']], array_map(static fn (Node $one): string => $one->get('id')->text(), $standing));
    }

    public function testARequestThatIsNotJsonIsAnsweredAsAProblem(): void
    {
        $case = $this->newCase();
        self::assertStringContainsString('cut off', self::text($this->send('POST', "/api/cases/$case/entries", '{"id": "019', 400)));
        self::assertStringContainsString('not JSON', self::text($this->send('POST', "/api/cases/$case/entries", 'station;height', 400)));
        $this->send('GET', '/api/cases/nothing', null, 404);
        $this->send('GET', '/api/no-such-place', null, 404);
    }

    /** @param array<string, mixed> $problem */
    private static function text(array $problem): string
    {
        self::assertIsString($problem['detail']);

        return $problem['detail'];
    }
}
