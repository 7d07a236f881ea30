<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Reassembly;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Reassembly\AsBuilt;
use MuteTapper\Core\Reassembly\AsReturned;
use MuteTapper\Core\Reassembly\Joint;
use MuteTapper\Core\Reassembly\LineRecord;
use MuteTapper\Core\Reassembly\MadeLines;
use MuteTapper\Core\Reassembly\Outcome;
use MuteTapper\Core\Reassembly\Plan;
use MuteTapper\Core\Reassembly\PlanLine;
use MuteTapper\Core\Reassembly\PlanPlace;
use MuteTapper\Core\Reassembly\Tightening;
use MuteTapper\Core\Remedy\Remedies;
use MuteTapper\Core\Remedy\Remedy;
use MuteTapper\Core\Remedy\Reuse;
use MuteTapper\Core\Remedy\ReuseAdvice;
use MuteTapper\Core\Remedy\Taken;
use MuteTapper\Core\Remedy\Trial;
use MuteTapper\Core\Sheet\Change;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use MuteTapper\Tests\Core\Motion\Train;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PlanTest extends TestCase
{
    private const INCH = 0.0254;
    /** Shims of 0.030 under the spring of A1-E1. */
    private const SHIM = [['places' => ['A1-E1'], 'name' => 'shim_stack', 'by' => ['number' => 0.03, 'unit' => 'in']]];

    private static function example(): Example
    {
        return Example::pushrodEight()->measures('A1-E1', 'installed_height', '1.750')->measures('A1-E1', 'bind_height', '1.130')
            ->measures('A1-E1', 'net_lift', '0.540');
    }

    /** @param list<array<string, mixed>> $change */
    private static function plan(Example $example, array $change = self::SHIM): Plan
    {
        $bench = $example->bench();

        return new Plan($bench, Example::knowledge(), Change::fromNode(Node::root($change), $bench->case->engine, $bench->sheets));
    }

    private static function line(Plan $plan, string $code): PlanLine
    {
        foreach ($plan->lines() as $line) {
            if ($line->code === $code) {
                return $line;
            }
        }
        self::fail('no line '.$code);
    }

    private static function at(Plan $plan, string $code, string $place): PlanPlace
    {
        foreach (self::line($plan, $code)->places as $one) {
            if ($one->place === $place) {
                return $one;
            }
        }
        self::fail('no place '.$place);
    }

    /** @param array<string, mixed> $data */
    private static function ticks(Example $example, string $place, string $line, string $at, array $data = ['state' => 'ticked']): Example
    {
        return $example->recordsAt(EntryKind::Line, LineRecord::slot($place, $line), $data, '2026-11-25T'.$at.':00Z');
    }

    public function testWhatIsMeasuredForTheRebuildStandsBesideWhatWasFound(): void
    {
        $example = self::example()->tests('A1-E1', 'installed_height', '1.752', 'built-rebuild');
        $bench = $example->bench();
        $found = $bench->value('A1-E1', 'installed_height');
        self::assertInstanceOf(Given::class, $found);
        self::assertEqualsWithDelta(1.750 * self::INCH, $found->value->base, 1e-9, 'as found stays');
        self::assertSame([null], $bench->indexesRead('A1-E1', 'installed_height'));
        $plan = self::plan($example);
        $height = self::at($plan, 'installed_height', 'A1-E1');
        self::assertEqualsWithDelta(1.720 * self::INCH, $height->planned->value->base ?? 0.0, 1e-9, 'with the shims that are taken');
        self::assertEqualsWithDelta(1.752 * self::INCH, $height->built->value->base ?? 0.0, 1e-9);
        self::assertSame(Verdict::Outside, $height->margin?->verdict);
        self::assertTrue($height->isOut());
        $bind = self::at($plan, 'travel_to_bind', 'A1-E1')->margin?->value();
        self::assertEqualsWithDelta((1.752 - 1.130 - 0.540) * self::INCH, $bind->base ?? 0.0, 1e-9, 'as built, not as found or planned');
        self::assertGreaterThan(0.0, $bind?->standard(), 'with what the gauge is worth');
    }

    public function testWithinItsWindowAValueStandsInside(): void
    {
        $plan = self::plan(self::example()->tests('A1-E1', 'installed_height', '1.722', 'built-rebuild'));
        $height = self::at($plan, 'installed_height', 'A1-E1');
        self::assertTrue($height->margin?->isInside());
        self::assertFalse($height->isOut());
    }

    public function testWhereNothingIsChangedTheClaimIsPlannedBeforeWhatWasFound(): void
    {
        $plan = self::plan(self::example()->claims(Place::kind(ValveKind::Exhaust), 'installed_height', '1.800'), []);
        self::assertEqualsWithDelta(1.800 * self::INCH, self::at($plan, 'installed_height', 'A1-E1')->planned->value->base ?? 0.0, 1e-9);
        self::assertEqualsWithDelta(
            1.750 * self::INCH, self::at(self::plan(self::example(), []), 'installed_height', 'A1-E1')->planned->value->base ?? 0.0, 1e-9,
        );
        self::assertNull(self::at($plan, 'installed_height', 'B1-I1')->planned);
    }

    public function testAnOrderThatWasBrokenIsSaidAndTheNextOpenLineWaits(): void
    {
        $example = self::ticks(self::example(), 'A1-E1', 'spring_in', '10:00');
        self::assertSame(['Installed height'], self::at(self::plan($example), 'spring_in', 'A1-E1')->unmet);
        $later = self::ticks($example, 'A1-E1', 'installed_height', '10:05', ['state' => 'kept', 'note' => 'no shims']);
        self::assertSame(['Installed height'], self::at(self::plan($later), 'spring_in', 'A1-E1')->unmet, 'ticked after it');
        $before = self::ticks(self::ticks(self::example(), 'A1-E1', 'installed_height', '09:00'), 'A1-E1', 'spring_in', '10:00');
        self::assertSame([], self::at(self::plan($before), 'spring_in', 'A1-E1')->unmet);
        $leftOut = self::ticks(
            self::ticks(self::example(), 'A1-E1', 'installed_height', '09:00', ['state' => 'left_out', 'note' => 'no gauge']),
            'A1-E1', 'spring_in', '10:00',
        );
        self::assertSame([], self::at(self::plan($leftOut), 'spring_in', 'A1-E1')->unmet, 'left out with its reason');
        self::assertSame(['Installed height'], self::at(self::plan($leftOut), 'spring_in', 'A1-I1')->unmet, 'of each valve by itself');
        $notMade = self::ticks(self::example(), 'A1-E1', 'spring_in', '10:00', ['state' => 'left_out', 'note' => 'no spring']);
        self::assertSame([], self::at(self::plan($notMade), 'spring_in', 'A1-E1')->unmet, 'what is left out breaks no order');
        self::assertSame(['Followers'], array_values(array_unique(array_map(
            static fn (string $code): string => Example::knowledge()->reassembly[$code]->stage,
            array_diff(Example::knowledge()->reassembly['pushrod_ends']->after, ['head_on']),
        ))));
    }

    public function testALineOfTheEngineWaitsForEachOfItsPlaces(): void
    {
        $example = self::ticks(self::example(), Place::ENGINE, 'two_turns_rockers', '12:00');
        foreach ($example->engine()->stations as $i => $station) {
            self::assertNotSame([], self::at(self::plan($example), 'two_turns_rockers', Place::ENGINE)->unmet, 'before '.$i);
            $example = self::ticks($example, $station->code(), 'rockers_tight', '11:00');
        }
        self::assertSame([], self::at(self::plan($example), 'two_turns_rockers', Place::ENGINE)->unmet);
        $all = array_sum(array_map(static fn (PlanLine $one): int => count($one->places), self::plan($example)->lines()));
        self::assertSame([1 + 16, $all], self::plan($example)->count());
    }

    public function testNoTorqueIsKnownUntilItIsCopiedFromTheManual(): void
    {
        self::assertSame(Joint::Head, self::line(self::plan(self::example()), 'head_tight')->wanting);
        $example = self::example()->records(EntryKind::Tightening, Tightening::slot(Joint::Head), [
            'passes' => [['figure' => 30, 'unit' => 'N·m'], ['figure' => 60, 'unit' => 'N·m'], ['figure' => 90, 'unit' => '°']],
            'bolts' => 'once', 'source' => 'manual, page 12',
        ]);
        $example = self::ticks($example, 'A', 'head_on', '08:00');
        $example = self::ticks($example, 'A', 'head_tight.2', '09:00');
        $plan = self::plan($example);
        $labels = array_map(
            static fn (PlanLine $line): string => $line->label(),
            array_values(array_filter($plan->lines(), static fn (PlanLine $line): bool => str_starts_with($line->code, 'head_tight'))),
        );
        self::assertSame([
            'Head bolts, from the middle out, pass 1: 30 N·m', 'Head bolts, from the middle out, pass 2: 60 N·m',
            'Head bolts, from the middle out, pass 3: 90 °',
        ], $labels);
        self::assertSame(['pass 1: 30 N·m'], self::at($plan, 'head_tight.2', 'A')->unmet, 'a pass before the one that belongs before it');
        self::assertSame(range(1, count($plan->lines())), array_map(static fn (PlanLine $line): int => $line->number, $plan->lines()));
        self::assertContains(Joint::Rockers, $plan->joints());
        self::assertNotContains(Joint::CamCaps, $plan->joints(), 'the cam of this engine has none');
    }

    /** What the remedies change and what a person decided to be new has lines of its own, before all others. */
    public function testAPlanIsMadeForItsRemedies(): void
    {
        $remedy = ['name' => 'Shims', 'remedyKind' => 'cure', 'words' => 'Hard side up.', 'change' => self::SHIM];
        $example = self::example()->records(EntryKind::Remedy, Remedy::slot('a'), $remedy)
            ->records(EntryKind::Remedy, Remedy::slot('b'), ['name' => 'Other'] + $remedy)
            ->records(EntryKind::Taken, Taken::slot(), ['remedies' => ['a']])
            ->records(EntryKind::Reuse, Reuse::slot('A1-E1', Part::Retainer), ['decision' => 'replace'])
            ->records(EntryKind::Reuse, Reuse::slot('A2-E1', Part::Seat), ['decision' => 'rework']);
        $bench = $example->bench();
        $advice = ReuseAdvice::of($bench, Example::knowledge());
        $made = MadeLines::of(Remedies::of($bench->case), $advice, new Trial($bench, $bench));
        $lines = array_slice((new Plan($bench, Example::knowledge(), Change::none(), $made))->lines(), 0, 4);
        self::assertSame([
            [1, 'Shims: shims under the spring', ['A1-E1']], [2, 'New retainer, compared with the old one', ['A1-E1']],
            [3, 'Seat back from its work, looked at', ['A2-E1']],
        ], array_map(static fn (PlanLine $line): array => [
            $line->number, $line->label(), array_map(static fn (PlanPlace $one): string => $one->place, $line->places),
        ], array_slice($lines, 0, 3)));
        self::assertSame([4, 'guides_right'], [$lines[3]->number, $lines[3]->code], 'seals are advised, nobody decided');
    }

    /** Springs that go in weaker for the first hours have a speed limit, which is on the plan with what ends it. */
    public function testWeakerSpringsPutASpeedLimitOnThePlan(): void
    {
        $taller = [['places' => ['A1-E1'], 'name' => 'installed_height', 'by' => ['number' => 0.1, 'unit' => 'in']]];
        $remedy = ['name' => 'Run-in', 'remedyKind' => 'containment', 'until' => 'the cam has run 30 minutes', 'change' => $taller];
        $example = Train::fill(Train::bucketFour(), 'A1-E1')
            ->records(EntryKind::Remedy, Remedy::slot('a'), $remedy)->records(EntryKind::Taken, Taken::slot(), ['remedies' => ['a']]);
        $found = $example->bench();
        $taken = new Trial($found, $found->with(Remedies::of($found->case)->change($found->sheets)));
        $line = array_column(array_map(
            static fn (array $one): array => [$one[0]->code, $one], MadeLines::of(Remedies::of($found->case), [], $taken),
        ), 1, 0)['speed_limit'] ?? self::fail('There is no limit.');
        self::assertStringContainsString('written on the engine, and set: ', $line[0]->label);
        self::assertSame(['Until: the cam has run 30 minutes', ['engine']], [$line[0]->note, $line[1]]);
        self::assertSame([], MadeLines::of(Remedies::of(self::example()->bench()->case), [], new Trial($found, $found)));
    }

    public function testAPlanIsThatOfItsEngine(): void
    {
        $codes = static fn (Example $example): array => array_map(
            static fn (PlanLine $line): string => $line->code, self::plan($example, [])->lines(),
        );
        self::assertContains('pushrod_ends', $codes(Example::pushrodEight()));
        self::assertNotContains('cam_caps', $codes(Example::pushrodEight()));
        self::assertNotContains('preload', $codes(Example::pushrodEight()));
        self::assertContains('preload', $codes(Example::hydraulicRollerEight()));
        self::assertNotContains('lash', $codes(Example::hydraulicRollerEight()));
        self::assertContains('cam_caps', $codes(Example::bucketFour()));
        self::assertNotContains('rockers_tight', $codes(Example::bucketFour()));
        $cams = self::line(self::plan(Example::bucketFour(), []), 'phase')->places;
        self::assertSame(
            [['A-I', 'phase.A-I'], ['A-E', 'phase.A-E']], array_map(static fn (PlanPlace $one): array => [$one->index, $one->code], $cams),
        );
    }

    public function testPhaseIsHeldAgainstTheCardAndNotAgainstWhatWasFound(): void
    {
        $plan = self::plan(
            Example::pushrodEight()->tests(Place::ENGINE, 'cam_phase_card', '108', 'cam')
                ->tests(Place::ENGINE, 'cam_phase_found', '118', 'cam')
                ->tests(Place::ENGINE, 'cam_phase_found', '108.5', 'built-rebuild.cam'), [],
        );
        $phase = self::line($plan, 'phase')->places[0];
        self::assertSame([108.0, 108.5], [$phase->planned?->value->base, $phase->built?->value->base]);
        self::assertFalse($phase->isOut());
    }

    /** Oldest is the rebuild: what was found when the engine first came says nothing of the drift since. */
    public function testAReturnIsHeldAgainstTheRebuild(): void
    {
        $example = self::example()->tests('A1-E1', 'lash', '0.030')
            ->tests('A1-E1', 'lash', '0.012', 'built-rebuild')->tests('A1-I1', 'lash', '0.010', 'built-rebuild')
            ->tests('A1-E1', 'lash', '0.019', 'built-2026-12-20')->tests('A1-I1', 'lash', '0.010', 'built-2026-12-20')
            ->records(EntryKind::Outcome, Outcome::slot('2026-12-20') ?? self::fail(), ['amount' => 10, 'symptom' => 'gone']);
        $returned = AsReturned::on('2026-12-20', $example->bench(), Example::knowledge());
        $drift = $returned->bench->margin('A1-E1', 'lash_drift');
        self::assertEqualsWithDelta(0.007 * self::INCH, $drift?->value()->base ?? 0.0, 1e-9);
        self::assertTrue($drift?->isOutside());
        self::assertTrue($returned->bench->margin('A1-I1', 'lash_drift')?->isInside());
        self::assertSame('2026-11-25', $returned->rebuilt);
        $twoDays = AsReturned::on(
            '2026-12-20', $example->tests('A2-E1', 'lash', '0.011', 'built-rebuild', '2026-11-27T09:00:00Z')->bench(), Example::knowledge(),
        );
        self::assertSame('2026-11-25', $twoDays->rebuilt, 'one sheet, however many days it took');
        self::assertInstanceOf(Given::class, $twoDays->bench->value('A2-E1', 'lash', '2026-11-25'));
        self::assertNull($example->bench()->margin('A1-E1', 'lash_drift')?->value(), 'none of it is a sheet of the case itself');
        self::assertNull(AsBuilt::reading($example->bench(), AsBuilt::REBUILD, 'A1-E1', 'net_lift'));
    }

    /** @return iterable<string, array{\Closure(): mixed, string}> */
    public static function bad(): iterable
    {
        $pass = [['figure' => 30, 'unit' => 'N·m']];
        $tightening = static fn (array $data): \Closure => static fn (): Tightening => Tightening::fromNode(Node::root($data));
        yield 'figures of nobody' => [$tightening(['passes' => $pass, 'bolts' => 'once']), '/source'];
        yield 'no pass' => [$tightening(['passes' => [], 'bolts' => 'once', 'source' => 'x']), '/passes'];
        yield 'more than a bolt takes' => [
            $tightening(['passes' => [['figure' => 900, 'unit' => 'N·m']], 'bolts' => 'once', 'source' => 'x']), '/passes/0/figure',
        ];
        $line = static fn (string $state): \Closure => static fn (): LineRecord => LineRecord::fromNode(Node::root(['state' => $state]));
        yield 'left out without a reason' => [$line('left_out'), '/note'];
        yield 'kept without a reason' => [$line('kept'), '/note'];
        yield 'ran less than nothing' => [
            static fn (): Outcome => Outcome::fromNode(Node::root(['amount' => -1, 'symptom' => 'gone'])), '/amount',
        ];
    }

    /** @param \Closure(): mixed $read */
    #[DataProvider('bad')]
    public function testWhatCannotBeIsRefusedByItsPlace(\Closure $read, string $pointer): void
    {
        try {
            $read();
            self::fail('accepted');
        } catch (BadDocument $problem) {
            self::assertSame($pointer, $problem->pointer);
        }
    }

    public function testWhetherACallHeldIsToldByTheComplaint(): void
    {
        $held = static fn (string $symptom): ?bool => Outcome::fromNode(Node::root(['amount' => 1, 'symptom' => $symptom]))->held();
        self::assertSame([true, null, false, null], array_map($held, ['gone', 'less', 'same', 'other']));
        self::assertNull(Outcome::slot('2026-02-30'));
    }

    /** A line that belongs after others stands behind them, and says what a broken order risks. */
    public function testThePlanItselfIsInOrder(): void
    {
        $files = Example::files();
        self::assertIsArray($files['reassembly']);
        $files['reassembly'] = ['lines' => [
            ['code' => 'late', 'stage' => 'x', 'label' => 'late', 'at' => 'engine', 'after' => ['early'], 'risk' => 'it breaks'],
            ['code' => 'early', 'stage' => 'x', 'label' => 'early', 'at' => 'engine'],
        ]];
        $this->expectExceptionObject(BadDocument::at('/reassembly/lines/0/after', '“early” is no line that stands before it.'));
        Knowledge::fromArray($files);
    }

    /** What a line names is there: columns, margins, joints, values that follow. */
    public function testWhatTheLinesNameIsThere(): void
    {
        $sheets = Example::pushrodEight()->bench()->sheets;
        foreach (Example::knowledge()->reassembly as $line) {
            self::assertTrue($line->reads === null || isset($sheets->columns[$line->reads]), $line->code);
            self::assertTrue($line->judged === null || isset($sheets->judged[$line->judged]), $line->code);
            self::assertTrue($line->joint === null || Joint::tryFrom($line->joint) !== null, $line->code);
            foreach ([...$line->follows, ...$line->plannedBy === null ? [] : [$line->plannedBy]] as $name) {
                self::assertArrayHasKey($name, $sheets->values, $line->code);
            }
        }
    }
}
