<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Assessment;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\NextAct;
use MuteTapper\Core\Assessment\Progress;
use MuteTapper\Core\Assessment\StepProgress;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\CaseFile\Story;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Reassembly\LineRecord;
use MuteTapper\Core\Reassembly\Outcome;
use MuteTapper\Core\Remedy\Remedy;
use MuteTapper\Core\Remedy\Taken;
use MuteTapper\Core\Report\Issue;
use MuteTapper\Core\Teardown\Pieces;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** What the bench queue says can be done now. */
final class ProgressTest extends TestCase
{
    /** @param list<string> $failed */
    private static function progress(
        Example $example,
        string $words,
        array $failed = [],
        bool $called = false,
        bool $signed = false,
    ): Progress {
        return Progress::of(
            $example->case(), AllSheets::get(),
            Story::fromNode(Node::root(['words' => $words, 'failed' => $failed]), $example->engine()), $called, $signed,
        );
    }

    private static function measured(Example $example, string $place): Example
    {
        return $example->measures($place, 'installed_height', '1.800')
            ->measures($place, 'bind_height', '1.100')->measures($place, 'load_seat', '120', '1.800');
    }

    public function testTheStoryComesFirst(): void
    {
        self::assertEquals(
            new NextAct(Step::Story, 'Write down the story'), self::progress(Example::pushrodEight(), '', ['A1-E1'])->nextAct(),
        );
    }

    public function testWhatFailedIsLookedAtThenMeasured(): void
    {
        $example = Example::pushrodEight();
        self::assertEquals(
            new NextAct(Step::Teardown, 'Look at 4E', 'B2-E1'), self::progress($example, 'It stopped.', ['B2-E1'])->nextAct(),
        );
        $example->looks('B2-E1', 'spring');
        self::assertEquals(
            new NextAct(Step::Bench, 'Measure the spring of 4E', 'B2-E1'), self::progress($example, 'It stopped.', ['B2-E1'])->nextAct(),
        );
        self::measured($example, 'B2-E1');
        self::assertEquals(new NextAct(Step::Cause, 'Call the cause'), self::progress($example, 'It stopped.', ['B2-E1'])->nextAct());

        $example->records(EntryKind::Pieces, Pieces::slot('B2-E1', Part::Locks), ['expected' => 2, 'found' => 1]);
        self::assertEquals(
            new NextAct(Step::Teardown, 'Find what is missing of 4E, locks', 'B2-E1'),
            self::progress($example, 'It stopped.', ['B2-E1'])->nextAct(), 'no call while a piece is missing',
        );
    }

    /** A signed call leads to a remedy, one that is taken to the report, and a report that was given out to the reassembly. */
    public function testAfterTheCallComesTheRemedy(): void
    {
        $example = Example::pushrodEight();
        foreach ($example->engine()->stations as $station) {
            self::measured($example->looks($station->code(), 'valve'), $station->code());
        }
        $left = static function (Example $example): array {
            $progress = self::progress($example, 'It stopped.', [], true, true);
            [$remedy] = array_values(
                array_filter($progress->steps(), static fn (StepProgress $step): bool => $step->step === Step::Remedy),
            );

            return [$progress->nextAct()->words, $remedy->left];
        };
        self::assertSame(['Try a remedy', ''], $left($example));
        $example->records(EntryKind::Remedy, Remedy::slot('a'), ['name' => 'x', 'remedyKind' => 'cure']);
        self::assertSame(['Take a remedy', 'none taken'], $left($example));
        $example->records(EntryKind::Taken, Taken::slot(), ['remedies' => ['a']]);
        self::assertSame(['Print the report', 'taken'], $left($example));
        $example->records(EntryKind::Line, LineRecord::slot('A1-E1', 'spring_in'), ['state' => 'ticked']);
        self::assertSame(['Print the report', '1 line ticked'], $left($example));
        $example->records(EntryKind::Issue, Issue::slot('1') ?? self::fail(), ['whom' => 'owner']);
        self::assertSame(['Go on with the reassembly', '1 line ticked'], $left($example));
        $report = array_column(array_map(
            static fn (StepProgress $step): array => [$step->step->value, [$step->done, $step->left]],
            self::progress($example, 'It stopped.', [], true, true)->steps(),
        ), 1, 0)[Step::Report->value] ?? [];
        self::assertSame([1.0, 'report 1 given out'], $report);
        $example->records(
            EntryKind::Outcome, Outcome::slot('2026-12-20') ?? self::fail(), ['amount' => 1, 'symptom' => 'gone'],
        );
        self::assertSame(['Print the report', 'it came back'], $left($example));
    }

    public function testWhereNothingFailedTheFirstStationIsLookedAt(): void
    {
        self::assertSame(
            'A1-E1',
            self::progress(Example::pushrodEight()->answers('engine', 'mirror', 'nothing'), 'Ticks.')->nextAct()->place,
        );
    }

    public function testTestsAndTheMirrorComeBeforeTheTeardown(): void
    {
        $example = Example::pushrodEight();
        self::assertEquals(new NextAct(Step::Before, 'Test it before it comes apart'), self::progress($example, 'Ticks.')->nextAct());
        $example->tests('A1', 'compression', '170')->tests('A1-E1', 'pull', '118', '1')->tests('A1-E1', 'pull', '117', '2026-01-05.1');
        $progress = self::progress($example, 'Ticks.');
        self::assertEquals(
            new NextAct(Step::Before, 'Look with mirror or borescope'), $progress->nextAct(), 'proposed even when the numbers are clean',
        );
        self::assertEqualsWithDelta(
            2 / (8 + 8 + 2 * 16 + 16 + 1), $progress->steps()[1]->done, 1e-9, 'a pull of an earlier date is not one of this case',
        );
        self::assertSame('mirror still to look', $progress->steps()[1]->left);
    }

    public function testACallIsSignedThenActedOn(): void
    {
        $example = self::measured(Example::pushrodEight()->looks('A1-E1', 'spring'), 'A1-E1');
        self::assertSame('Sign the call', self::progress($example, 'Ticks.', [], true)->nextAct()->words);
        self::assertSame(Step::Remedy, self::progress($example, 'Ticks.', [], true, true)->nextAct()->step);
    }

    public function testStepsAreCountedByWhatIsDone(): void
    {
        $example = self::measured(
            Example::pushrodEight()
                ->looks('A1-E1', 'spring', 'valve')->sees('A1-E1', 'seat', 'seat_hammered', 0)->sees('engine', 'running', 'sudden_stop', 0),
            'A1-E1',
        );
        [$story, , $teardown, $bench, , $cause] = self::progress($example, 'Ticks.')->steps();
        self::assertEquals(new StepProgress(Step::Story, 1 / 12, '1 of 12 answered'), $story);
        self::assertSame('1 of 16 stations', $teardown->left);
        self::assertEqualsWithDelta(3 / (16 * 15), $teardown->done, 1e-9, 'three parts of fifteen at one station of sixteen');
        self::assertEquals(new StepProgress(Step::Bench, 1 / 16, '1 of 16 springs'), $bench);
        $begun = $example->tests('A1-E1', 'seat_width', '0.070')->tests('A1-E1', 'guide_height', '0.640');
        self::assertSame('1 of 16 springs, 2 more sheets', self::progress($begun, 'Ticks.')->steps()[3]->left);
        self::assertSame(0.0, $cause->done);
        self::assertFalse($teardown->isOverdue);
        $example->records(EntryKind::Pieces, Pieces::slot('A1-E1', Part::Locks), ['expected' => 2, 'found' => 1]);
        $missing = self::progress($example, 'Ticks.')->steps()[2];
        self::assertSame(['1 piece missing', true], [$missing->left, $missing->isOverdue]);
    }

    public function testAStoryNamesOnlyStationsOfItsEngine(): void
    {
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessage('no station “C1-E1”');
        Story::fromNode(Node::root(['failed' => ['C1-E1']]), Example::pushrodEight()->engine());
    }

    public function testAStoryReadBackIsTheSame(): void
    {
        $story = Story::fromNode(
            Node::root(['words' => ' It stopped. ', 'oil' => '10W-60', 'failed' => ['A1-E1']]), Example::pushrodEight()->engine(),
        );
        self::assertSame('It stopped.', $story->answers['words']);
        self::assertEquals($story, Story::fromNode(Node::root($story->toArray()), Example::pushrodEight()->engine()));
    }
}
