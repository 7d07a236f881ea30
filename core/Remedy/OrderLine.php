<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

use MuteTapper\Core\Engine\Part;

/** Something to buy, or to give out as work, before the engine goes back together. */
final readonly class OrderLine
{
    /**
     * @param list<string> $places stations that it is for
     * @param bool $isDecided a person decided it; else it is only advised
     */
    private function __construct(public Part $part, public ReuseDecision $what, public array $places, public bool $isDecided)
    {
    }

    /**
     * @param list<PartAdvice> $advice
     *
     * @return list<self> parts to buy first, then work to give out
     */
    public static function all(array $advice): array
    {
        $lines = [];
        foreach ([ReuseDecision::Replace, ReuseDecision::Rework] as $what) {
            foreach ([true, false] as $isDecided) {
                foreach ($advice as $one) {
                    if ($one->decision() === $what && ($one->decided !== null) === $isDecided) {
                        $key = $what->value.$one->part->value.$isDecided;
                        $lines[$key] = new self($one->part, $what, [...$lines[$key]->places ?? [], ...$one->places], $isDecided);
                    }
                }
            }
        }

        return array_values($lines);
    }
}
