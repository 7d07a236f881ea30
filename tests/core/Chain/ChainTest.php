<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Chain;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\PlacedCause;
use MuteTapper\Core\Chain\Chain;
use MuteTapper\Core\Chain\ChainEdit;
use MuteTapper\Core\Chain\ChainEvent;
use MuteTapper\Core\Chain\ChainLink;
use MuteTapper\Core\Chain\EditKind;
use MuteTapper\Core\Chain\EventStanding;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Tests\Core\Cause\Archetypes;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What was found, laid on the graph of events, and what people change on it. */
final class ChainTest extends TestCase
{
    private static function of(Example $example): Chain
    {
        return Assessment::of($example->case(), Example::knowledge())->chain();
    }

    private static function archetype(string $name): Example
    {
        return Archetypes::all()[$name]['case'];
    }

    /** @return array<string, string> standing of each event, in the order in which they are told */
    private static function standings(Chain $chain): array
    {
        return array_map(static fn (ChainEvent $event): string => $event->standing->value, $chain->events);
    }

    /** @return list<string> */
    private static function links(Chain $chain): array
    {
        return array_map(
            static fn (ChainLink $link): string => $link->from.' '.$link->to.($link->cut === null ? '' : ' cut'), $chain->links,
        );
    }

    public function testItRunsFromTheCauseThroughWhatWasSeen(): void
    {
        $chain = self::of(self::archetype('over-speed'));
        self::assertSame(
            ['over_speed' => 'told', 'float' => 'seen', 'shim_out' => 'seen', 'seat_hammer' => 'seen'], self::standings($chain),
        );
        self::assertSame(['over_speed float', 'float shim_out', 'float seat_hammer'], self::links($chain));
        self::assertSame('float', $chain->first);
        self::assertSame(['over_speed' => 1, 'float' => 2, 'shim_out' => 3, 'seat_hammer' => 4], $chain->numbers());
        self::assertSame(['tip_peened'], $chain->events['float']->signs);
    }

    /** What nothing shows and what was seen needs is implied; the retainer broke, and the valve fell. */
    public function testWhatIsNeededInBetweenIsImplied(): void
    {
        $chain = self::of(self::archetype('a retainer flaw'));
        self::assertSame(EventStanding::Implied, $chain->events['locks_release']->standing);
        self::assertSame(['retainer_flaw locks_release', 'locks_release valve_loose'], self::links($chain));
    }

    /** What would follow and nobody looked for; then its marks are looked for, and are not there. */
    public function testWhatWouldFollowIsShownAsNotLookedOrDenied(): void
    {
        $example = Example::bucketFour()->shows('overspeed_seen', 3)->shows('lash_shim_thrown', 3, 'A2-E1')
            ->shows('tip_peened', 2, 'A1-E1', 'A2-E1', 'A3-E1');
        $open = self::of($example);
        self::assertSame('not_looked', self::standings($open)['seat_hammer'] ?? 'not drawn');
        self::assertContains('float seat_hammer', self::links($open));
        $denied = self::of(
            $example->shows('seat_hammered', 0, 'A1-E1', 'A2-E1', 'A3-E1', 'A4-E1', 'A1-I1', 'A2-I1', 'A3-I1', 'A4-I1'),
        );
        self::assertSame('denied', self::standings($denied)['seat_hammer'] ?? 'not drawn');
        self::assertArrayNotHasKey('seat_hammer', $denied->numbers(), 'what is not there is no part of the story');
    }

    /** A wrong spring leads to float of itself too; where it surged and that was seen, the way over it is the one that is drawn. */
    public function testWhatIsSaidStepByStepIsNotSaidAcross(): void
    {
        $all = ['A1-E1', 'A2-E1', 'A3-E1', 'A4-E1', 'B1-E1', 'B2-E1', 'B3-E1', 'B4-E1'];
        $chain = self::of(
            Example::pushrodEight()->shows('spring_differs', 3, ...$all)->shows('coil_clash', 2, 'A1-E1', 'A2-E1', 'B1-E1')
                ->shows('damper_displaced', 2, 'A1-E1')->shows('tip_peened', 2, 'A1-E1', 'A2-E1')
                ->shows('flank_landing', 2, 'A1-E1', 'A2-E1')->shows('coils_bright', 0, ...$all),
        );
        self::assertSame(['wrong_spring surge', 'surge float', 'float seat_hammer'], self::links($chain));
    }

    /** Nothing is named: what was seen stands by itself, without arrows. */
    public function testWithoutALeaderThereAreNoLinks(): void
    {
        $chain = self::of(self::archetype('one bucket printed its retainer'));
        self::assertSame(['retainer_contact' => 'seen', 'leak_at_seat' => 'seen'], self::standings($chain));
        self::assertSame([[], null], [$chain->links, $chain->first]);
        self::assertSame([], self::of(Example::pushrodEight())->events);
    }

    /** Whatever the case: no circle, every event is led to or is by itself, and the first event is on it. */
    public function testEveryArchetypeHasASoundChain(): void
    {
        $withLinks = 0;
        foreach (Archetypes::all() as $name => $archetype) {
            $assessment = Assessment::of($archetype['case']->case(), Example::knowledge());
            $chain = $assessment->chain();
            $leading = array_map(static fn (PlacedCause $one): string => $one->cause, $assessment->ranking()->named->first());
            $place = array_flip(array_keys($chain->events));
            foreach ($chain->links as $link) {
                self::assertLessThan($place[$link->to], $place[$link->from], $name.': what leads to an event is told before it');
                self::assertNotSame('', $link->reason, $name);
                [$from, $to] = [$chain->events[$link->from]->standing, $chain->events[$link->to]->standing];
                self::assertTrue($from->isTold() || !$to->isTold(), $name.': what happened came of what happened');
            }
            foreach ($chain->links as $i => $link) {
                $without = Chain::of($chain->events, array_values(array_diff_key($chain->links, [$i => true])), null, null);
                self::assertFalse($without->isBefore($link->from, $link->to), $name.': nothing is said twice');
            }
            foreach ($chain->events as $code => $event) {
                $anew = array_filter(array_keys($chain->events), static fn (string $to): bool => $chain->isBefore($code, $to)
                    && array_filter($leading, static fn (string $cause): bool => $chain->isBefore($cause, $to)) === []);
                self::assertTrue(
                    !$event->isCause || in_array($code, $leading, true) || $event->standing !== EventStanding::Implied || $anew !== [],
                    $name.': '.$code.' neither shows itself nor explains anything more',
                );
            }
            if ($chain->first !== null) {
                self::assertArrayHasKey($chain->first, $chain->events, $name);
                self::assertSame(0, $chain->strands()[$chain->first], $name);
            }
            foreach ($chain->events as $code => $event) {
                $isAlone = array_filter($chain->links, static fn (ChainLink $link): bool => $link->from === $code) === [];
                self::assertTrue($event->isCause || $chain->into($code) !== [] || $isAlone, $name.': '.$code.' comes from nowhere');
                self::assertSame($event->standing->isTold(), isset($chain->numbers()[$code]), $name);
                if ($event->standing === EventStanding::Seen || $event->standing === EventStanding::Told) {
                    self::assertNotSame([], $event->signs, $name.': '.$code);
                }
            }
            $withLinks += $chain->links === [] ? 0 : 1;
        }
        self::assertGreaterThan(60, $withLinks);
    }

    /** @param array<string, string> $data */
    private static function edit(array $data): ChainEdit
    {
        return ChainEdit::fromNode(Node::root($data), 'R. Alder');
    }

    public function testALinkIsCutAndWhatItCarriedHangsAlone(): void
    {
        $cut = self::edit(['edit' => 'cut', 'event' => 'float', 'to' => 'shim_out', 'words' => 'it was thrown before']);
        $chain = self::of(self::archetype('over-speed'))->edited([$cut]);
        self::assertSame(['over_speed float', 'float shim_out cut', 'float seat_hammer'], self::links($chain));
        self::assertSame([], $chain->into('shim_out'));
        self::assertSame(['over_speed' => 0, 'float' => 0, 'seat_hammer' => 0, 'shim_out' => 1], $chain->strands());
        self::assertSame('R. Alder', $chain->links[1]->cut?->by);
        self::assertSame([], $chain->adrift);
    }

    public function testAnEventIsAddedAndLinkedWhateverOrderTheyAreReadIn(): void
    {
        $edits = [
            self::edit(['edit' => 'link', 'event' => 'shim_out', 'to' => 'own-1']),
            self::edit(['edit' => 'event', 'event' => 'own-1', 'words' => 'turbine struck', 'known' => 'told', 'place' => 'A1-E1']),
            self::edit(['edit' => 'both', 'event' => 'own-1']), self::edit(['edit' => 'link', 'event' => 'seat_hammer', 'to' => 'own-1']),
        ];
        foreach ([$edits, array_reverse($edits)] as $order) {
            $chain = self::of(self::archetype('over-speed'))->edited($order);
            self::assertSame([5, 'told', ['A1-E1'], true], [
                $chain->numbers()['own-1'], $chain->events['own-1']->standing->value, $chain->events['own-1']->places,
                $chain->events['own-1']->needsAll,
            ]);
            self::assertCount(2, $chain->into('own-1'));
            self::assertSame([], $chain->adrift);
        }
    }

    public function testWhatCameBeforeTurnsTheLinkBetweenTwo(): void
    {
        $chain = self::of(self::archetype('over-speed'))
            ->edited([self::edit(['edit' => 'order', 'event' => 'shim_out', 'to' => 'float', 'words' => 'old witness'])]);
        self::assertContains('shim_out float', self::links($chain));
        self::assertNotContains('float shim_out', self::links($chain));
        self::assertTrue($chain->isBefore('shim_out', 'seat_hammer'));
        $apart = $chain->edited([self::edit(['edit' => 'order', 'event' => 'seat_hammer', 'to' => 'shim_out'])]);
        self::assertCount(1, $apart->adrift, 'a circle does not fit');
        self::assertSame(self::links($chain), self::links($apart));
    }

    public function testTwoWithoutALinkAreOrderedWithoutOne(): void
    {
        $chain = self::of(self::archetype('over-speed'))
            ->edited([self::edit(['edit' => 'order', 'event' => 'seat_hammer', 'to' => 'shim_out'])]);
        self::assertCount(3, $chain->links);
        self::assertSame(['over_speed', 'float', 'seat_hammer', 'shim_out'], array_keys($chain->events));
    }

    public function testAPersonSaysWhereItBeganAndWhatIsOlder(): void
    {
        $chain = self::of(self::archetype('over-speed'))->edited([
            self::edit(['edit' => 'first', 'event' => 'shim_out']), self::edit(['edit' => 'older', 'event' => 'seat_hammer']),
        ]);
        self::assertSame(['shim_out', 'R. Alder', true], [$chain->first, $chain->firstBy?->by, $chain->events['seat_hammer']->isOlder]);
    }

    /** The evidence changed since: what was said of an event that is not on the chain any more is kept apart, and harms nothing. */
    public function testWhatDoesNotFitAnyMoreIsKeptApart(): void
    {
        $edits = [
            self::edit(['edit' => 'cut', 'event' => 'coil_bind', 'to' => 'train_overload']),
            self::edit(['edit' => 'cut', 'event' => 'over_speed', 'to' => 'seat_hammer']),
            self::edit(['edit' => 'link', 'event' => 'float', 'to' => 'shim_out']),
            self::edit(['edit' => 'link', 'event' => 'seat_hammer', 'to' => 'float']), self::edit(['edit' => 'older', 'event' => 'surge']),
        ];
        $plain = self::of(self::archetype('over-speed'));
        $chain = $plain->edited($edits);
        self::assertCount(5, $chain->adrift);
        self::assertEquals([$plain->events, $plain->links, $plain->first], [$chain->events, $chain->links, $chain->first]);
    }

    /** A change of the chain is no evidence. */
    public function testItDoesNotReachTheRanking(): void
    {
        $example = self::archetype('over-speed');
        $edit = self::edit(['edit' => 'cut', 'event' => 'over_speed', 'to' => 'float', 'words' => 'no']);
        $with = Assessment::of(
            $example->records(EntryKind::Chain, $edit->slot(), $edit->toArray())->case(), Example::knowledge(),
        );
        $without = Assessment::of($example->case(), Example::knowledge());
        self::assertCount(1, $with->chainEdits());
        self::assertSame($without->ranking()->causes[0]->probability, $with->ranking()->causes[0]->probability);
        self::assertEquals($without->ranking()->further(), $with->ranking()->further());
    }

    /** @return iterable<string, array{array<string, string>, string, string}> */
    public static function bad(): iterable
    {
        yield 'to itself' => [['edit' => 'link', 'event' => 'float', 'to' => 'float'], '/to', 'does not lead to itself'];
        yield 'without the other' => [['edit' => 'cut', 'event' => 'float'], '/to', ''];
        yield 'without words' => [['edit' => 'event', 'event' => 'own-1', 'known' => 'seen'], '/words', 'needs words'];
        yield 'a code of the catalogue' => [
            ['edit' => 'event', 'event' => 'float', 'known' => 'seen', 'words' => 'x'], '/event', 'begins with “own-”',
        ];
        yield 'known as nothing' => [
            ['edit' => 'event', 'event' => 'own-1', 'known' => 'denied', 'words' => 'x'], '/known', 'was seen, told',
        ];
        yield 'no code' => [['edit' => 'first', 'event' => 'Float!'], '/event', 'no code of an event'];
    }

    /** @param array<string, string> $data */
    #[DataProvider('bad')]
    public function testWhatIsNotAcceptedIsSaidByPlace(array $data, string $pointer, string $words): void
    {
        try {
            self::edit($data);
            self::fail('accepted');
        } catch (BadDocument $problem) {
            self::assertSame($pointer, $problem->pointer);
            self::assertStringContainsString($words, $problem->reason);
        }
    }

    public function testEachChangeHasASlotOfItsOwn(): void
    {
        $cut = self::edit(['edit' => 'cut', 'event' => 'float', 'to' => 'shim_out']);
        self::assertSame('engine/chain/cut/float.shim_out', $cut->slot()->key());
        self::assertSame('engine/chain/older/float', self::edit(['edit' => 'older', 'event' => 'float'])->slot()->key());
        self::assertSame('engine/chain/first/', self::edit(['edit' => 'first', 'event' => 'float'])->slot()->key(), 'it begins once');
        foreach (EditKind::cases() as $kind) {
            $data = ['edit' => $kind->value, 'event' => 'own-1', 'to' => 'float', 'words' => 'x', 'known' => 'seen'];
        }
    }
}
