<?php

declare(strict_types=1);

namespace MuteTapper\Demo;

/** A made-up picture of a part with a sign on it, drawn by the project: the simulated bench camera. */
enum PartPicture: string
{
    case SpringCoils = 'spring_coils';
    case RetainerUnderside = 'retainer_underside';
    case ValveTip = 'valve_tip';

    private const WIDTH = 1200;
    private const HEIGHT = 800;

    /**
     * The picture as SVG.
     *
     * @param int $severity 0 to 4: how far the sign has gone
     * @param int $seed another seed, another light and position
     */
    public function svg(int $severity, int $seed): string
    {
        mt_srand($seed);
        $tilt = mt_rand(-40, 40) / 10;
        $body = match ($this) {
            self::SpringCoils => self::springCoils($severity),
            self::RetainerUnderside => self::retainer($severity),
            self::ValveTip => self::valveTip($severity),
        };

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%1$d" height="%2$d" viewBox="0 0 %1$d %2$d">'.
            '<defs><linearGradient id="steel" x1="0" x2="1"><stop offset="0" stop-color="#3b3d3e"/><stop offset=".28" stop-color="#8f9394"/><stop offset=".42" stop-color="#d5d8d8"/><stop offset=".6" stop-color="#7d8081"/><stop offset="1" stop-color="#2d2f30"/></linearGradient>'.
            '<linearGradient id="wire" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#4b4d4e"/><stop offset=".3" stop-color="#c4c7c7"/><stop offset=".5" stop-color="#9a9d9e"/><stop offset="1" stop-color="#232425"/></linearGradient>'.
            '<radialGradient id="disc" cx=".42" cy=".38" r=".75"><stop offset="0" stop-color="#b9bcbc"/><stop offset=".6" stop-color="#7a7d7e"/><stop offset="1" stop-color="#38393a"/></radialGradient>'.
            '<filter id="grain" x="0" y="0" width="100%%" height="100%%"><feTurbulence type="fractalNoise" baseFrequency=".8" numOctaves="2" seed="%3$d"/><feColorMatrix values="0 0 0 0 .5  0 0 0 0 .48  0 0 0 0 .44  0 0 0 .16 0"/></filter>'.
            '<filter id="soft"><feGaussianBlur stdDeviation="5"/></filter><filter id="brushed" x="0" y="0" width="100%%" height="100%%"><feTurbulence type="fractalNoise" baseFrequency=".004 .5" numOctaves="3" seed="%3$d"/><feColorMatrix values="0 0 0 0 .1  0 0 0 0 .1  0 0 0 0 .1  0 0 0 .5 -.1"/></filter></defs>'.
            '<rect width="%1$d" height="%2$d" fill="#575349"/><rect width="%1$d" height="%2$d" filter="url(#brushed)" opacity=".5"/><g transform="rotate(%4$.1f 600 400)">%5$s</g><rect width="%1$d" height="%2$d" filter="url(#grain)"/>%6$s</svg>',
            self::WIDTH, self::HEIGHT, $seed, $tilt, $body, self::scaleBar(),
        );
    }

    /** A rule laid beside the part: a quarter inch is 150 pixels. */
    private static function scaleBar(): string
    {
        return '<g stroke="#fff" stroke-width="4" fill="none"><path d="M60 730v30M210 730v30M60 745h150"/></g><text x="135" y="720" font-family="sans-serif" font-size="30" fill="#fff" text-anchor="middle">0.250 in</text>';
    }

    private static function springCoils(int $severity): string
    {
        $svg = '<ellipse cx="600" cy="690" rx="360" ry="60" fill="#26241f" filter="url(#soft)"/>';
        for ($coil = 0; $coil < 6; ++$coil) {
            $y = 90 + $coil * 104;
            $path = sprintf('M270 %d C 420 %d, 780 %d, 930 %d', $y + 40, $y + 78, $y + 58, $y);
            $svg .= sprintf('<path d="%s" fill="none" stroke="#1c1d1e" stroke-width="88" stroke-linecap="round"/><path d="%s" fill="none" stroke="#7f8283" stroke-width="80" stroke-linecap="round"/><path d="%s" fill="none" stroke="#b4b7b7" stroke-width="34" stroke-linecap="round" opacity=".75" transform="translate(0 -14)"/>', $path, $path, $path);
            if ($severity > 0) {
                $length = [0, 220, 460, 640, 660][$severity];
                $width = [0, 5, 10, 15, 24][$severity];
                foreach ([-36, 38] as $side) {
                    $svg .= sprintf('<path d="%s" fill="none" stroke="#f6f6ee" stroke-width="%d" stroke-dasharray="%d 900" stroke-dashoffset="-40" opacity=".95" transform="translate(0 %d)"/>', $path, $width, $length, $side);
                }
            }
        }

        return $svg;
    }

    private static function retainer(int $severity): string
    {
        $svg = '<ellipse cx="640" cy="440" rx="330" ry="310" fill="#26241f" filter="url(#soft)"/><circle cx="600" cy="400" r="310" fill="url(#disc)" stroke="#2b2c2d" stroke-width="4"/><circle cx="600" cy="400" r="240" fill="none" stroke="#4d4f50" stroke-width="10"/><circle cx="600" cy="400" r="196" fill="#8b8e8f" stroke="#4a4c4d" stroke-width="3"/>';
        if ($severity > 0) {
            $svg .= sprintf('<circle cx="602" cy="398" r="150" fill="none" stroke="#f4f4ec" stroke-width="%d" stroke-dasharray="%d 1000" transform="rotate(-70 600 400)" opacity=".95"/>', [0, 6, 14, 24, 30][$severity], [0, 380, 720, 940, 945][$severity]);
            if ($severity >= 3) {
                $svg .= '<circle cx="602" cy="398" r="166" fill="none" stroke="#3a3b3c" stroke-width="5" opacity=".7"/>';
            }
            if ($severity === 4) {
                $svg .= '<path d="M690 300l46-52 18-40 34-46" fill="none" stroke="#141414" stroke-width="6"/>';
            }
        }

        return $svg.'<circle cx="600" cy="400" r="92" fill="#191a1a" stroke="#c6c9c9" stroke-width="7"/><path d="M535 340a90 90 0 0 1 120 -8" stroke="#5e6061" stroke-width="16" fill="none"/>';
    }

    private static function valveTip(int $severity): string
    {
        $spread = [0, 10, 26, 48, 70][$severity];
        $svg = '<ellipse cx="640" cy="760" rx="240" ry="60" fill="#26241f" filter="url(#soft)"/>';
        $svg .= sprintf('<path d="M480 800V300h240v500z" fill="url(#steel)"/><path d="M480 470h240v14H480zM480 540h240v14H480z" fill="#2a2b2c"/><path d="M480 300 Q480 252 %d 232 Q600 %d %d 232 Q720 252 720 300z" fill="url(#steel)" stroke="#2b2c2d" stroke-width="3"/>', 480 - $spread, 190 - intdiv($spread, 2), 720 + $spread);
        if ($severity > 0) {
            $svg .= sprintf('<path d="M%d 236 Q600 %d %d 236" fill="none" stroke="#f4f4ec" stroke-width="%d" opacity=".9"/>', 486 - $spread, 196 - intdiv($spread, 2), 714 + $spread, 4 + 3 * $severity);
            for ($i = 0; $i < 6 * $severity; ++$i) {
                $x = 490 + mt_rand(0, 220);
                $svg .= sprintf('<path d="M%d %d l%d %d" stroke="#222" stroke-width="%d" opacity=".6"/>', $x, 222 + mt_rand(0, 20), mt_rand(-12, 12), mt_rand(6, 22), mt_rand(2, 4));
            }
        }

        return $svg;
    }
}
