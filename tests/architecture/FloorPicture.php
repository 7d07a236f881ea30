<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Architecture;

/** The floor plan as a picture: two houses, the application beside the core it looks into. */
final class FloorPicture
{
    private const HOUSES = [FloorPlan::CORE => ['core/', 16], FloorPlan::APP => ['src/', 416]];
    private const WIDTH = 384;
    private const ROW = 20;

    public static function svg(): string
    {
        $heights = array_map(static fn (array $floors): int => (int) array_sum(array_map(self::height(...), $floors)), FloorPlan::FLOORS);
        $ground = max($heights) + 44;
        $svg = [
            sprintf('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 816 %d" font-family="sans-serif" font-size="13">', $ground + 34),
        ];
        $svg[] = sprintf('<rect width="816" height="%d" fill="#fff"/>', $ground + 34);
        foreach (FloorPlan::FLOORS as $house => $floors) {
            [$name, $x] = self::HOUSES[$house];
            $y = $ground;
            foreach ($floors as $number => $rooms) {
                $y -= self::height($rooms);
                $svg[] = sprintf(
                    '<rect x="%d" y="%d" width="%d" height="%d" fill="%s" stroke="#222"/>', $x, $y, self::WIDTH, self::height($rooms),
                    $number % 2 === 0 ? '#f2f2ee' : '#e3e8e4',
                );
                $svg[] = sprintf('<text x="%d" y="%d" fill="#666">%d</text>', $x + 8, $y + 19, $number + 1);
                foreach (self::lines($rooms) as $line => $text) {
                    $svg[] = sprintf('<text x="%d" y="%d">%s</text>', $x + 32, $y + 19 + self::ROW * $line, $text);
                }
            }
            $svg[] = sprintf('<text x="%d" y="%d" font-weight="bold">%s</text>', $x, $y - 8, $name);
        }
        $svg[] = sprintf(
            '<text x="16" y="%d" fill="#666">A room uses the floors below it; every room of src/ may use core/, none of core/ uses '.
            'src/.</text>',
            $ground + 22,
        );

        return implode("\n", $svg)."\n</svg>\n";
    }

    /** @param list<string> $rooms */
    private static function height(array $rooms): int
    {
        return 10 + self::ROW * count(self::lines($rooms));
    }

    /**
     * @param list<string> $rooms
     *
     * @return list<string>
     */
    private static function lines(array $rooms): array
    {
        return explode("\n", wordwrap(implode(' · ', $rooms), 54));
    }
}
