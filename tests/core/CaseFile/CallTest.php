<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\CaseFile;

use MuteTapper\Core\CaseFile\Call;
use MuteTapper\Core\CaseFile\SignedContent;
use MuteTapper\Core\Document\Node;
use PHPUnit\Framework\TestCase;

final class CallTest extends TestCase
{
    public function testHowSureIsSaidInWords(): void
    {
        $words = [];
        foreach ([100, 95, 94, 80, 79, 60, 40, 20, 19, 0, null] as $confidence) {
            $words[] = Call::sure($confidence);
        }
        self::assertSame([
            'as good as certain', 'as good as certain', 'very likely', 'very likely', 'likely', 'likely', 'even odds', 'doubtful',
            'a guess', 'a guess', '',
        ], $words);
    }

    /** What was written before it could say more is read, and written back, as it was. */
    public function testACallOfFormerDaysStaysAsItWas(): void
    {
        $before = ['causes' => ['over_speed'], 'words' => 'It was.', 'confidence' => 70, 'by' => 'A'];
        $call = Call::fromNode(Node::root($before));
        self::assertSame($before, $call->toArray());
        self::assertSame([null, [], ''], [$call->firstEvent, $call->ruledOut, $call->open]);
    }

    /** It departs where it names what the ranking did not; of a ranking that named nothing it cannot. */
    public function testACallThatNamesWhatTheRankingDidNotDeparts(): void
    {
        $departs = static fn (array $causes, ?array $leading): bool => SignedContent::fromNode(Node::root([
            'call' => ['causes' => $causes, 'words' => 'x', 'confidence' => 50, 'by' => 'A'], 'revision' => 3,
            'ranking' => ['sentence' => 'x'] + ($leading === null ? [] : ['leading' => $leading]),
        ]))->departs();
        self::assertFalse($departs(['a'], ['a', 'b']));
        self::assertTrue($departs(['a', 'c'], ['a', 'b']));
        self::assertFalse($departs(['a'], []));
        self::assertFalse($departs(['a'], null));
    }
}
