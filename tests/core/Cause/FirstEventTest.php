<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\FirstEvent;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** The earliest mechanism that the leading explanation needs, with its station where the evidence has one. */
final class FirstEventTest extends TestCase
{
    private static function first(Example $example): ?FirstEvent
    {
        return Assessment::of($example->case(), Example::knowledge())->ranking()->firstEvent();
    }

    public function testItIsNearestToTheCause(): void
    {
        $first = self::first(Archetypes::bound()->shows('pushrod_bent', 3, 'A2-E1'));
        self::assertSame(['coil_bind', 'A2-E1'], [$first?->event, $first?->station]);
    }

    /** Half of a kind went solid, and the other half was looked at and did not: it went solid all the same. */
    public function testWhatIsContradictedAtSomePlacesHappenedAtTheOthers(): void
    {
        $example = Example::pushrodEight()->claims('kind-E', 'installed_height', '1.800');
        foreach (['A1-E1', 'A2-E1', 'A3-E1', 'A4-E1', 'B1-E1', 'B2-E1', 'B3-E1', 'B4-E1'] as $i => $place) {
            $example->measures($place, 'installed_height', '1.720')->shows('coils_bright', $i < 4 ? 3 : 0, $place)
                ->shows('end_coil_dug', $i < 4 ? 2 : 0, $place);
        }
        self::assertSame('coil_bind', self::first($example->shows('pushrod_bent', 3, 'A1-E1'))?->event);
    }

    public function testWithoutALeaderThereIsNone(): void
    {
        self::assertNull(self::first(Example::pushrodEight()->shows('tip_peened', 1, 'A1-E1')));
    }
}
