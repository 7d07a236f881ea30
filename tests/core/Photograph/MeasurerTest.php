<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Photograph;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Photograph\Annotation;
use MuteTapper\Core\Photograph\Measurer;
use MuteTapper\Core\Photograph\Shape;
use MuteTapper\Core\Quantity\Typed;
use MuteTapper\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MeasurerTest extends TestCase
{
    public const SHA = 'aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa';

    /** @param list<array{float, float}> $points */
    private static function drawn(Shape $shape, array $points): Annotation
    {
        return Annotation::of(self::SHA, $shape, $points, '', null);
    }

    private static function scale(): Annotation
    {
        return Annotation::of(self::SHA, Shape::Scale, [[100, 700], [400, 700]], '', new Typed(10, Unit::Millimetre, 1));
    }

    public function testALengthFollowsTheScale(): void
    {
        $length = Measurer::by(self::scale())->measure(self::drawn(Shape::Length, [[0, 0], [90, 120]]));
        self::assertNotNull($length);
        self::assertEqualsWithDelta(5.0, $length->quantity()->in(Unit::Millimetre), 1e-12, '150 of 300 pixels of 10 mm');
        // Two ends placed to 2 px each, rectangular, along the line; the same for the scale, and half a tenth of a millimetre in it.
        $u = 2 / sqrt(3) * sqrt(2);
        self::assertEqualsWithDelta(
            5 * sqrt(($u / 150) ** 2 + ($u / 300) ** 2 + (0.05 / sqrt(3) / 10) ** 2), $length->standard() * 1000, 1e-6,
        );
    }

    public function testADiameterIsThatOfTheCircleThroughThreePoints(): void
    {
        $diameter = Measurer::by(self::scale())->measure(self::drawn(Shape::Diameter, [[500, 300], [350, 450], [200, 300]]));
        self::assertEqualsWithDelta(10.0, $diameter?->quantity()->in(Unit::Millimetre), 1e-9);
    }

    public function testAnAngleNeedsNoScale(): void
    {
        $angle = Measurer::by(null)->measure(self::drawn(Shape::Angle, [[100, 0], [0, 0], [100, 100]]));
        self::assertEqualsWithDelta(45.0, $angle?->base, 1e-9);
        $over = Measurer::by(null)->measure(self::drawn(Shape::Angle, [[-100, 10], [0, 0], [-100, -10]]));
        self::assertEqualsWithDelta(2 * rad2deg(atan(0.1)), $over?->base, 1e-9, 'the smaller of the two angles');
    }

    public function testALargerPictureIsMeasuredBetter(): void
    {
        $u = static fn (float $factor): float => Measurer::by(
            Annotation::of(self::SHA, Shape::Scale, [[0, 0], [300 * $factor, 0]], '', new Typed(10, Unit::Millimetre, 4)),
        )->measure(self::drawn(Shape::Length, [[0, 0], [150 * $factor, 0]]))?->standard() ?? \INF;
        self::assertEqualsWithDelta(2.0, $u(1) / $u(2), 1e-4);
    }

    public function testWhatCannotBeMeasuredIsNot(): void
    {
        self::assertNull(Measurer::by(null)->measure(self::drawn(Shape::Length, [[0, 0], [9, 9]])), 'no scale');
        self::assertNull(
            Measurer::by(self::scale())->measure(self::drawn(Shape::Diameter, [[0, 0], [50, 1], [100, 0]])), 'nearly on a line',
        );
        self::assertNull(Measurer::by(self::scale())->measure(self::drawn(Shape::Angle, [[0, 0], [0, 0], [5, 5]])), 'no corner');
        self::assertNull(Measurer::by(self::scale())->measure(self::drawn(Shape::Arrow, [[0, 0], [5, 5]])), 'not a measure');
    }

    /** [pub: W3C Web Annotation Data Model, 2017] */
    public function testItIsAWebAnnotationAndReadBackTheSame(): void
    {
        $scale = Annotation::of(self::SHA, Shape::Scale, [[12.34, 5], [400, 5.06]], 'the rule', new Typed(0.25, Unit::Inch, 3));
        $data = $scale->toArray();
        $annotation = Node::root($data)->get('annotation');
        self::assertSame(
            ['http://www.w3.org/ns/anno.jsonld', 'Annotation'], [$annotation->get('@context')->raw(), $annotation->get('type')->raw()],
        );
        self::assertSame('SvgSelector', $annotation->get('target')->get('selector')->get('type')->raw());
        $again = Annotation::fromNode(Node::root($data));
        self::assertSame($data, $again->toArray());
        self::assertSame([[12.3, 5.0], [400.0, 5.1]], $again->points, 'kept to a tenth of a pixel');
        self::assertSame(0.25, $again->known?->number);
    }

    /** @return iterable<string, array{Shape, list<array{float, float}>, string}> */
    public static function bad(): iterable
    {
        yield 'too few points' => [Shape::Angle, [[0, 0], [1, 1]], 'an angle'];
        yield 'a scale of nothing' => [Shape::Scale, [[0, 0], [9, 9]], 'needs the distance'];
        yield 'one point twice' => [Shape::Length, [[3, 3], [3, 3]], 'the same one'];
    }

    /** @param list<array{float, float}> $points */
    #[DataProvider('bad')]
    public function testBadDrawingsAreRefusedInWords(Shape $shape, array $points, string $words): void
    {
        $this->expectException(BadDocument::class);
        $this->expectExceptionMessageMatches('/'.('an angle' === $words ? 'angle takes 3 points; 2' : $words).'/');
        self::drawn($shape, $points);
    }
}
