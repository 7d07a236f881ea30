<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Valve;

use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Retainers and locks: of one kind, and fitting each other. */
final class RetainerSheetTest extends TestCase
{
    public function testATaperOfAnotherKindIsOutside(): void
    {
        $bench = Example::pushrodEight()->tests('A1-E1', 'lock_angle', '10')->tests('A1-E1', 'retainer_angle', '7')
            ->tests('A1-I1', 'lock_angle', '7')->tests('A1-I1', 'retainer_angle', '7')->bench();
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'lock_in_retainer')?->verdict);
        self::assertSame(Verdict::Inside, $bench->margin('A1-I1', 'lock_in_retainer')?->verdict);
    }

    /** The same gap is right or wrong by the kind of the locks. */
    public function testAGapIsJudgedByTheKindOfTheLocks(): void
    {
        $example = Example::pushrodEight();
        foreach (['A1-E1', 'A1-I1', 'A2-E1', 'A2-I1', 'A3-E1'] as $i => $place) {
            $example->tests($place, 'lock_gap', $i % 2 === 0 ? '0.000' : '0.030');
        }
        $said = static fn (): array => $example->bench()->remarks($example->bench()->sheets->named('retainers') ?? self::fail());
        self::assertSame(['Kind of the locks not known, gap not judged: 1E, 1I, 3E, 3I, 5E.'], $said());
        foreach (['A1-E1' => 'clamping', 'A1-I1' => 'clamping', 'A2-E1' => 'butting', 'A2-I1' => 'butting'] as $place => $kind) {
            $example->answers($place, 'lock_kind', $kind);
        }
        self::assertSame([
            'Clamping locks without a gap do not clamp: 1E.', 'Butting locks with a gap clamp the stem: 3I.',
            'Kind of the locks not known, gap not judged: 5E.',
        ], $said());
    }

    public function testTheSpringSitsOnItsRegister(): void
    {
        $bench = Example::pushrodEight()->measures('A1-E1', 'inside_diameter', '1.120')->tests('A1-E1', 'register_diameter', '1.110')
            ->measures('A1-I1', 'inside_diameter', '1.120')->tests('A1-I1', 'register_diameter', '1.130')->bench();
        self::assertSame(Verdict::Inside, $bench->margin('A1-E1', 'spring_on_register')?->verdict);
        self::assertSame(Verdict::Outside, $bench->margin('A1-I1', 'spring_on_register')?->verdict);
    }
}
