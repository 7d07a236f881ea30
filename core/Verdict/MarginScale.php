<?php

declare(strict_types=1);

namespace MuteTapper\Core\Verdict;

use MuteTapper\Core\Quantity\Uncertain;

/**
 * Where a margin rule's marks stand, as fractions of its length. The notch is always at the same place, so one column's
 * rules can be compared at a glance; screen and report draw from the same fractions. [own].
 */
final readonly class MarginScale
{
    private const NOTCH = 0.34;

    /** @param list<array{school: string, at: float}> $others */
    private function __construct(
        public float $notch,
        public bool $goodIsRight,
        public ?float $value,
        public ?float $low,
        public ?float $high,
        public ?string $offScale,
        public array $others,
        public float $from,
        public float $to,
    ) {
    }

    public static function of(Limit $limit, ?Uncertain $value): self
    {
        $goodIsRight = $limit->side === Side::AtLeast;
        $notch = $goodIsRight ? self::NOTCH : 1 - self::NOTCH;
        $span = $limit->span->base;
        $from = $limit->value()->base - $notch * $span;
        $at = static fn (float $base): float => ($base - $from) / $span;
        $others = [];
        foreach ($limit->schools as $school => $other) {
            if ($school !== $limit->ruling && $at($other->base) >= 0 && $at($other->base) <= 1) {
                $others[] = ['school' => $school, 'at' => $at($other->base)];
            }
        }
        if ($value === null) {
            return new self($notch, $goodIsRight, null, null, null, null, $others, $from, $from + $span);
        }
        $figure = $limit->side === Side::Within ? abs($value->base) : $value->base;
        $position = $at($figure);
        $offScale = $position < 0 ? 'low' : ($position > 1 ? 'high' : null);
        $clamp = static fn (float $x): float => max(0.0, min(1.0, $x));
        $half = 2 * $value->standard() / $span;

        return new self($notch, $goodIsRight, $clamp($position), $clamp($position - $half), $clamp($position + $half), $offScale, $others, $from, $from + $span);
    }
}
