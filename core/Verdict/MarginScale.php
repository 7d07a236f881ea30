<?php

declare(strict_types=1);

namespace MuteTapper\Core\Verdict;

use MuteTapper\Core\Quantity\Uncertain;

/**
 * Where a margin rule's marks stand, as fractions of its length. Notches are always at the same places, so one column's
 * rules can be compared at a glance; screen and report draw from the same fractions. [own].
 */
final readonly class MarginScale
{
    private const NOTCH = 0.34;
    /** Of an interval: its two notches. */
    private const LOWER = 0.3;
    private const UPPER = 0.7;

    /**
     * @param float|null $upper second notch of an interval
     * @param list<array{school: string, at: float}> $others
     * @param list<float> $strokes of several like places of one part
     */
    private function __construct(
        public float $notch,
        public ?float $upper,
        public bool $goodIsRight,
        public ?float $value,
        public ?float $low,
        public ?float $high,
        public ?string $offScale,
        public array $others,
        public array $strokes,
        public float $from,
        public float $to,
    ) {
    }

    /** @param list<Uncertain> $all */
    public static function of(Limit $limit, ?Uncertain $value, array $all = []): self
    {
        $isInterval = $limit->side === Side::Between;
        $goodIsRight = $limit->side === Side::AtLeast || $isInterval;
        $notch = match (true) {
            $isInterval => self::LOWER,
            $goodIsRight => self::NOTCH,
            default => 1 - self::NOTCH,
        };
        $bound = $limit->bounds();
        $span = $isInterval && $bound->least !== null && $bound->most !== null
            ? ($bound->most->base - $bound->least->base) / (self::UPPER - self::LOWER)
            : $limit->span->base;
        $from = $limit->value()->base - $notch * $span;
        $figure = static fn (float $base): float => $limit->side === Side::Within ? abs($base) : $base;
        $at = static fn (float $base): float => ($figure($base) - $from) / $span;
        $clamp = static fn (float $x): float => max(0.0, min(1.0, $x));
        $others = [];
        foreach ($limit->schools as $school => $other) {
            $end = $limit->ruledAt($other, $school)->value()->base;
            if ($school !== $limit->ruling && $at($end) >= 0 && $at($end) <= 1) {
                $others[] = ['school' => $school, 'at' => $at($end)];
            }
        }
        $strokes = array_map(static fn (Uncertain $one): float => $clamp($at($one->base)), $all);
        $upper = $isInterval ? self::UPPER : null;
        if ($value === null) {
            return new self($notch, $upper, $goodIsRight, null, null, null, null, $others, $strokes, $from, $from + $span);
        }
        $position = $at($value->base);
        $offScale = $position < 0 ? 'low' : ($position > 1 ? 'high' : null);
        $half = 2 * $value->standard() / $span;

        return new self(
            $notch, $upper, $goodIsRight, $clamp($position), $clamp($position - $half), $clamp($position + $half), $offScale, $others,
            $strokes, $from, $from + $span,
        );
    }
}
