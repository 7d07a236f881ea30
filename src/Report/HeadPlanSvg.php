<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\Core\Engine\HeadPlan;

/** The head plan as an ink drawing for paper: worst severity at each station, corner flags where failure was reported. */
final class HeadPlanSvg
{
    /** Temper scale: fill and text by step. */
    private const TEMPER = [
        ['#FFFFFF', '#18211F'], ['#EFD47A', '#18211F'], ['#A95F26', '#FFFFFF'], ['#7D4283', '#FFFFFF'], ['#1F4F8F', '#FFFFFF'],
    ];

    /**
     * @param array<string, int> $worst by station; absent means not looked
     * @param list<string> $failed
     */
    public static function of(HeadPlan $plan, array $worst, array $failed): string
    {
        $svg = '';
        foreach ($plan->castings as $c) {
            $svg .= sprintf(
                '<path d="M%1$.1f %2$.1fH%3$.1fL%4$.1f %5$.1fV%6$.1fL%3$.1f %7$.1fH%1$.1fL%8$.1f %6$.1fV%5$.1fZ" fill="#F4F6F4" '.
                'stroke="#8D9994"/>',
                $c['left'] + 10, $c['top'], $c['right'] - 10, $c['right'], $c['top'] + 10, $c['bottom'] - 10, $c['bottom'], $c['left'],
            );
        }
        foreach ($plan->bores as $b) {
            $svg .= sprintf('<circle cx="%.1f" cy="%.1f" r="%.1f" fill="#FFFFFF" stroke="#8D9994"/>', $b['x'], $b['y'], $b['radius']);
            $svg .= sprintf(
                '<rect x="%.1f" y="%.1f" width="20" height="24" fill="#FFFFFF" stroke="#8D9994"/>', $b['box']['x'] - 10,
                $b['box']['y'] - 12,
            );
            $svg .= self::text($b['box']['x'], $b['box']['y'] + 5, (string) $b['number'], '#18211F', 15);
        }
        foreach ($plan->cells as $cell) {
            $step = $worst[$cell['station']] ?? null;
            [$fill, $ink] = self::TEMPER[$step ?? 0];
            $r = $cell['radius'];
            $dash = $step === null ? ' stroke-dasharray="2.5,2.5"' : '';
            if ($cell['kind'] === 'E') {
                $a = $r * 0.94;
                $k = $a - $r * 0.52;
                $points = [[-$k, -$a], [$k, -$a], [$a, -$k], [$a, $k], [$k, $a], [-$k, $a], [-$a, $k], [-$a, -$k]];
                $svg .= sprintf(
                    '<polygon points="%s" fill="%s" stroke="#18211F" stroke-width="1.4"%s/>',
                    implode(
                        ' ',
                        array_map(static fn (array $p): string => sprintf('%.1f,%.1f', $cell['x'] + $p[0], $cell['y'] + $p[1]), $points),
                    ),
                    $fill, $dash,
                );
            } else {
                $svg .= sprintf(
                    '<circle cx="%.1f" cy="%.1f" r="%.1f" fill="%s" stroke="#18211F" stroke-width="1.4"%s/>', $cell['x'], $cell['y'], $r,
                    $fill, $dash,
                );
            }
            $svg .= self::text(
                $cell['x'], $cell['y'] + 5, $step === null ? $cell['name'] : (string) $step, $step === null ? '#56635E' : $ink,
                $step === null ? 11 : 15,
            );
            if (in_array($cell['station'], $failed, true)) {
                $svg .= sprintf(
                    '<polygon points="%1$.1f,%2$.1f %3$.1f,%2$.1f %3$.1f,%4$.1f" fill="#AD2F17"/>', $cell['x'] + $r - 4,
                    $cell['y'] - $r - 5, $cell['x'] + $r + 9, $cell['y'] - $r + 8,
                );
            }
        }

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%1$.0f" height="%2$.0f" viewBox="0 0 %1$.0f %2$.0f">%3$s</svg>', $plan->width,
            $plan->height, $svg,
        );
    }

    private static function text(float $x, float $y, string $text, string $colour, float $size): string
    {
        return sprintf(
            '<text x="%.1f" y="%.1f" font-family="Helvetica" font-size="%.0f" text-anchor="middle" fill="%s">%s</text>', $x, $y, $size,
            $colour, htmlspecialchars($text),
        );
    }
}
