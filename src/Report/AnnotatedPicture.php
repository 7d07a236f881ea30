<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\Photograph\MeasureView;
use MuteTapper\Core\Photograph\Shape;
use Symfony\Component\Process\Process;

/** A photograph with what was drawn on it, for the printed page: a light line in a dark one, as on the screen. */
final class AnnotatedPicture
{
    private const DARK = '#102822';
    private const LIGHT = '#F4FBF7';

    /**
     * @param string $jpeg the picture at the size of the page
     * @param int $width of the original, in whose pixels the drawings are
     * @param list<MeasureView> $drawn
     */
    public static function of(string $jpeg, int $width, int $height, array $drawn): string
    {
        $pixel = max($width, $height) / 560;
        $marks = 0;
        $body = '';
        foreach ($drawn as $one) {
            $marks += $one->shape === Shape::Mark ? 1 : 0;
            $body .= self::drawing($one, $pixel, $marks);
        }
        $svg = sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="900" height="%d" '.
            'viewBox="0 0 %d %d"><image xlink:href="data:image/jpeg;base64,%s" width="%2$d" height="%3$d"/>%s</svg>',
            (int) round(900 * $height / $width), $width, $height, base64_encode($jpeg), $body,
        );
        $process = new Process(['rsvg-convert', '--format', 'png', '--unlimited']);
        $process->setInput($svg);

        return $process->mustRun()->getOutput();
    }

    private static function drawing(MeasureView $one, float $pixel, int $mark): string
    {
        $points = $one->points;
        $path = 'M'.implode('L', array_map(static fn (array $point): string => sprintf('%.1F %.1F', $point[0], $point[1]), $points));
        [$x, $y] = $points[0];
        [$endX, $endY] = $points[count($points) - 1];
        $angle = rad2deg(atan2($endY - $y, $endX - $x));
        $shape = match ($one->shape) {
            Shape::Outline => sprintf('<path d="%sZ"/>', $path),
            Shape::Arrow => sprintf(
                '<path d="%s"/><path d="M%.1F %.1FL0 0L%2$.1F %4$.1F" transform="translate(%5$.1F %6$.1F) rotate(%7$.1F)"/>', $path,
                -14 * $pixel, -7 * $pixel, 7 * $pixel, $endX, $endY, $angle,
            ),
            Shape::Scale, Shape::Length, Shape::Angle, Shape::Diameter => sprintf('<path d="%s"/>', $path),
            Shape::Mark => sprintf('<circle cx="%.1F" cy="%.1F" r="%.1F"/>', $x, $y, 12 * $pixel),
            Shape::Text => '',
        };
        $text = $one->shape === Shape::Mark ? (string) $mark : ($one->shape === Shape::Text ? $one->words : ($one->measured->shown ?? ''));
        $svg = '';
        foreach ([[4.5, self::DARK], [2.0, self::LIGHT]] as [$wide, $colour]) {
            $svg .= sprintf(
                '<g fill="none" stroke="%s" stroke-width="%.1F" stroke-linecap="round">%s</g>', $colour, $wide * $pixel, $shape,
            );
        }
        foreach ($text === '' ? [] : [
            sprintf('stroke="%s" stroke-width="%.1F"', self::DARK, 4 * $pixel), sprintf('fill="%s"', self::LIGHT),
        ] as $how) {
            $svg .= sprintf(
                '<text x="%.1F" y="%.1F" font-size="%.1F" font-family="sans-serif" font-weight="bold" text-anchor="middle" %s>%s</text>',
                $one->shape === Shape::Mark ? $x : ($x + $endX) / 2,
                $one->shape === Shape::Mark ? $y + 5 * $pixel : ($y + $endY) / 2 - 9 * $pixel, 15 * $pixel, $how,
                htmlspecialchars(self::withoutControls($text), \ENT_XML1),
            );
        }

        return $svg;
    }

    /** Characters that no XML document may have, such as a vertical tab, are shown as replaced [pub: XML 1.0, 2.2, from memory]. */
    private static function withoutControls(string $text): string
    {
        $allowed = '\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}';

        return preg_replace('/[^'.$allowed.']/u', "\u{FFFD}", mb_scrub($text)) ?? '';
    }
}
