<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Likeness;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Likeness\CaseTraits;
use MuteTapper\Core\Likeness\Likeness;
use MuteTapper\Tests\Core\Cause\Archetypes;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Past cases by shared signs, how they lie, and the kind of drive. */
final class LikenessTest extends TestCase
{
    /** @param array<string, list<string>> $signs */
    private static function traits(array $signs, string $drive = 'pushrod'): CaseTraits
    {
        return CaseTraits::fromNode(Node::root(['drive' => $drive, 'lash' => 'solid', 'signs' => $signs]));
    }

    private static function of(Example $example): CaseTraits
    {
        $assessment = Assessment::of($example->case(), Example::knowledge());

        return CaseTraits::of($assessment->model(), $assessment->case->engine);
    }

    public function testACaseIsLikestItself(): void
    {
        $one = self::traits(['a' => ['one'], 'b' => ['kind'], 'c' => []]);
        [$same] = Likeness::among($one, ['same' => $one]);
        self::assertSame(['same', ['a', 'b', 'c'], ['a', 'b', 'c']], [$same->case, $same->shared, $same->alike]);
        self::assertEqualsWithDelta(1.0, $same->degree, 1e-12);
    }

    /** Two of four signs with one weight each: by hand. */
    public function testItIsTheWeightOfWhatBothHaveOfAllThatEitherHas(): void
    {
        $past = ['x' => self::traits(['a' => ['one'], 'b' => ['kind'], 'd' => ['one']])];
        [$like] = Likeness::among(self::traits(['a' => ['one'], 'b' => ['one'], 'c' => ['one']]), $past);
        [$both, $single] = [log(1 + 2 / 2), log(1 + 2 / 1)];
        self::assertEqualsWithDelta(($both + 0.6 * $both) / (2 * $both + 2 * $single), $like->degree, 1e-12);
        self::assertSame([['a', 'b'], ['a']], [$like->shared, $like->alike]);
        $bucket = ['x' => self::traits(['a' => ['one'], 'b' => ['kind'], 'd' => ['one']], 'bucket')];
        [$other] = Likeness::among(self::traits(['a' => ['one'], 'b' => ['one'], 'c' => ['one']]), $bucket);
        self::assertEqualsWithDelta(0.6 * $like->degree, $other->degree, 1e-12, 'on another kind of drive');
    }

    public function testASignThatEveryCaseHasTellsLessThanOneThatFewHave(): void
    {
        $common = self::traits(['misfire' => [], 'x' => ['one']]);
        $rare = self::traits(['locks_out' => ['one'], 'y' => ['one']]);
        $past = ['common' => $common, 'rare' => $rare];
        foreach (range(1, 8) as $i) {
            $past['other '.$i] = self::traits(['misfire' => []]);
        }
        $found = Likeness::among(self::traits(['misfire' => [], 'locks_out' => ['one'], 'z' => ['one']]), $past);
        self::assertSame('rare', $found[0]->case);
    }

    public function testWhatSharesLittleOrNothingIsNotShown(): void
    {
        self::assertSame([], Likeness::among(self::traits(['a' => []]), ['x' => self::traits(['b' => []]), 'y' => self::traits([])]));
        self::assertSame([], Likeness::among(self::traits([]), ['x' => self::traits([])]));
    }

    /** Over all archetypes: with all twins, each of which differs from its case by one fact, as past cases, its own is among the three likest. */
    public function testTheTwinOfACaseIsAmongThoseLikest(): void
    {
        $traits = $twins = [];
        foreach (Archetypes::all() as $name => $archetype) {
            $traits[$name] = self::of($archetype['case']);
            $twins[$name] = self::of($archetype['twin']);
        }
        $first = $tried = 0;
        foreach ($traits as $name => $one) {
            if (count($one->signs) >= 3 && count($twins[$name]->signs) >= 3) {
                ++$tried;
                $likest = array_slice(Likeness::among($one, $twins), 0, 3);
                $first += in_array($name, array_map(static fn (Likeness $like): string => $like->case, $likest), true) ? 1 : 0;
            }
        }
        self::assertGreaterThan(20, $tried);
        self::assertGreaterThan(0.8 * $tried, $first);
    }

    public function testItIsReadBackAsItWasKept(): void
    {
        $traits = self::of(Archetypes::all()['over-speed']['case']);
        $kept = json_decode(json_encode($traits->toArray(), \JSON_THROW_ON_ERROR), true, 16, \JSON_THROW_ON_ERROR);
        self::assertEquals($traits, CaseTraits::fromNode(Node::root($kept)));
        self::assertNotSame([], $traits->signs['seat_hammered'], 'where its marks lie is kept');
        self::assertSame([], $traits->signs['overspeed_seen']);
    }
}
