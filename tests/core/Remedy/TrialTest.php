<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Remedy;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\SolvedAtOnce;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Remedy\Remedies;
use MuteTapper\Core\Remedy\Remedy;
use MuteTapper\Core\Remedy\SpeedLimit;
use MuteTapper\Core\Remedy\Taken;
use MuteTapper\Core\Remedy\Trial;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use MuteTapper\Tests\Core\Motion\Train;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TrialTest extends TestCase
{
    private const FOUND = [
        'installed_height' => '1.750', 'bind_height' => '1.130', 'net_lift' => '0.560', 'seal_height' => '0.900',
        'retainer_depth' => '0.150',
        'guide_height' => '0.700', 'stem_diameter' => '0.3410', 'pocket_diameter' => '1.600', 'outside_diameter' => '1.550',
        'lash' => '0.012', 'valve_margin' => '0.045', 'relief_depth' => '0.200',
    ];

    /** @param array<string, string> $but typed in place of what was found */
    private static function example(array $but = []): Example
    {
        $example = Example::pushrodEight();
        foreach (array_merge(self::FOUND, $but) as $column => $text) {
            foreach (['A1-E1', 'A1-I1', 'B2-E1'] as $place) {
                self::read($example, $place, $column, $text);
            }
        }
        foreach (['load_seat' => ['130', '1.750'], 'load_open' => ['330', '1.190']] as $column => [$load, $height]) {
            $example->measures('A1-E1', $column, $load, $height);
        }

        return $example;
    }

    private static function read(Example $example, string $place, string $column, string $text): void
    {
        $index = match ($column) {
            'stem_diameter' => 'middle.along',
            'bind_height', 'outside_diameter' => 'outer',
            default => null,
        };
        $example->tests($place, $column, $text, $index);
    }

    /** @param list<array<string, mixed>> $change */
    private static function remedy(array $change): Remedy
    {
        return Remedy::fromNode(Node::root(['name' => 'x', 'remedyKind' => 'cure', 'change' => $change]), 'a');
    }

    private static function trial(Bench $found, Remedy $remedy): Trial
    {
        return new Trial($found, $found->with($remedy->change($found->case->engine, $found->sheets)));
    }

    /** @return iterable<string, array{string, float, string}> column, figure in inches, the same as typed */
    public static function changed(): iterable
    {
        yield 'height' => ['installed_height', 1.72, '1.720'];
        yield 'lift' => ['net_lift', 0.61, '0.610'];
        yield 'lash' => ['lash', 0.02, '0.020'];
        yield 'seal' => ['seal_height', 0.83, '0.830'];
        yield 'retainer' => ['retainer_depth', 0.11, '0.110'];
        yield 'bind height' => ['bind_height', 1.02, '1.020'];
        yield 'pocket' => ['pocket_diameter', 1.64, '1.640'];
        yield 'relief' => ['relief_depth', 0.25, '0.250'];
    }

    /** Every margin of a remedy is that of a case into which the changed value was typed. */
    #[DataProvider('changed')]
    public function testARemedyIsTheCaseTypedSo(string $column, float $to, string $typed): void
    {
        $index = $column === 'bind_height' ? ['index' => 'outer'] : [];
        $places = ['A1-E1', 'A1-I1', 'B2-E1'];
        $remedy = self::remedy([['places' => $places, 'name' => $column, 'to' => ['number' => $to, 'unit' => 'in']] + $index]);
        $found = self::example()->bench();
        $trial = self::trial($found, $remedy);
        $asTyped = self::example([$column => $typed])->bench();
        $compared = $moved = 0;
        foreach (Trial::judged($found) as $judged) {
            foreach ($trial->effects($judged->value) as $effect) {
                $margin = $asTyped->margin($effect->after->place, $judged->value, $effect->after->index);
                self::assertSame($margin?->value() === null, $effect->after->value() === null, $judged->value);
                self::assertEqualsWithDelta(
                    $margin?->value()->base ?? 0.0, $effect->after->value()->base ?? 0.0, 1e-9, $judged->value.' at '.$effect->after->place,
                );
                ++$compared;
                $moved += $effect->isUnchanged() || $effect->gained() === null ? 0 : 1;
            }
        }
        self::assertGreaterThan(100, $compared);
        self::assertSame(in_array($column, ['lash', 'relief_depth'], true) ? 0 : 1, min(1, $moved), 'it moves a margin that is known');
    }

    /** Shims that nobody measured raise the spring all the same. */
    public function testWhatIsAddedToWhatNobodyRecordedMovesWhatStandsOnIt(): void
    {
        $found = self::example()->bench();
        $shim = ['places' => ['A1-E1'], 'name' => 'shim_stack', 'by' => ['number' => 0.03, 'unit' => 'in']];
        $trial = self::trial($found, self::remedy([$shim]));
        $worst = $trial->worst('travel_to_bind');
        self::assertNotNull($worst);
        self::assertSame('A1-E1', $worst->after->place, 'of all places that which it moves');
        self::assertEqualsWithDelta(-0.03 * 0.0254, $worst->gained(), 1e-9);
        self::assertTrue($worst->isWorse());
        self::assertSame(['installed_height', 'seal_height', 'guide_height'], array_map(
            static fn (Column $one): string => $one->code, $trial->toMeasureAgain(),
        ));
        $seal = $trial->worst('retainer_to_seal', 'A1-E1');
        self::assertTrue($seal?->isUnchanged(), 'spring seat and seal top go down together');
        self::assertFalse($trial->moves('valve_margin'));
    }

    /** The weaker the springs, the lower the speed: that of the valve that floats first, by its bound where no motion is solved. */
    public function testSpringsThatAreWeakerHaveASpeedLimit(): void
    {
        $example = Train::fill(Train::bucketFour(), 'A1-E1')->tests('A1-E1', 'lash', '0.008')
            ->claims('kind-E', 'card_high_duration', '255')->claims('kind-E', 'card_low_duration', '290');
        $found = $example->bench();
        $of = static fn (Bench $bench, string $name, float $by): Trial => self::trial($bench, self::remedy(
            [['places' => ['A1-E1'], 'name' => $name, 'by' => ['number' => $by, 'unit' => 'in']]],
        ));
        $limits = [];
        foreach ([0.05, 0.15] as $by) {
            $trial = $of($found, 'installed_height', $by);
            $limits[] = self::limit($trial, 'speed_bound')->speed->base;
            self::assertMatchesRegularExpression(
                '/^well below \d{4,5} 1\/min, the quasi-static bound of 1E1:/', self::limit($trial, 'speed_bound')->words($found->case),
            );
        }
        self::assertLessThan($limits[0], $limits[1]);
        self::assertNull(SpeedLimit::of($of($found, 'installed_height', -0.02)), 'a spring that is stronger has none');
        self::assertNull(SpeedLimit::of($of($found, 'lash', 0.004)));

        $weak = Train::fill($example, 'A2-E1', '60', '110')->tests('A2-E1', 'lash', '0.008')->bench();
        $first = SpeedLimit::of($of($weak, 'installed_height', 0.01));
        self::assertSame('A2-E1', $first?->place, 'the valve that floats first, changed or not');

        $solved = $of(Bench::of($found->case, $found->sheets, Example::knowledge(), new SolvedAtOnce()), 'installed_height', 0.05);
        self::assertLessThan($limits[0], self::limit($solved, 'float_speed')->speed->base, 'a train that gives floats sooner');
        self::assertMatchesRegularExpression(
            '/^not above \d{4,5} 1\/min, where 1E1 may float$/', self::limit($solved, 'float_speed')->words($found->case),
        );
    }

    private static function limit(Trial $trial, string $name): SpeedLimit
    {
        $limit = SpeedLimit::of($trial) ?? self::fail('Weaker springs have no limit.');
        $speed = $trial->with->value('A1-E1', $name);
        self::assertInstanceOf(Given::class, $speed);
        self::assertSame(['A1-E1', $name === 'speed_bound'], [$limit->place, $limit->isBound]);
        $least = $speed->value->base - 2 * $speed->value->standard();
        self::assertThat($limit->speed->base, self::logicalAnd(self::lessThanOrEqual($least), self::greaterThan($least - 10)));

        return $limit;
    }

    /** A deeper relief leaves less metal, and what was measured over it is told anew only where the way to it is known. */
    public function testAValueThatTheChangeReachesIsNotSaidToStandWhereNobodyKnowsHowFarItMoves(): void
    {
        $found = self::example()->tests('A1-E1', 'metal_to_groove', '0.120')->tests('A1-E1', 'piston_to_valve', '0.085')
            ->tests('B2-E1', 'piston_to_valve', '0.110')->bench();
        $deeper = ['places' => ['A1-E1'], 'name' => 'relief_depth', 'by' => ['number' => 0.03, 'unit' => 'in']];
        $trial = self::trial($found, self::remedy([$deeper]));
        self::assertEqualsWithDelta(-0.03 * 0.0254, $trial->worst('metal_to_groove')?->gained(), 1e-9);
        $over = $trial->worst('piston_to_valve', 'A1-E1');
        self::assertNotNull($over);
        self::assertNull($over->gained());
        self::assertFalse($over->isUnchanged());
        self::assertSame(Verdict::CannotTell, $over->after->verdict);
        self::assertStringContainsString('not worked out yet', (string) $over->after->because);
        self::assertTrue($trial->worst('piston_to_valve', 'B2-E1')?->isUnchanged(), 'nothing reaches it');
    }

    public function testAtAValveItsOwnFiguresAreShown(): void
    {
        $found = self::example()->bench();
        $less = ['places' => ['A1-E1'], 'name' => 'net_lift', 'by' => ['number' => -0.02, 'unit' => 'in']];
        $trial = self::trial($found, self::remedy([$less]));
        $here = $trial->worst('travel_to_bind', 'B2-E1');
        self::assertSame('B2-E1', $here?->after->place);
        self::assertTrue($here->isUnchanged());
        self::assertTrue($trial->worst('travel_to_bind')?->isBetter());
    }

    /** What is lost within the ± of the gauges is no loss that anybody could measure. */
    public function testLessThanTheGaugesCanTellIsNotSaidToBeWorse(): void
    {
        $found = self::example()->bench();
        $little = ['places' => ['A1-E1'], 'name' => 'net_lift', 'by' => ['number' => 0.0002, 'unit' => 'in']];
        $effect = self::trial($found, self::remedy([$little]))->worst('travel_to_bind');
        self::assertNotNull($effect);
        self::assertLessThan(0.0, $effect->gained());
        self::assertFalse($effect->isWorse());
        self::assertFalse($effect->isUnchanged());
    }

    public function testNothingThatIsTriedReachesTheRanking(): void
    {
        $example = self::example()->sees('A1-E1', 'spring', 'coils_bright', 3);
        $plain = Assessment::of($example->case(), Example::knowledge())->ranking();
        $remedy = self::remedy([['places' => ['A1-E1', 'A1-I1'], 'name' => 'installed_height', 'to' => ['number' => 1.6, 'unit' => 'in']]]);
        $with = $example->but(static function (Example $other) use ($remedy): void {
            $other->records(EntryKind::Remedy, Remedy::slot('a'), $remedy->toArray());
            $other->records(EntryKind::Taken, Taken::slot(), ['remedies' => ['a']]);
            $other->tests('A1-E1', 'installed_height', '1.500', 'built-rebuild');
        });
        $tried = Assessment::of($with->case(), Example::knowledge())->ranking();
        self::assertEquals($plain->weighed->best, $tried->weighed->best);
        self::assertSame(['a'], array_map(static fn (Remedy $one): string => $one->id, Remedies::of($with->case())->taken()));
    }

    /** @return iterable<string, array{list<array<string, mixed>>, array<string, mixed>, string, string}> */
    public static function bad(): iterable
    {
        $lash = ['name' => 'lash', 'to' => ['number' => 0.01, 'unit' => 'in']];
        yield 'no such value' => [
            [['places' => ['A1-E1'], 'name' => 'shine', 'to' => ['number' => 1, 'unit' => 'in']]], [], '/0/name', 'no value',
        ];
        yield 'at a wider place' => [[['places' => ['A1']] + $lash], [], '/0/places/0', 'a matter of each station'];
        yield 'at no place' => [[['places' => ['C9-E1']] + $lash], [], '/0/places/0', 'is none'];
        yield 'in another unit' => [
            [['places' => ['A1-E1'], 'name' => 'lash', 'to' => ['number' => 0.01, 'unit' => 'lbf']]], [], '/0/to/unit', 'not a unit',
        ];
        yield 'holds without an end' => [[], ['remedyKind' => 'containment'], '/until', 'what ends it'];
        yield 'too long' => [[], ['hours' => 9000], '/hours', 'not plausible'];
    }

    /**
     * @param list<array<string, mixed>> $change
     * @param array<string, mixed> $more
     */
    #[DataProvider('bad')]
    public function testABadRemedyIsRefusedByItsPlace(array $change, array $more, string $pointer, string $words): void
    {
        try {
            $bench = self::example()->bench();
            $data = $more + ['name' => 'x', 'remedyKind' => 'cure', 'change' => $change];
            Remedy::fromNode(Node::root($data))->change($bench->case->engine, $bench->sheets);
            self::fail('accepted');
        } catch (BadDocument $problem) {
            self::assertSame($pointer, $problem->pointer);
            self::assertStringContainsString($words, $problem->reason);
        }
    }
}
