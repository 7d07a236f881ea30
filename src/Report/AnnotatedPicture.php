<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use Symfony\Component\Process\Process;

/** A photograph with what was drawn on it, in one picture for the printed page. */
final class AnnotatedPicture
{
    private const WIDTH = 900;

    /**
     * @param string $jpeg the picture at the size of the page
     * @param int $width of the original, in whose pixels the drawings are
     * @param string $drawn an SVG document of that size
     *
     * @return string PNG
     */
    public static function of(string $jpeg, int $width, int $height, string $drawn): string
    {
        $svg = sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="%d" height="%d" '.
            'viewBox="0 0 %d %d"><image xlink:href="data:image/jpeg;base64,%s" width="%3$d" height="%4$d"/>%s</svg>',
            self::WIDTH, (int) round(self::WIDTH * $height / $width), $width, $height, base64_encode($jpeg),
            self::withoutControls($drawn),
        );
        $process = new Process(['rsvg-convert', '--format', 'png', '--unlimited']);
        $process->setInput($svg);

        return $process->mustRun()->getOutput();
    }

    /** Characters that no XML document may have, such as a vertical tab, are shown as replaced [pub: XML 1.0, 2.2, from memory]. */
    private static function withoutControls(string $text): string
    {
        $allowed = '\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}';

        return preg_replace('/[^'.$allowed.']/u', "\u{FFFD}", mb_scrub($text)) ?? '';
    }
}
