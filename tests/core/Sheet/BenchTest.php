<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Sheet;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Cause\Item;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\EntryLog;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Index;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Sheets;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

final class BenchTest extends TestCase
{
    private static function inches(Bench $bench, string $place, string $name, ?string $index = null): float
    {
        $value = $bench->value($place, $name, $index);
        self::assertInstanceOf(Given::class, $value, $name.' is not known');

        return $value->value->quantity()->in(Unit::Inch);
    }

    private static function stack(): Example
    {
        return Example::pushrodEight()
            ->measures('A1-E1', 'installed_height', '1.800')->measures('A1-E1', 'bind_height', '1.120')
            ->measures('A1-E1', 'net_lift', '0.584');
    }

    /** What if a shim of 0.030 in came out: the margin follows, the bench itself stays as it was. */
    public function testAChangeMovesWhatFollowsFromIt(): void
    {
        $bench = self::stack()->bench();
        $higher = $bench->with(
            Change::none()->adding(['A1-E1'], 'installed_height', Quantity::difference(0.030 * 0.0254, Dimension::Length)),
        );
        self::assertEqualsWithDelta(0.126, self::inches($higher, 'A1-E1', 'travel_to_bind', 'outer'), 1e-9);
        self::assertEqualsWithDelta(0.096, self::inches($bench, 'A1-E1', 'travel_to_bind', 'outer'), 1e-9);
        $value = $higher->value('A1-E1', 'installed_height');
        self::assertInstanceOf(Given::class, $value);
        self::assertSame(Basis::Changed, $value->basis);
    }

    /** A net lift that was read moves by as much as another ratio would move it. */
    public function testAReadingFollowsAChangeOfWhatItWouldBeComputedFrom(): void
    {
        $example = self::stack()
            ->measures('A1-E1', 'lobe_lift', '0.400')->measures('A1-E1', 'ratio', '1.50')->measures('A1-E1', 'lash', '0.016');
        $changed = $example->bench()->with(Change::none()->setting(['A1-E1'], 'ratio', Quantity::of(1.6, Unit::One)));
        self::assertEqualsWithDelta(0.584 + 0.1 * 0.400, self::inches($changed, 'A1-E1', 'net_lift'), 1e-9);
    }

    public function testAPartOfAnotherPlaceComesWithWhatIsKnownOfIt(): void
    {
        $example = self::stack()->measures('A2-E1', 'bind_height', '1.050');
        $swapped = $example->bench()->with(Change::none()->taking(['A1-E1'], Part::Spring->value, 'A2-E1'));
        self::assertEqualsWithDelta(0.166, self::inches($swapped, 'A1-E1', 'travel_to_bind', 'outer'), 1e-9);
        $unknown = $example->bench()->with(Change::none()->taking(['A1-E1'], Part::Spring->value, 'A3-E1'));
        self::assertInstanceOf(Missing::class, $unknown->value('A1-E1', 'travel_to_bind', 'outer'), 'Nothing is known of that spring.');
    }

    public function testAChangeIsReadFromItsOneShape(): void
    {
        $bench = self::stack()->bench();
        $read = static fn (array $change): Change => Change::fromNode(Node::root([$change]), $bench->case->engine, $bench->sheets);
        $change = $read(['places' => ['A1-E1'], 'name' => 'installed_height', 'by' => ['number' => 0.03, 'unit' => 'in']]);
        self::assertEqualsWithDelta(1.83, self::inches($bench->with($change), 'A1-E1', 'installed_height'), 1e-9);
        foreach ([
            '/0/places/0' => ['places' => ['Z9'], 'name' => 'installed_height', 'to' => ['number' => 1.8, 'unit' => 'in']],
            '/0/name' => ['places' => ['A1-E1'], 'name' => 'horn', 'to' => ['number' => 1.8, 'unit' => 'in']],
            '/0/to/unit' => ['places' => ['A1-E1'], 'name' => 'installed_height', 'to' => ['number' => 1.8, 'unit' => 'lbf']],
        ] as $pointer => $bad) {
            try {
                $read($bad);
                self::fail($pointer.' was accepted.');
            } catch (BadDocument $problem) {
                self::assertSame($pointer, $problem->pointer);
            }
        }
    }

    /** No value of any sheet is computed from itself, on any kind of engine. */
    public function testNoDeclarationRunsInACircle(): void
    {
        foreach ([Example::pushrodEight(), Example::bucketFour(), Example::hydraulicRollerEight()] as $example) {
            $bench = $example->bench();
            $asked = 0;
            foreach ($bench->sheets->values as $value) {
                foreach ($bench->case->engine->sites($value->site) as $place) {
                    foreach ($value->index->all($bench->case->engine) as $parts) {
                        $bench->value($place, $value->name, $value->index->join($parts));
                        ++$asked;
                    }
                }
            }
            self::assertGreaterThan(500, $asked);
        }
    }

    public function testACircleIsFoundWhenThereIsOne(): void
    {
        $of = static fn (string $name, string $from): Value => Value::named(
            $name, $name, Dimension::Length,
        )->by(Way::same(From::value($from)));
        $sheets = Sheets::of(new Sheet('loop', 'Loop', Step::Bench, 'loops', [], [$of('hen', 'egg'), $of('egg', 'hen')]));
        $this->expectExceptionMessage('is computed from itself');
        Bench::of(Example::bucketFour()->case(), $sheets, Example::knowledge())->value('A1-E1', 'hen');
    }

    public function testAnIndexIsSplitAndJoinedAlike(): void
    {
        $engine = Example::bucketFour()->engine();
        $index = Index::of(Axis::Date, Axis::Depth, Axis::Direction);
        self::assertCount(6, $index->all($engine));
        foreach (['top.along', '2026-02-28.bottom.across'] as $key) {
            self::assertSame($key, $index->join($index->split($key, $engine) ?? []));
        }
        foreach ([null, 'top', 'along.top', 'top.along.x', '2026-02-30.top.along'] as $none) {
            self::assertNull($index->split($none, $engine), (string) $none);
        }
        self::assertSame(
            ['depth' => 'middle', 'direction' => 'across'], $index->with('middle', ['depth' => 'top', 'direction' => 'across'], $engine),
        );
    }

    /**
     * Eight exhaust springs in two groups: the middle value belongs to the larger one, which need not be the sound one.
     *
     * @param list<string> $loads
     */
    private static function loads(array $loads): Bench
    {
        $example = Example::pushrodEight();
        foreach ($loads as $i => $load) {
            $example->measures(($i < 4 ? 'A' : 'B').($i % 4 + 1).'-E1', 'load_seat', $load, '1.800');
        }

        return $example->bench();
    }

    public function testASetOfTwoPopulationsCannotBeTold(): void
    {
        $margin = self::loads(['100', '101', '99', '100', '98', '120', '121', '119'])->margin('A1-E1', 'load_from_middle');
        self::assertSame(Verdict::CannotTell, $margin?->verdict);
        self::assertStringContainsString('5 at 98.0 to 101.0 lbf and 3 at 119.0 to 121.0 lbf', (string) $margin->because);
    }

    public function testOneOddSpringIsNoPopulation(): void
    {
        $bench = self::loads(['120', '121', '119', '120', '118', '122', '120', '95']);
        self::assertSame(Verdict::Outside, $bench->margin('B4-E1', 'load_from_middle')?->verdict);
        self::assertNull($bench->margin('A1-E1', 'load_from_middle')?->because);
    }

    public function testScatterOfProductionIsNoGap(): void
    {
        self::assertNull(
            self::loads(['120', '121', '120', '121', '124', '125', '124', '125'])->margin('A1-E1', 'load_from_middle')?->because,
        );
    }

    public function testFewerThanFourAreNoSet(): void
    {
        self::assertSame(Verdict::NotMeasured, self::loads(['120', '121', '90'])->margin('A3-E1', 'load_from_middle')?->verdict);
        self::assertSame(Verdict::Outside, self::loads(['120', '121', '120', '90'])->margin('A4-E1', 'load_from_middle')?->verdict);
        $pulls = static function (int $count): ?Verdict {
            $example = Example::pushrodEight();
            for ($i = 1; $i <= $count; ++$i) {
                $example->tests("A$i-E1", 'pull', $i === 1 ? '60' : '118', '1');
            }

            return $example->bench()->margin('A1-E1', 'pull_from_middle')?->verdict;
        };
        self::assertSame([Verdict::NotMeasured, Verdict::Outside], [$pulls(3), $pulls(4)]);
    }

    /** A load serves the height at which it was taken, and no height a thou away. */
    public function testALoadServesItsOwnHeightOnly(): void
    {
        $at = static fn (string $claimed): Given|Missing => Example::pushrodEight()->measures('A1-E1', 'load_seat', '110', '1.800')
            ->claims('kind-E', 'load_seat', '120', $claimed)->bench()->value('A1-E1', 'load_from_claim', 'outer');
        self::assertInstanceOf(Given::class, $at('1.800'));
        self::assertInstanceOf(Given::class, $at('1.8001'));
        self::assertInstanceOf(Missing::class, $at('1.801'));
    }

    public function testALoadOfThePairIsHeldAgainstBothSpringsTogether(): void
    {
        $example = Example::pushrodEight()
            ->measures('A1-E1', 'load_seat', '90', '1.800')->measures('A1-E1', 'load_seat', '40', '1.740', 'inner')
            ->measures('A1-E1', 'load_open', '240', '1.200')->measures('A1-E1', 'load_open', '110', '1.140', 'inner')
            ->measures('A1-E1', 'installed_height', '1.800')->measures('A1-E1', 'inner_step', '0.060')
            ->claims('kind-E', 'load_seat', '160', '1.800', 'pair');
        $departure = $example->bench()->value('A1-E1', 'load_from_claim', 'pair');
        self::assertInstanceOf(Given::class, $departure);
        self::assertEqualsWithDelta(100 * (130 - 160) / 160, $departure->value->base, 0.5);
    }

    /** Law: what stands derives the same as the whole log that led to it. */
    public function testHeadsAloneDeriveWhatTheWholeLogDoes(): void
    {
        $file = (string) file_get_contents(dirname(__DIR__, 2).'/app/files/version-1-eight.json');
        $whole = CaseFile::fromNode(Node::root(json_decode($file, true, 64, \JSON_THROW_ON_ERROR)));
        $first = $whole->log->standing(EntryKind::Reading)[0];
        $correction = Entry::fromNode(Node::root([
            'id' => '01900000-0000-7000-8000-0000000000aa', 'kind' => 'reading', 'by' => 'tests', 'at' => '2026-11-26T10:00:00Z',
            'slot' => [
                'place' => $first->slot->place, 'part' => $first->slot->part, 'item' => $first->slot->item, 'index' => $first->slot->index,
            ],
            'supersedes' => $first->id, 'data' => $first->data,
        ]));
        $entries = [...$whole->log->entries, $correction];
        $heads = array_values(array_filter($entries, static fn (Entry $entry): bool => $entry->id !== $first->id));
        $whole = $whole->with(EntryLog::of($entries));
        $short = $whole->with(EntryLog::ofHeads($heads));
        $said = static function (CaseFile $case): array {
            $assessment = Assessment::of($case, Example::knowledge());
            $margins = [];
            foreach (array_keys($assessment->bench->sheets->judged) as $quantity) {
                foreach ($assessment->bench->marginsOf($quantity) as $margin) {
                    $margins[] = [$quantity, $margin->place, $margin->index, $margin->verdict, $margin->value()?->base];
                }
            }

            return [$margins, array_map(static fn (Item $item): float => $item->ratio, $assessment->items())];
        };
        self::assertEquals($said($whole), $said($short));
    }

    public function testEnginesHaveTheSheetsThatFitThem(): void
    {
        $codes = static fn (Engine $engine): array => array_map(
            static fn (Sheet $sheet): string => $sheet->code, Example::bucketFour()->bench()->sheets->fittedTo($engine),
        );
        self::assertContains('guides', $codes(Example::bucketFour()->engine()));
        self::assertContains('heights', $codes(Example::hydraulicRollerEight()->engine()));
    }
}
