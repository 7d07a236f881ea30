<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Sheet;

use MuteTapper\Core\Head\HeightsSheet;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

final class FarFromOthersTest extends TestCase
{
    private const CLOSE = ['1.898', '1.902', '1.900', '1.899', '1.901', '1.900', '1.898'];

    public function testAReadingThatSlippedIsNamed(): void
    {
        self::assertSame([], self::said([...self::CLOSE, '1.914']), 'as far as chance goes among eight');
        self::assertCount(1, self::said([...self::CLOSE, '1.916']), 'more than that');
        self::assertSame(
            ['Far from the others of their kind, whose middle is 1.900 in: installed height, 8E 1.948. '.
                'Read it again, if it is not another part.'],
            self::said([...self::CLOSE, '1.948']),
        );
        self::assertSame([], self::said(['1.900', '1.900', '1.900', '1.990']), 'four are too few');
    }

    /** Among readings that are all alike one that is off by less than the gauge can tell is not far. */
    public function testCloserThanTheGaugeCanTellIsNotFar(): void
    {
        self::assertSame([], self::said(['1.900', '1.900', '1.900', '1.900', '1.900', '1.902']));
        self::assertCount(1, self::said(['1.900', '1.900', '1.900', '1.900', '1.900', '1.903']));
    }

    /** Intakes are not held against exhausts. */
    public function testEachKindByItself(): void
    {
        $example = Example::pushrodEight();
        foreach ($example->bench()->case->engine->stations as $station) {
            $example->tests($station->code(), 'installed_height', $station->kind->value === 'E' ? '1.900' : '1.750');
        }
        self::assertSame([], $example->bench()->remarks(HeightsSheet::declare()));
    }

    /**
     * @param list<string> $heights of exhausts, one cylinder after another
     *
     * @return list<string>
     */
    private static function said(array $heights): array
    {
        $example = Example::pushrodEight();
        $exhausts = array_values(array_filter(
            $example->bench()->case->engine->stations, static fn ($station): bool => $station->kind->value === 'E',
        ));
        usort($exhausts, static fn ($a, $b): int => strnatcmp($a->label(), $b->label()));
        foreach ($heights as $i => $height) {
            $example->tests($exhausts[$i]->code(), 'installed_height', $height);
        }

        return $example->bench()->remarks(HeightsSheet::declare());
    }
}
