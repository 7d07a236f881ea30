<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Teardown;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Knowledge\PlannedStep;
use MuteTapper\Core\Knowledge\RequirementKind;
use MuteTapper\Core\Teardown\Attention;
use MuteTapper\Core\Teardown\Custody;
use MuteTapper\Core\Teardown\PieceCount;
use MuteTapper\Core\Teardown\Pieces;
use MuteTapper\Core\Teardown\StepInPlan;
use MuteTapper\Core\Teardown\StepOrder;
use MuteTapper\Core\Teardown\StepRecord;
use MuteTapper\Core\Teardown\StepState;
use MuteTapper\Core\Teardown\TeardownPlan;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

final class TeardownPlanTest extends TestCase
{
    /**
     * @param array<string, float> $suspicions
     * @param list<string> $failed
     */
    private static function plan(Example $example, array $suspicions = [], array $failed = []): TeardownPlan
    {
        $knowledge = Example::knowledge();

        return TeardownPlan::of($example->case(), AllSheets::get(), $knowledge->steps, $knowledge->questions, $suspicions, $failed);
    }

    private static function step(TeardownPlan $plan, string $code): StepInPlan
    {
        foreach ($plan->steps as $step) {
            if ($step->step->code === $code) {
                return $step;
            }
        }
        self::fail("No step $code");
    }

    /** @return list<string> */
    private static function codes(TeardownPlan $plan): array
    {
        return array_map(static fn (StepInPlan $step): string => $step->step->code, $plan->steps);
    }

    /** What a step asks for, ends or comes after must exist, and each stands after what it needs. */
    public function testTheKnowledgeOfStepsHangsTogether(): void
    {
        $knowledge = Example::knowledge();
        $before = [];
        foreach ($knowledge->steps as $step) {
            foreach ($step->after as $other) {
                self::assertArrayHasKey($other, $knowledge->steps, $step->code);
                self::assertTrue(isset($before[$other]) || [] !== $step->families, "$step->code stands before $other, which it needs");
            }
            foreach ($step->ends as $code) {
                self::assertTrue(isset(AllSheets::get()->columns[$code]) || isset($knowledge->questions[$code]), "$step->code ends $code");
            }
            foreach ($step->recordFirst as $requirement) {
                self::assertTrue(match ($requirement->kind) {
                    RequirementKind::Reading => isset(AllSheets::get()->columns[$requirement->code]),
                    RequirementKind::Answer => isset($knowledge->questions[$requirement->code]),
                    RequirementKind::Look, RequirementKind::Photograph => null !== Part::tryFrom($requirement->code),
                    RequirementKind::Confirm => null !== $requirement->label,
                }, $step->code.' asks for '.$requirement->code);
            }
            foreach ($step->families as $family) {
                self::assertArrayHasKey($family, $knowledge->families);
            }
            $before[$step->code] = true;
        }
        foreach ($knowledge->questions as $question) {
            foreach ($question->choices as $choice) {
                self::assertTrue(null === $choice->sign || isset($knowledge->signs[$choice->sign]), $question->code);
            }
        }
    }

    /** A reading that a step makes impossible is asked for before that step at the latest. */
    public function testWhatAStepEndsIsRecordedByThen(): void
    {
        $asked = [];
        foreach (Example::knowledge()->steps as $step) {
            foreach ($step->recordFirst as $requirement) {
                $asked[$requirement->code] = true;
            }
            foreach ($step->ends as $code) {
                self::assertArrayHasKey($code, $asked, "$step->code ends $code, which nothing asked for");
            }
        }
    }

    public function testThePlanFollowsTheEngine(): void
    {
        $pushrod = self::codes(self::plan(Example::pushrodEight()));
        $bucket = self::codes(self::plan(new Example(['layout' => 'vee', 'drive' => 'bucket', 'cylinders' => 8])));
        self::assertContains('pushrods_out', $pushrod);
        self::assertNotContains('element_test', $pushrod);
        self::assertNotContains('pushrods_out', $bucket);
        self::assertContains('buckets_out', $bucket);
        self::assertContains('element_test', self::codes(self::plan(Example::hydraulicRollerEight())));
    }

    public function testASuspicionBringsItsOwnSteps(): void
    {
        self::assertNotContains('press_to_solid', self::codes(self::plan(Example::pushrodEight(), ['bind' => 0.05])));
        $plan = self::plan(Example::pushrodEight(), ['bind' => 0.4]);
        self::assertSame(['bind'], self::step($plan, 'press_to_solid')->families);
    }

    public function testWhatIsMissingIsCountedByPlace(): void
    {
        $example = Example::pushrodEight()->tests('A1-E1', 'lash', '0.016');
        $missing = self::step(self::plan($example), 'rockers_off')->recordFirst[0];
        self::assertSame(16, $missing->wanted);
        self::assertCount(15, $missing->places);
        self::assertNotContains('A1-E1', $missing->places);
        foreach ($example->engine()->stations as $station) {
            if ('A1-E1' !== $station->code()) {
                $example->tests($station->code(), 'lash', '0.016');
            }
        }
        self::assertTrue(self::step(self::plan($example), 'rockers_off')->recordFirst[0]->isRecorded());
    }

    public function testOneReadingDoesForTheEngine(): void
    {
        $example = Example::pushrodEight()->tests('engine', 'cam_phase_found', '108', 'cam');
        self::assertTrue(self::step(self::plan($example), 'phase')->recordFirst[0]->isRecorded());
    }

    public function testWhatFailedOrShowsASignIsPhotographedFirst(): void
    {
        $example = Example::pushrodEight()
            ->sees('A1-I1', 'spring', 'coils_bright', 2)->sees('A2-I1', 'spring', 'coils_bright', 0)
            ->sees('A3-I1', 'spring', 'coils_bright', 2, 'after_cleaning');
        $plan = self::plan($example, [], ['B2-E1']);
        self::assertSame(
            ['B2-E1', 'A1-I1'], self::step($plan, 'springs_off')->recordFirst[0]->places,
            'nothing there needs no picture; what is clean already cannot have one',
        );
        $example->records(
            EntryKind::Photograph, new \MuteTapper\Core\Entry\Slot('B2-E1', 'spring', 'photograph', 'x'), ['sha256' => str_repeat('a', 64)],
        );
        $plan = self::plan($example, [], ['B2-E1']);
        self::assertSame(['A1-I1'], self::step($plan, 'springs_off')->recordFirst[0]->places);
        self::assertContains(
            'A1-I1 spring',
            array_map(static fn (array $shot): string => $shot['place'].' '.$shot['part']->value, $plan->shotList()),
        );
        self::assertNotContains(
            'B2-E1 spring',
            array_map(static fn (array $shot): string => $shot['place'].' '.$shot['part']->value, $plan->shotList()),
        );
    }

    public function testStepsAreDoneLeftOutAndTheNextIsTheFirstOpen(): void
    {
        $example = Example::pushrodEight();
        self::assertSame('outside', self::plan($example)->next()?->step->code);
        $example->records(EntryKind::Step, StepRecord::slot('outside'), ['state' => 'done'])->records(
            EntryKind::Step, StepRecord::slot('gas_tests'), ['state' => 'skipped', 'note' => 'It does not turn.'],
        );
        $plan = self::plan($example);
        self::assertSame('oil_out', $plan->next()?->step->code);
        self::assertSame(
            [StepState::Skipped, 'It does not turn.'], [self::step($plan, 'gas_tests')->state, self::step($plan, 'gas_tests')->reason],
        );
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessage('needs its reason');
        StepRecord::fromNode(Node::root(['state' => 'skipped']));
    }

    public function testAnotherOrderIsTakenAndWhatItBreaksIsSaid(): void
    {
        $example = Example::pushrodEight()->records(EntryKind::Order, StepOrder::slot(), ['codes' => ['head_off', 'outside']]);
        $plan = self::plan($example);
        self::assertSame(
            ['head_off', 'outside', 'gas_tests'], \array_slice(self::codes($plan), 0, 3),
            'steps that are not named follow in their usual order',
        );
        self::assertNotSame([], self::step($plan, 'head_off')->tooEarlyFor);
        $example->records(EntryKind::Step, StepRecord::slot('gas_tests'), ['state' => 'done'])->records(
            EntryKind::Step, StepRecord::slot('drive_off'), ['state' => 'skipped', 'note' => 'Gear drive.'],
        );
        self::assertSame([], self::step(self::plan($example), 'head_off')->tooEarlyFor, 'what is done or left out is not waited for');
        $this->expectException(BadDocument::class);
        StepOrder::fromNode(Node::root(['codes' => ['outside', 'outside']]));
    }

    public function testConfirmationsAreTickedByAPerson(): void
    {
        $example = Example::pushrodEight();
        $open = static fn (): array => array_map(
            static fn ($missing): string => $missing->requirement->code, self::step(self::plan($example), 'oil_out')->missing(),
        );
        self::assertContains('oil_sample', $open());
        $example->records(EntryKind::Step, StepRecord::confirmation('oil_sample'), ['state' => 'done']);
        self::assertNotContains('oil_sample', $open());
    }

    public function testMissingPiecesStayOpen(): void
    {
        $example = Example::pushrodEight()->records(
            EntryKind::Pieces, Pieces::slot('A1-E1', Part::Locks), ['expected' => Pieces::LOCK_HALVES, 'found' => 1],
        )->records(EntryKind::Pieces, Pieces::slot('A1-I1', Part::Locks), ['expected' => 2, 'found' => 2]);
        $missing = PieceCount::of($example->case())->missing();
        self::assertCount(1, $missing);
        self::assertSame(['A1-E1', 1], [$missing[0]['place'], $missing[0]['pieces']->missing()]);
    }

    public function testAPartThatLeavesTheShopNeedsAName(): void
    {
        self::assertSame(['where' => 'sealed'], Custody::fromNode(Node::root(['where' => 'sealed']))->toArray());
        self::assertSame(
            ['where' => 'laboratory', 'whom' => 'Lab'],
            Custody::fromNode(Node::root(['where' => 'laboratory', 'whom' => 'Lab']))->toArray(),
        );
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessage('the name of who has it');
        Custody::fromNode(Node::root(['where' => 'machinist']));
    }

    public function testACarefulAnalystStillLooksAtWhatALikelyCauseWouldLeave(): void
    {
        $knowledge = Example::knowledge();
        $example = Example::pushrodEight();
        $wanted = Attention::at($example->case(), $knowledge, ['installed_height_small' => 0.9], 'A1-E1', 6);
        self::assertContains('coils_bright', array_map(static fn (Attention $one): string => $one->sign, $wanted));
        self::assertSame('installed_height_small', $wanted[0]->cause);
        $example->sees('A1-E1', 'spring', 'coils_bright', 0);
        self::assertNotContains(
            'coils_bright',
            array_map(
                static fn (Attention $one): string => $one->sign,
                Attention::at($example->case(), $knowledge, ['installed_height_small' => 0.9], 'A1-E1', 6),
            ),
            'it was looked for',
        );
        self::assertSame([], Attention::at($example->case(), $knowledge, [], 'A1-E1', 6), 'without a suspicion nothing is pointed at');
        self::assertInstanceOf(PlannedStep::class, $knowledge->steps['outside']);
    }
}
