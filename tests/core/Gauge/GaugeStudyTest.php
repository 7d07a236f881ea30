<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Gauge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Gauge\GaugeStudy;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class GaugeStudyTest extends TestCase
{
    /** By hand: two people, two parts, two readings. Cell means 1, 3, 2, 4; each reading is 1 off its cell's mean. */
    public function testByHand(): void
    {
        $study = self::study([[[0, 2], [2, 4]], [[1, 3], [3, 5]]]);
        // Within: 8 readings 1 off, 4 degrees of freedom: 2. Crossed: 0. Persons: 2·2·(0.5² + 0.5²) = 2. Parts: 2·2·(1 + 1) = 8.
        self::assertEqualsWithDelta(sqrt(2), $study->repeatability, 1e-12);
        self::assertEqualsWithDelta(sqrt(2 / 4), $study->persons, 1e-12);
        self::assertSame(0.0, $study->interaction);
        self::assertEqualsWithDelta(sqrt(8 / 4), $study->parts, 1e-12);
        self::assertEqualsWithDelta(sqrt(2.5), $study->gauge(), 1e-12);
        self::assertEqualsWithDelta(2.5 / 4.5, $study->share(), 1e-12);
        self::assertEqualsWithDelta(sqrt(7.5), $study->halfWidth(), 1e-12);
        self::assertStringContainsString('56 % of what was seen is the gauge', $study->inWords());
    }

    public function testReadingsThatAllAgree(): void
    {
        $study = self::study([[[1, 1], [1, 1]], [[1, 1], [1, 1]]]);
        self::assertSame([0.0, 0.0], [$study->gauge(), $study->share()]);
    }

    /** @return iterable<array{mixed, string}> */
    public static function wrong(): iterable
    {
        yield [[[[1, 2], [1, 2]]], '/readings'];
        yield [[[[1, 2]], [[1, 2]]], '/readings'];
        yield [[[[1], [2]], [[1], [2]]], '/readings'];
        yield [[[[1, 2], [1, 2]], [[1, 2], [1]]], '/readings/1/1'];
        yield [[[[1, 2], [1, 2]], [[1, 2]]], '/readings/1'];
        yield [[[[1, 2], [1, 'x']], [[1, 2], [1, 2]]], '/readings/0/1/1'];
        yield [[], '/readings'];
    }

    #[DataProvider('wrong')]
    public function testAStudyThatIsNotWholeIsRefused(mixed $readings, string $pointer): void
    {
        try {
            GaugeStudy::fromNode(Node::root(['unit' => 'in', 'readings' => $readings]));
            self::fail('accepted');
        } catch (BadDocument $problem) {
            self::assertSame($pointer, $problem->pointer);
        }
    }

    /** @param list<list<list<int>>> $readings */
    private static function study(array $readings): GaugeStudy
    {
        return GaugeStudy::fromNode(Node::root(['unit' => 'in', 'readings' => $readings]));
    }
}
