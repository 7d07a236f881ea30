<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** The points of a curve as they came: two numbers each. */
final class Pairs
{
    /**
     * @param string $each what a point is, in words
     * @param \Closure(Node, Node): void $check of the two numbers of a point
     *
     * @return list<array{float, float}>
     *
     * @throws BadDocument naming the point
     */
    public static function of(Node $points, int $most, string $each, \Closure $check): array
    {
        $pairs = [];
        foreach ($points->items($most) as $point) {
            $pair = $point->items(2);
            if (count($pair) !== 2) {
                throw BadDocument::at($point->pointer, sprintf('a point is %s.', $each));
            }
            $check($pair[0], $pair[1]);
            $pairs[] = [$pair[0]->number(), $pair[1]->number()];
        }

        return $pairs;
    }

    /**
     * @param array{float, float} $range
     *
     * @throws BadDocument
     */
    public static function within(Node $of, float $base, array $range, string $words): void
    {
        if ($base < $range[0] || $base > $range[1]) {
            throw BadDocument::at($of->pointer, $words);
        }
    }
}
