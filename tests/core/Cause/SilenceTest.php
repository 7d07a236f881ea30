<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Settings;
use MuteTapper\Core\Cause\Beside;
use MuteTapper\Core\Cause\Effects;
use MuteTapper\Core\Cause\Evidence;
use MuteTapper\Core\Cause\Explanations;
use MuteTapper\Core\Cause\Item;
use MuteTapper\Core\Cause\ItemKind;
use MuteTapper\Core\Cause\Mechanisms;
use MuteTapper\Core\Cause\Model;
use MuteTapper\Core\Cause\Naming;
use MuteTapper\Core\Cause\Places;
use MuteTapper\Core\Cause\Ratios;
use MuteTapper\Core\Cause\Wirings;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\EntryLog;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Teardown\Attention;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What was not said, not seen or not sure says nothing; and the figures of the judgement stand where they were set. */
final class SilenceTest extends TestCase
{
    /** @return array<string, Item> */
    private static function items(Example $example): array
    {
        return Assessment::of($example->case(), Example::knowledge())->items();
    }

    public function testAChoiceThatWasNotTakenStaysSilent(): void
    {
        $items = self::items(Example::pushrodEight()->answers('engine', 'noise', 'warm'));
        self::assertTrue($items['ticks_cold_fades']->isPresent);
        self::assertArrayNotHasKey('ticks_always', $items, 'Who hears one noise has not denied another.');
        $none = self::items(Example::pushrodEight()->answers('engine', 'noise', 'none'));
        self::assertSame(
            [false, false], [$none['ticks_always']->isPresent, $none['ticks_cold_fades']->isPresent], 'This choice denies all of them.',
        );
    }

    /** All may have sagged alike: even readings say nothing against a kind or all, and much against one station. */
    public function testAComparisonWithinASetAccusesAndNeverAcquitsTheSet(): void
    {
        $even = Example::pushrodEight()->sees('A1-E1', 'valve', 'tip_peened', 2);
        $compared = clone $even;
        foreach (['A1-E1', 'A2-E1', 'A3-E1', 'A4-E1', 'B1-E1'] as $place) {
            $compared->measures($place, 'load_seat', '120', '1.800');
        }
        self::assertFalse(self::items($compared)['spring_load_low']->isPresent);
        self::assertTrue(self::items($compared)['spring_load_low']->isRelative);
        $likelihoods = static function (Example $example): array {
            $found = ['all' => null, 'kind' => null, 'station' => null];
            $model = Assessment::of($example->case(), Example::knowledge())->model();
            foreach ($model->placed('spring_weak') as $placed) {
                $found[$placed->extent->scope->value] ??= $model->likelihood($placed) / $model->likelihood();
            }

            return $found;
        };
        [$before, $after] = [array_map(floatval(...), $likelihoods($even)), array_map(floatval(...), $likelihoods($compared))];
        self::assertEqualsWithDelta($before['all'], $after['all'], 1e-12);
        self::assertEqualsWithDelta($before['kind'], $after['kind'], 1e-12);
        self::assertLessThan($before['station'] / 5, $after['station']);
        self::assertTrue(self::items($compared->measures('B2-E1', 'load_seat', '90', '1.800'))['spring_load_low']->isPresent);
    }

    public function testALookCountsForTheSignsOfItsEditionOnly(): void
    {
        [$older, $newer, $unknown] = [str_repeat('a', 64), str_repeat('b', 64), str_repeat('c', 64)];
        $files = Example::files();
        $files['editions'] = ['editions' => [
            ['hash' => $older, 'added' => ['coils_bright', 'seal_torn'], 'dropped' => []],
            ['hash' => $newer, 'added' => ['spring_rust'], 'dropped' => ['seal_torn']],
        ]];
        $knowledge = Knowledge::fromArray($files);
        $listed = static fn (string $sign): array => array_map(
            static fn (?string $edition): bool => $knowledge->listed($sign, $edition), [$older, $newer, $unknown, null],
        );
        self::assertSame([true, true, true, true], $listed('coils_bright'));
        self::assertSame(
            [false, true, false, true], $listed('spring_rust'), 'An older look did not ask for it, and of an unknown edition nobody knows.',
        );
        self::assertSame([true, false, false, true], $listed('seal_torn'));

        $denied = static function (string $edition) use ($knowledge): array {
            $look = Entry::fromNode(Node::root([
                'id' => '01900000-0000-7000-8000-000000000001', 'kind' => 'look', 'by' => 'tests', 'at' => '2026-11-25T10:00:00Z',
                'knowledge' => $edition,
                'slot' => ['place' => 'A1-E1', 'part' => 'spring', 'item' => 'look', 'index' => null], 'data' => ['state' => 'as_found'],
            ]));

            return Assessment::of(
                new CaseFile(Example::pushrodEight()->engine(), new Settings(UnitSystem::Inch, 'usual'), EntryLog::of([$look])), $knowledge,
            )->items();
        };
        self::assertFalse($denied($newer)['spring_rust']->isPresent);
        self::assertArrayNotHasKey('spring_rust', $denied($older));
        self::assertArrayHasKey('coils_bright', $denied($unknown));
    }

    public function testThePresentKnowledgeIsAnEdition(): void
    {
        self::assertTrue(Example::knowledge()->isEdition(), 'The knowledge was changed: run bin/console knowledge:edition.');
    }

    public function testASurenessOfNothingWeighsNothing(): void
    {
        $unsure = Example::pushrodEight()->sees('A1-E1', 'spring', 'coils_bright', 3)->records(
            EntryKind::Finding, Slot::fromNode(Node::root(['place' => 'A1-E1', 'part' => 'valve', 'item' => 'tip_peened'])),
            ['severity' => 3, 'state' => 'as_found', 'sureness' => 0],
        );
        self::assertArrayNotHasKey('tip_peened', self::items($unsure));
    }

    /** @return iterable<array{float, Verdict}> the probability of lying on the good side, a thousandth to either side of each bound */
    public static function bounds(): iterable
    {
        yield [0.976, Verdict::Inside];
        yield [0.974, Verdict::InsideClose];
        yield [0.801, Verdict::InsideClose];
        yield [0.799, Verdict::CannotTell];
        yield [0.201, Verdict::CannotTell];
        yield [0.199, Verdict::OutsideClose];
        yield [0.026, Verdict::OutsideClose];
        yield [0.024, Verdict::Outside];
    }

    #[DataProvider('bounds')]
    public function testTheBoundsOfAVerdict(float $good, Verdict $verdict): void
    {
        self::assertSame($verdict, Verdict::of($good, false));
    }

    /** Figures that were settled, not derived. Who moves one moves what is concluded in every case: say so here, and in the docs. */
    public function testTheFiguresOfTheJudgement(): void
    {
        self::assertSame([
            'NONE' => 1.0, 'NONE_ON_DAMAGE' => 0.25, 'SINGLES' => 0.77, 'PAIRS' => 0.25, 'OTHER' => 0.08, 'WORTH_KEEPING' => 1.5,
            'WORTH_SUMMING' => 1e-4, 'OTHER_PLACE' => 1e-3, 'DAMAGE_LEAK' => 0.015, 'DAMAGE_CONFIDENCE' => 0.9,
        ], (new \ReflectionClass(Explanations::class))->getConstants());
        self::assertSame([
            'LEADER_GAIN' => 10.0, 'LEADER_PROBABILITY' => 0.5, 'TIMES_THE_RIVAL' => 2.0, 'LEADER_UNEXPLAINED' => 0.3,
            'PAIR_PROBABILITY' => 0.25, 'OVER_A_RIVAL' => 3.0, 'RIVAL' => 0.02, 'LESSER_RIVAL' => 0.25, 'NOT_BY_HEARSAY' => 3.0,
            'OPEN_UNEXPLAINED' => 0.4, 'OPEN_PROBABILITY' => 0.05, 'OPEN_SHARE_OF_FIRST' => 0.2, 'OPEN_TOGETHER' => 0.5, 'OPEN_AMONG' => 3,
        ], (new \ReflectionClass(Naming::class))->getConstants());
        self::assertSame(
            ['ESTABLISHED' => 0.9, 'DENIED_BELOW' => 0.1, 'WEIGHED' => 12], (new \ReflectionClass(Mechanisms::class))->getConstants(),
        );
        self::assertSame([
            'BROUGHT_ABOUT' => 0.5, 'FURTHER_GAIN' => 10.0, 'ALONE' => 3.0, 'PLACES_TRIED' => 3,
        ], (new \ReflectionClass(Beside::class))->getConstants());
        self::assertSame(
            ['TRIED' => 3, 'SEVERAL_OF_STATION' => 0.2, 'WITHOUT_FAILED' => 1 / 3], (new \ReflectionClass(Places::class))->getConstants(),
        );
        self::assertSame([
            'DENIES' => 0.1, 'STRAY' => [0.1, 0.4], 'STRAYED' => 0.8, 'LOOKED_FOR_SPREAD' => 7, 'MISSED_BY_FEW' => 0.75,
            'MISSED_BY_MOST' => 0.2,
        ], (new \ReflectionClass(Ratios::class))->getConstants());
        self::assertSame(['EVENT_LEAK_SHARE' => 0.1, 'MOST_PLACED' => 1_000_000], (new \ReflectionClass(Model::class))->getConstants());
        self::assertSame([
            'OTHER_EVENT' => 0.05, 'OTHER_SIGN' => 0.03, 'BEARING_BITS' => 12, 'MEMBER_BITS' => 30,
        ], (new \ReflectionClass(Effects::class))->getConstants());
        self::assertSame(['RANKS' => [0.4, 0.1]], (new \ReflectionClass(Wirings::class))->getConstants());
        self::assertSame(
            ['UNANSWERED' => 0.30, 'LOOKED_ABSENT' => 0.04, 'NOTHING' => 1e-9], (new \ReflectionClass(Evidence::class))->getConstants(),
        );
        self::assertSame(['WORTH' => 0.02], (new \ReflectionClass(Attention::class))->getConstants());
    }

    public function testAnUnansweredQuestionIsOneItemOfItsOwnKind(): void
    {
        $items = self::items(Example::pushrodEight()->sees('A1-E1', 'valve', 'tip_peened', 1));
        self::assertEqualsWithDelta(Evidence::UNANSWERED, array_values($items['sudden_stop']->sites)[0], 1e-12);
        self::assertSame(ItemKind::Unanswered, $items['sudden_stop']->kind);
    }
}
