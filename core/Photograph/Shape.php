<?php

declare(strict_types=1);

namespace MuteTapper\Core\Photograph;

/** What can be drawn on a photograph, and how many points it takes. */
enum Shape: string
{
    case Arrow = 'arrow';
    case Outline = 'outline';
    case Mark = 'mark';
    case Text = 'text';
    /** Two points of known distance: after it the picture can be measured. */
    case Scale = 'scale';
    case Length = 'length';
    /** A circle through three points. */
    case Diameter = 'diameter';
    /** At the second of three points. */
    case Angle = 'angle';

    /** @return array{int, int} least and most points */
    public function points(): array
    {
        return match ($this) {
            self::Mark, self::Text => [1, 1],
            self::Arrow, self::Scale, self::Length => [2, 2],
            self::Diameter, self::Angle => [3, 3],
            self::Outline => [2, 200],
        };
    }

    public function isMeasure(): bool
    {
        return $this === self::Length || $this === self::Diameter || $this === self::Angle;
    }
}
