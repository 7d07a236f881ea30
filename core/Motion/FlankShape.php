<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;

/**
 * What a card leaves open of a flank: how much the acceleration falls off over the nose, and how the flank is shared out between the
 * rise, the height and the fall of its acceleration. [own].
 */
final readonly class FlankShape
{
    /**
     * @param float $nose acceleration at the end of the nose over that at its middle
     * @param array{float, float, float} $shares of the flank; together one
     */
    private function __construct(public float $nose, public array $shares)
    {
    }

    /** The same flank with another fall of its acceleration over the nose. */
    public function withNose(float $nose): self
    {
        return new self($nose, $this->shares);
    }

    public static function usual(): self
    {
        return new self(0.75, [0.35, 0.30, 0.35]);
    }

    /**
     * Shapes as far from the usual one as lobes of one card are found to be: what they change is the card's own uncertainty.
     *
     * @return non-empty-list<self>
     */
    public static function others(): array
    {
        return [
            new self(0.55, [0.35, 0.30, 0.35]), new self(0.95, [0.35, 0.30, 0.35]), new self(0.75, [0.25, 0.30, 0.45]),
            new self(0.75, [0.45, 0.30, 0.25]),
        ];
    }

    /**
     * How far an answer is moved by the other shapes, at most; a shape that has no lobe of such durations moves nothing.
     *
     * @param \Closure(self): ?float $answer null where there is none
     */
    public static function open(\Closure $answer, float $here): float
    {
        $open = 0.0;
        foreach (self::others() as $shape) {
            try {
                $open = max($open, abs(($answer($shape) ?? $here) - $here));
            } catch (Contradiction) {
                continue;
            }
        }

        return $open;
    }
}
