<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Spring;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\EntryForm;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\PartTag;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Curve;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Spring\LooseSpringSheet;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Springs off the engine: compared with each other, and with nothing else. */
final class LooseSpringTest extends TestCase
{
    public function testTheyAreHeldAgainstEachOtherAtEqualHeights(): void
    {
        $bench = self::compared()->bench();
        self::assertSame(['loose-a', 'loose-b', 'loose-c-10'], $bench->loosePlaces());
        self::assertSame([
            'Springs at 1.900 in, middle 120.0 lbf: a 120.0 (+0.0 %), b 140.0 (+16.7 %), c-10 119.0 (-0.8 %).',
            'Springs at 1.389 in, middle 294.0 lbf: a 281.0 (-4.4 %), b 307.0 (+4.4 %).',
        ], $bench->remarks(LooseSpringSheet::declare()));
    }

    /** Two springs alike in look, 315 against 327 lbf/in by their loads over 0.511 in of travel. [practice] */
    public function testTheirRate(): void
    {
        $bench = self::compared()->bench();
        foreach (['loose-a' => (281 - 120) / 0.511, 'loose-b' => (307 - 140) / 0.511] as $place => $rate) {
            $found = $bench->value($place, 'rate', Coil::Outer->value);
            self::assertInstanceOf(Given::class, $found);
            self::assertEqualsWithDelta($rate, $found->value->quantity()->in(Unit::PoundForcePerInch), 0.01);
        }
    }

    /** Two loads make a line; from the lower height it goes on by the rate to where the spring is solid. */
    public function testTheirLinesAreDrawnOverEachOther(): void
    {
        $bench = self::compared()->measures('loose-a', 'bind_height', '1.289')->bench();
        $curves = (LooseSpringSheet::declare()->curves ?? static fn (): array => [])($bench);
        $names = array_map(static fn (Curve $curve): array => [$curve->name, $curve->key], $curves);
        self::assertSame([['a', 'outer'], ['b', 'outer'], ['c-10', 'outer']], $names);
        [$height, $load] = $curves[0]->beyond ?? self::fail('It does not go on.');
        self::assertEqualsWithDelta(1.289, $height->in(Unit::Inch), 1e-9);
        self::assertEqualsWithDelta(281 + (281 - 120) / 0.511 * 0.1, $load->in(Unit::PoundForce), 1e-6);
        self::assertNull($curves[1]->beyond, 'Nobody pressed it solid.');
        self::assertEqualsWithDelta(140, $curves[1]->points[0][1]->in(Unit::PoundForce), 1e-9);
    }

    /** In no kind, bank, set or margin of the engine. */
    public function testTheyAreNoStationsOfTheEngine(): void
    {
        $engine = Example::pushrodEight();
        foreach (['A1-E1', 'A2-E1', 'A3-E1', 'A4-E1'] as $place) {
            $engine->measures($place, 'load_seat', '120', '1.900');
        }
        $middle = static function (Example $example): float {
            $found = $example->bench()->value('A1-E1', 'load_middle', Coil::Outer->value);
            self::assertInstanceOf(Given::class, $found);

            return $found->value->quantity()->in(Unit::PoundForce);
        };
        self::assertEqualsWithDelta(120, $middle($engine), 1e-9);
        foreach (['loose-a', 'loose-b', 'loose-c', 'loose-d', 'loose-e'] as $place) {
            $engine->measures($place, 'load_seat', '60', '1.900');
        }
        self::assertEqualsWithDelta(120, $middle($engine), 1e-9);
        foreach ($engine->bench()->margins() as $margin) {
            self::assertStringStartsNotWith('loose', $margin->place);
        }
    }

    public function testOnlySpringsAreTestedLoose(): void
    {
        $sheets = AllSheets::get();
        $engine = Example::pushrodEight()->engine();
        $sheets->columns['load_seat']->accept($sheets->columns['load_seat']->slot('loose-a', 'outer'), $engine, false);
        foreach ([
            ['installed_height', 'loose-a', null], ['load_seat', 'loose-', 'outer'], ['load_seat', 'loose-A B', 'outer'],
        ] as [$code, $place, $index]) {
            try {
                $sheets->columns[$code]->accept($sheets->columns[$code]->slot($place, $index), $engine, false);
                self::fail($place.' was accepted for '.$code);
            } catch (BadDocument $problem) {
                self::assertSame('/slot/place', $problem->pointer);
            }
        }
    }

    private static function compared(): Example
    {
        return Example::pushrodEight()
            ->measures('loose-a', 'load_seat', '120', '1.900')->measures('loose-a', 'load_open', '281', '1.389')
            ->measures('loose-b', 'load_seat', '140', '1.900')->measures('loose-b', 'load_open', '307', '1.389')
            ->measures('loose-c-10', 'load_seat', '119', '1.900')->measures('loose-c-10', 'load_open', '290', '1.300');
    }

    /** Once it is known which spring stands at a station, what was read of it serves there until it is read in place. */
    public function testASpringThatStandsAtAStationBringsItsReadings(): void
    {
        $example = self::compared()->records(EntryKind::Tag, self::slot('A1-E1', 'outer'), ['tag' => 'b']);
        $load = static fn (Example $of): Given|Missing => $of->bench()->value('A1-E1', 'load_seat', Coil::Outer->value);
        $found = $load($example);
        self::assertInstanceOf(Given::class, $found);
        self::assertEqualsWithDelta(140, $found->value->quantity()->in(Unit::PoundForce), 1e-9);
        self::assertStringEndsWith('off the engine, of b', $found->origin);
        self::assertTrue($found->basis->isMeasured());
        $other = $example->bench();
        self::assertInstanceOf(Missing::class, $other->value('A2-E1', 'load_seat', Coil::Outer->value), 'It stands there alone.');
        self::assertInstanceOf(Missing::class, $other->value('A1-E1', 'load_seat', Coil::Inner->value), 'It is the outer one.');
        $sheet = $example->bench()->sheets->named('springs');
        self::assertNotNull($sheet);
        self::assertStringContainsString('Known by their tags: 1E b.', implode(' ', $example->bench()->remarks($sheet)));

        $own = $load($example->measures('A1-E1', 'load_seat', '131', '1.900'));
        self::assertInstanceOf(Given::class, $own);
        self::assertEqualsWithDelta(131, $own->value->quantity()->in(Unit::PoundForce), 1e-9);
    }

    /** @return iterable<string, array{Slot|null, string, string}> slot, tag and what is wrong */
    public static function noTags(): iterable
    {
        yield 'a spring without its coil' => [PartTag::slot('A1-E1', Part::Spring, null), 'b', 'no tag is kept'];
        yield 'a valve with a coil' => [PartTag::slot('A1-E1', Part::Valve, 'outer'), 'b', 'no tag is kept'];
        yield 'on a part that is off the engine' => [PartTag::slot('loose-b', Part::Spring, 'outer'), 'b', 'no tag is kept'];
        yield 'capital letters' => [self::slot('A1-E1', 'outer'), 'Drawer 1', 'is no tag'];
    }

    #[DataProvider('noTags')]
    public function testWhatIsNoTagIsRefused(?Slot $slot, string $tag, string $words): void
    {
        $slot ??= new Slot('A1-E1', Part::Valve->value, PartTag::ITEM, 'outer');
        $engine = Example::pushrodEight();
        $entry = $engine->records(EntryKind::Tag, $slot, ['tag' => $tag])->case()->log->entries[0];
        $this->expectExceptionMessage($words);
        (new EntryForm(AllSheets::get()))->check($entry, $engine->engine());
    }

    private static function slot(string $place, string $coil): Slot
    {
        return PartTag::slot($place, Part::Spring, $coil) ?? throw new \LogicException('No such slot.');
    }
}
