<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Remedy;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Remedy\OrderLine;
use MuteTapper\Core\Remedy\PartAdvice;
use MuteTapper\Core\Remedy\Reuse;
use MuteTapper\Core\Remedy\ReuseAdvice;
use MuteTapper\Core\Remedy\ReuseDecision;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ReuseAdviceTest extends TestCase
{
    /** @return list<PartAdvice> */
    private static function advice(Example $example): array
    {
        return ReuseAdvice::of($example->bench(), Example::knowledge());
    }

    /** @param list<PartAdvice> $advice */
    private static function at(array $advice, Part $part, string $place = Place::ENGINE): ?PartAdvice
    {
        foreach ($advice as $one) {
            if ($one->part === $part && $one->place === $place) {
                return $one;
            }
        }

        return null;
    }

    public function testWhatStoodBesideWhatBrokeIsNotForgotten(): void
    {
        $advice = self::advice(
            Example::pushrodEight()->failed('A1-E1')->sees('A1-E1', 'spring', 'spring_broken', 4)->looks('A2-E1', 'valve'),
        );
        foreach ([Part::Spring, Part::Retainer] as $part) {
            self::assertSame(ReuseDecision::Replace, self::at($advice, $part, 'A1-E1')?->advised);
        }
        self::assertNotContains('the spring beside the one that failed', self::at($advice, Part::Spring, 'A1-E1')->reasons ?? []);
        $beside = self::at($advice, Part::Spring, 'A1-I1');
        self::assertSame([ReuseDecision::Replace, ['the spring beside the one that failed']], [$beside?->advised, $beside?->reasons]);
        $lot = self::at($advice, Part::Spring);
        self::assertSame(ReuseDecision::Rework, $lot?->advised, 'one of the lot broke: the rest is tested');
        self::assertCount(14, $lot->places);
        self::assertSame(ReuseDecision::Replace, self::at($advice, Part::Seal)?->advised);
        self::assertSame(ReuseDecision::Replace, self::at($advice, Part::Locks)?->advised);
        $valves = self::at($advice, Part::Valve);
        self::assertSame([ReuseDecision::Keep, ['1 of 16 looked at, nothing against them']], [$valves?->advised, $valves?->reasons]);
        self::assertNull(self::at($advice, Part::LashShim), 'this engine has none');
        foreach ($advice as $one) {
            self::assertNotSame(Site::Engine, $one->part->site());
            self::assertNotSame([], $one->reasons, 'every advice says why');
        }
    }

    public function testAMeasurementSpeaksForItsPart(): void
    {
        $advice = self::advice(
            Example::pushrodEight()->measures('B1-I1', 'stem_run_out', '0.0090')->measures('B1-I1', 'valve_margin', '0.050'),
        );
        $valve = self::at($advice, Part::Valve, 'B1-I1');
        self::assertSame(ReuseDecision::Replace, $valve?->advised);
        self::assertStringContainsString('run-out of the stem 0.009', $valve->reasons[0]);
        self::assertNull(self::at($advice, Part::Seat, 'B1-I1'));
    }

    public function testAClockLeavesSoMuchOrSaysThatItRanOut(): void
    {
        $clocked = static fn (string $ran): Example => Example::pushrodEight()
            ->makers(Place::ENGINE, Part::Spring, 'spring_hours.most', 40, Unit::One)->tests(Place::ENGINE, 'spring_hours', $ran);
        $young = self::at(self::advice($clocked('28')), Part::Spring);
        self::assertSame([ReuseDecision::KeepWithLimit, 12.0], [$young?->advised, $young?->left]);
        $old = self::at(self::advice($clocked('41')), Part::Spring);
        self::assertSame([ReuseDecision::Replace, null], [$old?->advised, $old?->left]);
        self::assertSame(['41 of 40 h run'], $old?->reasons);
        $unsaid = self::at(self::advice(Example::pushrodEight()->tests(Place::ENGINE, 'spring_hours', '41')), Part::Spring);
        self::assertSame(ReuseDecision::Keep, $unsaid?->advised, 'without the maker’s figure a clock says nothing');
    }

    public function testWhatAPersonDecidedGoesBeforeTheAdviceAndIsOrdered(): void
    {
        $example = Example::pushrodEight()->failed('A1-E1')
            ->records(EntryKind::Reuse, Reuse::slot('A1-E1', Part::Retainer), ['decision' => 'keep', 'words' => 'dye showed nothing'])
            ->records(EntryKind::Reuse, Reuse::slot(Place::ENGINE, Part::Guide), ['decision' => 'rework'])
            ->records(EntryKind::Reuse, Reuse::slot('A2-I1', Part::Guide), ['decision' => 'replace']);
        $advice = self::advice($example);
        self::assertSame(ReuseDecision::Keep, self::at($advice, Part::Retainer, 'A1-E1')?->decision());
        self::assertSame('dye showed nothing', self::at($advice, Part::Retainer, 'A1-E1')->decided?->words);
        $orders = [];
        foreach (OrderLine::all($advice) as $line) {
            $orders[] = [$line->part, $line->what, count($line->places), $line->isDecided];
        }
        self::assertContains([Part::Guide, ReuseDecision::Replace, 1, true], $orders);
        self::assertContains([Part::Guide, ReuseDecision::Rework, 15, true], $orders);
        self::assertContains([Part::Spring, ReuseDecision::Replace, 2, false], $orders, 'advised, and said to be so');
        self::assertNotContains(Part::Retainer, array_column($orders, 0));
        self::assertSame(ReuseDecision::Replace, $orders[0][1], 'what is bought stands before what is given out');
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        yield 'kept without a reason' => [['decision' => 'keep'], '/words'];
        yield 'a limit without a figure' => [['decision' => 'keep_with_limit', 'words' => 'sound'], '/amount'];
        yield 'a limit of nothing' => [['decision' => 'keep_with_limit', 'words' => 'sound', 'amount' => 0], '/amount'];
        yield 'a limit without a reason' => [['decision' => 'keep_with_limit', 'amount' => 5], '/words'];
    }

    /** @param array<string, mixed> $data */
    #[DataProvider('bad')]
    public function testAPartThatStaysNeedsItsReason(array $data, string $pointer): void
    {
        try {
            Reuse::fromNode(Node::root($data));
            self::fail('accepted');
        } catch (BadDocument $problem) {
            self::assertSame($pointer, $problem->pointer);
        }
    }
}
