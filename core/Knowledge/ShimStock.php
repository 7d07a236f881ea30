<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Unit;

/** Spring shims that a shop keeps, each thickness in any number, and how near a height is set with them. */
final readonly class ShimStock
{
    private const MOST_KINDS = 24;
    private const MOST_UNDER_ONE = 12;

    /**
     * @param non-empty-list<float> $thicknesses in metres, thickest first
     * @param float $tolerance in metres
     * @param int $most that are laid under one spring
     */
    private function __construct(public array $thicknesses, public float $tolerance, public int $most)
    {
    }

    /** @throws BadDocument naming the figure */
    public static function fromNode(Node $node): self
    {
        $unit = $node->get('unit')->choice(Unit::class);
        if ($unit->dimension() !== Dimension::Length) {
            throw BadDocument::at($node->pointer.'/unit', 'a shim has a thickness: a unit of length is accepted.');
        }
        $thicknesses = [];
        foreach ($node->get('thicknesses')->items(self::MOST_KINDS) as $thickness) {
            $base = $thickness->number() * $unit->baseFactor();
            if ($base < 0.00005 || $base > 0.01) {
                throw BadDocument::at($thickness->pointer, 'a spring shim is 0.05 to 10 mm thick.');
            }
            $thicknesses[] = $base;
        }
        $tolerance = $node->get('tolerance')->number() * $unit->baseFactor();
        if ($tolerance < 0.0 || $tolerance > 0.002) {
            throw BadDocument::at($node->pointer.'/tolerance', 'a height is set to 0 to 2 mm.');
        }
        $node->get('mark')->word();
        $node->get('source')->word(1000);
        rsort($thicknesses);

        return $thicknesses === [] ? throw BadDocument::at($node->pointer.'/thicknesses', 'a stock has one thickness at least.')
            : new self($thicknesses, $tolerance, $node->get('most')->whole(1, self::MOST_UNDER_ONE));
    }
}
