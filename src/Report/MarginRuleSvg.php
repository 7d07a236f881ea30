<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\Sheet\MarginView;
use MuteTapper\Core\Verdict\Verdict;

/**
 * A margin rule as an SVG for paper, from the same fractions that the screen draws. Hatch is drawn line by line, since the
 * PDF renderer knows no patterns.
 */
final class MarginRuleSvg
{
    private const INK = '#18211F';
    private const GREY = '#75827C';
    private const LEAD = '#AD2F17';
    private const WIDTH = 150.0;
    private const BASE = 24.0;

    public static function of(MarginView $margin): string
    {
        $outside = in_array($margin->verdict, [Verdict::Outside, Verdict::OutsideClose], true);
        $measured = $margin->at !== null;
        $at = static fn (float $fraction): float => 3 + $fraction * (self::WIDTH - 6);
        $notch = $at($margin->notch);
        $upper = $margin->upper === null ? null : $at($margin->upper);
        $colour = $outside ? self::LEAD : self::GREY;
        $svg = self::hatch(...($margin->goodIsRight ? [3.0, $notch] : [$notch, self::WIDTH - 3]), colour: $colour);
        $svg .= $upper === null ? '' : self::hatch($upper, self::WIDTH - 3, $colour);
        $svg .= self::line(3, self::BASE, self::WIDTH - 3, self::BASE, self::INK, 1.2, $measured ? '' : '3,2.5');
        for ($i = 0; $i <= 10; ++$i) {
            $svg .= self::line($at($i / 10), self::BASE, $at($i / 10), self::BASE + 3.5, self::GREY, 0.8);
        }
        $ink = $outside ? self::LEAD : self::INK;
        if ($measured && $upper !== null) {
            $svg .= self::several($margin, $at, $notch, $upper);
        } elseif ($measured && $margin->verdict !== Verdict::CannotTell) {
            $value = $at($margin->at);
            $fill = match ($margin->verdict) {
                Verdict::Inside => self::GREY,
                Verdict::Outside => self::LEAD,
                default => 'none',
            };
            $svg .= sprintf(
                '<rect x="%.2f" y="%.2f" width="%.2f" height="4.5" fill="%s" stroke="%s" stroke-width="0.7"/>', min($notch, $value),
                self::BASE - 5.5, abs($value - $notch), $fill, $fill === 'none' ? $ink : $fill,
            );
        }
        foreach ($margin->others as $other) {
            $svg .= self::line($at($other['at']), self::BASE - 7, $at($other['at']), self::BASE + 5, self::GREY, 1.3);
        }
        foreach ($upper === null ? [$notch] : [$notch, $upper] as $x) {
            $points = sprintf('%.2f,%.2f %.2f,%.2f %.2f,%.2f', $x - 4.5, self::BASE - 10, $x, self::BASE, $x + 4.5, self::BASE - 10);
            $svg .= sprintf('<polygon points="%s" fill="#FFFFFF" stroke="%s" stroke-width="1.2"/>', $points, self::INK);
            $svg .= self::line($x, self::BASE, $x, self::BASE + 6, self::INK, 1.8);
        }
        if ($measured) {
            $svg .= self::value($margin, $at, $ink);
        }

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%1$.0f" height="32" viewBox="0 0 %1$.0f 32">%2$s</svg>', self::WIDTH, $svg,
        );
    }

    /**
     * Several like places of one part within a window: a stroke each, a bar from the least to the largest, lead past a notch.
     *
     * @param callable(float): float $at
     */
    private static function several(MarginView $margin, callable $at, float $from, float $to): string
    {
        $strokes = array_map($at, $margin->strokes === [] ? [$margin->at ?? 0.0] : $margin->strokes);
        $least = min([self::WIDTH, ...$strokes]);
        $most = max([0.0, ...$strokes]);
        $svg = '';
        foreach ([
            [max($least, $from), min($most, $to), self::GREY], [$least, min($most, $from), self::LEAD],
            [max($least, $to), $most, self::LEAD],
        ] as [$left, $right, $colour]) {
            $svg .= $right > $left
                ? sprintf('<rect x="%.2f" y="%.2f" width="%.2f" height="4.5" fill="%s"/>', $left, self::BASE - 5.5, $right - $left, $colour)
                : '';
        }
        foreach (count($strokes) > 1 ? $strokes : [] as $x) {
            $svg .= self::line($x, self::BASE - 9, $x, self::BASE, self::INK, 1);
        }

        return $svg;
    }

    /** @param callable(float): float $at */
    private static function value(MarginView $margin, callable $at, string $ink): string
    {
        $value = $at($margin->at ?? 0.0);
        $low = $at($margin->low ?? 0.0);
        $high = $at($margin->high ?? 0.0);
        if ($margin->offScale !== null) {
            $tip = $margin->offScale === 'high' ? self::WIDTH - 3 : 3.0;
            $tail = $margin->offScale === 'high' ? -6 : 6;

            return self::line($tip + $tail, 1, $tip, 6, $ink, 2).self::line($tip, 6, $tip + $tail, 11, $ink, 2);
        }
        if ($margin->verdict === Verdict::CannotTell) {
            return self::line($low, self::BASE, $low, 4, $ink, 1.2).self::line($low, 4, $high, 4, $ink, 1.2).self::line(
                $high, 4, $high, self::BASE, $ink, 1.2,
            )
                .self::line($value, 4, $value, self::BASE + 2, $ink, 1.2, '2.5,2');
        }

        return self::line($low, 1, $low, 7, $ink, 1.2).self::line($high, 1, $high, 7, $ink, 1.2).self::line($low, 4, $high, 4, $ink, 1.2)
            .self::line($value, 4, $value, self::BASE + 2, $ink, 2.4);
    }

    private static function hatch(float $left, float $right, string $colour): string
    {
        $svg = '';
        for ($x = $left - 10; $x < $right; $x += 4) {
            $from = max($left, $x);
            $to = min($right, $x + 10);
            $svg .= self::line($from, self::BASE - ($from - $x), $to, self::BASE - ($to - $x), $colour, 0.8);
        }

        return $svg;
    }

    private static function line(float $x1, float $y1, float $x2, float $y2, string $colour, float $width, string $dash = ''): string
    {
        return sprintf(
            '<line x1="%.2f" y1="%.2f" x2="%.2f" y2="%.2f" stroke="%s" stroke-width="%.1f"%s/>', $x1, $y1, $x2, $y2, $colour, $width,
            $dash === '' ? '' : ' stroke-dasharray="'.$dash.'"',
        );
    }
}
