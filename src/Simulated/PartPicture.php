<?php

declare(strict_types=1);

namespace MuteTapper\App\Simulated;

use MuteTapper\Core\Engine\Part;

/** A made-up picture of a part with a sign on it, drawn by the project: the simulated bench camera. */
enum PartPicture: string
{
    case SpringCoils = 'spring_coils';
    case RetainerUnderside = 'retainer_underside';
    case ValveTip = 'valve_tip';
    case SpringBroken = 'spring_broken';
    case ValveFace = 'valve_face';
    case ValveBurnt = 'valve_burnt';
    case SeatRing = 'seat_ring';
    case LifterFace = 'lifter_face';
    case LobeNose = 'lobe_nose';
    case PistonCrown = 'piston_crown';

    private const WIDTH = 1200;
    private const HEIGHT = 800;

    public function label(): string
    {
        return match ($this) {
            self::SpringCoils => 'spring, coils bright on facing sides',
            self::SpringBroken => 'spring, broken',
            self::RetainerUnderside => 'retainer, underside printed',
            self::ValveTip => 'valve, tip peened',
            self::ValveFace => 'valve, face hammered',
            self::ValveBurnt => 'valve, face burnt in a channel',
            self::SeatRing => 'seat, hammered wide',
            self::LifterFace => 'lifter, face dished and pitted',
            self::LobeNose => 'lobe, nose worn',
            self::PistonCrown => 'piston, crescent in the relief',
        };
    }

    public function part(): Part
    {
        return match ($this) {
            self::SpringCoils, self::SpringBroken => Part::Spring,
            self::RetainerUnderside => Part::Retainer,
            self::ValveTip, self::ValveFace, self::ValveBurnt => Part::Valve,
            self::SeatRing => Part::Seat,
            self::LifterFace => Part::Follower,
            self::LobeNose => Part::Lobe,
            self::PistonCrown => Part::PistonRelief,
        };
    }

    /** Code of the sign that it shows. */
    public function sign(): string
    {
        return match ($this) {
            self::SpringCoils => 'coils_bright',
            self::SpringBroken => 'spring_broken',
            self::RetainerUnderside => 'retainer_printed',
            self::ValveTip => 'tip_peened',
            self::ValveFace => 'face_hammered',
            self::ValveBurnt => 'face_burnt',
            self::SeatRing => 'seat_hammered',
            self::LifterFace => 'follower_dished',
            self::LobeNose => 'lobe_worn',
            self::PistonCrown => 'piston_print',
        };
    }

    /**
     * The picture as SVG.
     *
     * @param int $severity 0 to 4: how far the sign has gone
     * @param int $seed another seed, another light and position
     * @param bool $borescope seen through a borescope: a round field, a near light, dark around
     */
    public function svg(int $severity, int $seed, bool $borescope = false): string
    {
        mt_srand($seed);
        $tilt = mt_rand(-40, 40) / 10;
        $body = match ($this) {
            self::SpringCoils => self::springCoils($severity),
            self::RetainerUnderside => self::retainer($severity),
            self::ValveTip => self::valveTip($severity),
            self::SpringBroken => self::springBroken($severity),
            self::ValveFace => self::valveHead($severity, false),
            self::ValveBurnt => self::valveHead($severity, true),
            self::SeatRing => self::seatRing($severity),
            self::LifterFace => self::lifterFace($severity),
            self::LobeNose => self::lobeNose($severity),
            self::PistonCrown => self::pistonCrown($severity),
        };
        $view = $borescope
            ? '<radialGradient id="near" cx=".47" cy=".45" r=".5"><stop offset="0" stop-color="#fff" stop-opacity=".34"/><stop '.
                'offset=".45" stop-color="#fff" stop-opacity="0"/><stop offset=".8" stop-color="#000" stop-opacity=".72"/><stop '.
                'offset="1" stop-color="#000"/></radialGradient><rect width="1200" height="800" fill="url(#near)"/><path d="M0 '.
                '0H1200V800H0ZM600 30a370 370 0 1 0 .1 0Z" fill="#000" fill-rule="evenodd"/>'
            : self::scaleBar();

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="%1$d" height="%2$d" viewBox="0 '.
            '0 %1$d %2$d">'.
            '<defs><linearGradient id="steel" x1="0" x2="1"><stop offset="0" stop-color="#3b3d3e"/><stop offset=".28" '.
            'stop-color="#8f9394"/><stop offset=".42" stop-color="#d5d8d8"/><stop offset=".6" stop-color="#7d8081"/><stop offset="1" '.
            'stop-color="#2d2f30"/></linearGradient>'.
            '<linearGradient id="wire" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#4b4d4e"/><stop offset=".3" '.
            'stop-color="#c4c7c7"/><stop offset=".5" stop-color="#9a9d9e"/><stop offset="1" stop-color="#232425"/></linearGradient>'.
            '<radialGradient id="disc" cx=".42" cy=".38" r=".75"><stop offset="0" stop-color="#b9bcbc"/><stop offset=".6" '.
            'stop-color="#7a7d7e"/><stop offset="1" stop-color="#38393a"/></radialGradient>'.
            '<radialGradient id="shadow"><stop offset=".55" stop-color="#26241f"/><stop offset="1" stop-color="#26241f" '.
            'stop-opacity="0"/></radialGradient>'.
            '<radialGradient id="dish"><stop offset=".6" stop-color="#2f3031"/><stop offset="1" stop-color="#2f3031" stop-opacity="0"/>'.
            '</radialGradient>'.
            '%6$s</defs>'.
            '<rect width="%1$d" height="%2$d" fill="#575349"/><rect width="%1$d" height="%2$d" fill="url(#brushed)"/>'.
            '<g transform="rotate(%3$.1f 600 400)">%4$s</g>%5$s</svg>',
            self::WIDTH, self::HEIGHT, $tilt, $body, $view,
            self::brushed($seed),
        );
    }

    /** The bench under the part: a texture drawn once and laid as tiles, since computing noise took most of a picture's time. */
    private static function brushed(int $seed): string
    {
        return sprintf(
            '<pattern id="brushed" patternUnits="userSpaceOnUse" width="600" height="200" patternTransform="translate(%d %d)">'.
            '<image xlink:href="data:image/png;base64,%s" width="600" height="200"/></pattern>',
            $seed * 37 % 600, $seed * 53 % 200, base64_encode((string) file_get_contents(dirname(__DIR__, 2).'/assets/camera/brushed.png')),
        );
    }

    /** A rule laid beside the part: a quarter inch is 150 pixels. */
    private static function scaleBar(): string
    {
        return '<g stroke="#fff" stroke-width="4" fill="none"><path d="M60 730v30M210 730v30M60 745h150"/></g><text x="135" y="720" '.
            'font-family="sans-serif" font-size="30" fill="#fff" text-anchor="middle">0.250 in</text>';
    }

    private static function springCoils(int $severity): string
    {
        $svg = '<ellipse cx="600" cy="690" rx="360" ry="60" fill="url(#shadow)"/>';
        for ($coil = 0; $coil < 6; ++$coil) {
            $y = 90 + $coil * 104;
            $path = sprintf('M270 %d C 420 %d, 780 %d, 930 %d', $y + 40, $y + 78, $y + 58, $y);
            $svg .= sprintf(
                '<path d="%s" fill="none" stroke="#1c1d1e" stroke-width="88" stroke-linecap="round"/><path d="%s" fill="none" '.
                'stroke="#7f8283" stroke-width="80" stroke-linecap="round"/><path d="%s" fill="none" stroke="#b4b7b7" '.
                'stroke-width="34" stroke-linecap="round" opacity=".75" transform="translate(0 -14)"/>',
                $path, $path, $path,
            );
            if ($severity > 0) {
                $length = [0, 220, 460, 640, 660][$severity];
                $width = [0, 5, 10, 15, 24][$severity];
                foreach ([-36, 38] as $side) {
                    $svg .= sprintf(
                        '<path d="%s" fill="none" stroke="#f6f6ee" stroke-width="%d" stroke-dasharray="%d 900" stroke-dashoffset="-40" '.
                        'opacity=".95" transform="translate(0 %d)"/>',
                        $path, $width, $length, $side,
                    );
                }
            }
        }

        return $svg;
    }

    private static function retainer(int $severity): string
    {
        $svg = '<ellipse cx="640" cy="440" rx="330" ry="310" fill="url(#shadow)"/><circle cx="600" cy="400" r="310" fill="url(#disc)" '.
            'stroke="#2b2c2d" stroke-width="4"/><circle cx="600" cy="400" r="240" fill="none" stroke="#4d4f50" stroke-width="10"/>'.
            '<circle cx="600" cy="400" r="196" fill="#8b8e8f" stroke="#4a4c4d" stroke-width="3"/>';
        if ($severity > 0) {
            $svg .= sprintf(
                '<circle cx="602" cy="398" r="150" fill="none" stroke="#f4f4ec" stroke-width="%d" stroke-dasharray="%d 1000" '.
                'transform="rotate(-70 600 400)" opacity=".95"/>',
                [0, 6, 14, 24, 30][$severity], [0, 380, 720, 940, 945][$severity],
            );
            if ($severity >= 3) {
                $svg .= '<circle cx="602" cy="398" r="166" fill="none" stroke="#3a3b3c" stroke-width="5" opacity=".7"/>';
            }
            if ($severity === 4) {
                $svg .= '<path d="M690 300l46-52 18-40 34-46" fill="none" stroke="#141414" stroke-width="6"/>';
            }
        }

        return $svg.'<circle cx="600" cy="400" r="92" fill="#191a1a" stroke="#c6c9c9" stroke-width="7"/><path d="M535 340a90 90 0 0 1 '.
            '120 -8" stroke="#5e6061" stroke-width="16" fill="none"/>';
    }

    private static function valveTip(int $severity): string
    {
        $spread = [0, 10, 26, 48, 70][$severity];
        $svg = '<ellipse cx="640" cy="760" rx="240" ry="60" fill="url(#shadow)"/>';
        $svg .= sprintf(
            '<path d="M480 800V300h240v500z" fill="url(#steel)"/><path d="M480 470h240v14H480zM480 540h240v14H480z" fill="#2a2b2c"/>'.
            '<path d="M480 300 Q480 252 %d 232 Q600 %d %d 232 Q720 252 720 300z" fill="url(#steel)" stroke="#2b2c2d" stroke-width="3"/>',
            480 - $spread, 190 - intdiv($spread, 2), 720 + $spread,
        );
        if ($severity > 0) {
            $svg .= sprintf(
                '<path d="M%d 236 Q600 %d %d 236" fill="none" stroke="#f4f4ec" stroke-width="%d" opacity=".9"/>', 486 - $spread,
                196 - intdiv($spread, 2), 714 + $spread, 4 + 3 * $severity,
            );
            for ($i = 0; $i < 6 * $severity; ++$i) {
                $x = 490 + mt_rand(0, 220);
                $svg .= sprintf(
                    '<path d="M%d %d l%d %d" stroke="#222" stroke-width="%d" opacity=".6"/>', $x, 222 + mt_rand(0, 20), mt_rand(-12, 12),
                    mt_rand(6, 22), mt_rand(2, 4),
                );
            }
        }

        return $svg;
    }

    private static function springBroken(int $severity): string
    {
        $svg = '<ellipse cx="600" cy="690" rx="360" ry="60" fill="url(#shadow)"/>';
        for ($coil = 0; $coil < 6; ++$coil) {
            $y = 90 + $coil * 104;
            $broken = $coil === 3 && $severity > 0;
            $path = sprintf('M270 %d C 420 %d, 780 %d, 930 %d', $y + 40, $y + 78, $y + 58, $y);
            $gap = [0, 8, 26, 60, 130][$severity];
            $halves = $broken
                ? [
                    sprintf('M270 %d C 380 %d, 460 %d, %d %d', $y + 40, $y + 66, $y + 70, 580 - $gap, $y + 66),
                    sprintf('M%d %d C 760 %d, 860 %d, 930 %d', 640 + $gap, $y + 52 + $gap / 4, $y + 44, $y + 24, $y),
                ]
                : [$path];
            foreach ($halves as $half) {
                $cap = $broken ? 'butt' : 'round';
                $svg .= sprintf(
                    '<path d="%1$s" fill="none" stroke="#1c1d1e" stroke-width="88" stroke-linecap="%2$s"/><path d="%1$s" fill="none" '.
                    'stroke="#7f8283" stroke-width="80" stroke-linecap="%2$s"/><path d="%1$s" fill="none" stroke="#b4b7b7" '.
                    'stroke-width="34" stroke-linecap="%2$s" opacity=".75" transform="translate(0 -14)"/>',
                    $half, $cap,
                );
            }
            if ($broken) {
                $x = 640 + $gap;
                $svg .= sprintf(
                    '<ellipse cx="%d" cy="%d" rx="20" ry="41" fill="#9fa1a0" stroke="#2a2b2c" stroke-width="4" '.
                    'transform="rotate(38 %d %d)"/>',
                    $x, $y + 54 + $gap / 4, $x, $y + 54,
                );
                foreach ([10, 17, 25] as $r) {
                    $svg .= sprintf(
                        '<path d="M%d %d a%d %d 0 0 1 %d %d" fill="none" stroke="#4c4d4d" stroke-width="2.5"/>', $x - $r, $y + 78, $r, $r,
                        $r, -$r,
                    );
                }
                $svg .= sprintf('<circle cx="%d" cy="%d" r="5" fill="#1b1b1b"/>', $x - 8, $y + 82);
            }
        }

        return $svg;
    }

    private static function valveHead(int $severity, bool $burnt): string
    {
        $svg = '<ellipse cx="640" cy="450" rx="330" ry="320" fill="url(#shadow)"/><circle cx="600" cy="400" r="330" fill="#5c5f60" '.
            'stroke="#232425" stroke-width="5"/><circle cx="600" cy="400" r="318" fill="none" stroke="#8d9091" stroke-width="12"/>';
        $band = 22 + ($burnt ? 0 : [0, 8, 20, 36, 54][$severity]);
        $svg .= sprintf(
            '<circle cx="600" cy="400" r="282" fill="none" stroke="%s" stroke-width="%d"/><circle cx="600" cy="400" r="252" '.
            'fill="#6d6152"/><circle cx="600" cy="400" r="246" fill="url(#disc)" opacity=".55"/><circle cx="600" cy="400" r="120" '.
            'fill="#4a4540"/><circle cx="590" cy="392" r="92" fill="url(#disc)"/><circle cx="590" cy="392" r="46" fill="#2b2a28"/>',
            $burnt ? '#a5a8a8' : '#d9dbd8', $band,
        );
        if (!$burnt) {
            for ($i = 0; $i < 26 * $severity; ++$i) {
                $angle = mt_rand(0, 3600) / 10 * \M_PI / 180;
                $r = 282 + mt_rand(-10 - 4 * $severity, 10 + 4 * $severity);
                $svg .= sprintf(
                    '<ellipse cx="%.1F" cy="%.1F" rx="%d" ry="%d" fill="#f7f7f0" opacity=".75" transform="rotate(%.0F %.1F %.1F)"/>',
                    600 + $r * cos($angle), 400 + $r * sin($angle), mt_rand(3, 8 + 2 * $severity), mt_rand(2, 5), rad2deg($angle) + 90,
                    600 + $r * cos($angle), 400 + $r * sin($angle),
                );
            }
            if ($severity >= 3) {
                $svg .= '<circle cx="600" cy="400" r="268" fill="none" stroke="#2c2d2d" stroke-width="4" opacity=".8"/>';
            }
        } elseif ($severity > 0) {
            $half = [0, 5, 10, 18, 30][$severity];
            $svg .= sprintf(
                '<path d="M%d 60 Q%d 140 %d 190 L%d 190 Q%d 140 %d 60Z" fill="#0f0e0d"/><path d="M%d 66 Q%d 140 %d 200" fill="none" '.
                'stroke="#b98a4e" stroke-width="%d" opacity=".8"/>',
                640 - $half, 626 - $half, 616 - intdiv($half, 2), 624 + intdiv($half, 2), 650 + $half, 668 + $half, 668 + $half + 6,
                656 + $half, 634 + $half, 2 + 2 * $severity,
            );
        }

        return $svg;
    }

    private static function seatRing(int $severity): string
    {
        $width = [16, 24, 40, 62, 86][$severity];
        $svg = '<rect x="80" y="40" width="1040" height="660" rx="40" fill="#6a6c6b"/><circle cx="600" cy="390" r="300" '.
            'fill="#303130"/><circle cx="600" cy="390" r="296" fill="#7b7d7b" stroke="#3a3b3b" stroke-width="4"/><circle cx="600" '.
            'cy="390" r="190" fill="#161514"/><circle cx="560" cy="350" r="66" fill="#3e3a34"/><circle cx="560" cy="350" r="30" '.
            'fill="#8d9090"/>';
        $svg .= sprintf(
            '<circle cx="600" cy="390" r="238" fill="none" stroke="%s" stroke-width="%d"/>', $severity === 0 ? '#a9abaa' : '#e8eae6',
            $width,
        );
        for ($i = 0; $i < 20 * $severity; ++$i) {
            $angle = mt_rand(0, 3600) / 10 * \M_PI / 180;
            $r = 238 + mt_rand(-intdiv($width, 2), intdiv($width, 2));
            $svg .= sprintf(
                '<circle cx="%.1F" cy="%.1F" r="%d" fill="#8b8d8a" opacity=".6"/>', 600 + $r * cos($angle), 390 + $r * sin($angle),
                mt_rand(2, 5),
            );
        }
        if ($severity >= 3) {
            $svg .= sprintf(
                '<circle cx="600" cy="390" r="%d" fill="none" stroke="#1e1f1f" stroke-width="6" opacity=".8"/>', 240 + intdiv($width, 2),
            );
        }

        return $svg;
    }

    private static function lifterFace(int $severity): string
    {
        $svg = '<ellipse cx="640" cy="450" rx="300" ry="290" fill="url(#shadow)"/><circle cx="600" cy="400" r="300" fill="#4c4e4f"/>'.
            '<circle cx="600" cy="400" r="290" fill="url(#disc)"/>';
        foreach ([250, 205, 160, 115, 70] as $r) {
            $svg .= sprintf('<circle cx="600" cy="400" r="%d" fill="none" stroke="#d7d9d9" stroke-width="1.5" opacity=".35"/>', $r);
        }
        if ($severity > 0) {
            $svg .= sprintf(
                '<ellipse cx="606" cy="396" rx="%d" ry="%d" fill="url(#dish)" opacity="%.2F"/>', 60 + 50 * $severity, 56 + 44 * $severity,
                0.18 + 0.13 * $severity,
            );
            for ($i = 0; $i < 14 * $severity ** 2; ++$i) {
                $angle = mt_rand(0, 3600) / 10 * \M_PI / 180;
                $r = mt_rand(0, 60 + 48 * $severity);
                $svg .= sprintf(
                    '<ellipse cx="%.1F" cy="%.1F" rx="%d" ry="%d" fill="#141414"/><ellipse cx="%.1F" cy="%.1F" rx="2" ry="1.5" '.
                    'fill="#e9e9e4"/>',
                    606 + $r * cos($angle), 396 + $r * sin($angle), mt_rand(2, 5 + 2 * $severity), mt_rand(2, 4 + $severity),
                    602 + $r * cos($angle), 393 + $r * sin($angle),
                );
            }
        }

        return $svg;
    }

    private static function lobeNose(int $severity): string
    {
        $svg = '<ellipse cx="620" cy="720" rx="420" ry="50" fill="url(#shadow)"/><rect x="60" y="330" width="1080" height="220" '.
            'fill="url(#wire)"/>';
        $flat = [0, 6, 20, 44, 74][$severity];
        $svg .= sprintf(
            '<path d="M380 250 Q400 %1$d 600 %1$d Q800 %1$d 820 250 V620 H380Z" fill="url(#steel)" stroke="#232425" stroke-width="4"/>',
            120 + $flat,
        );
        $svg .= sprintf(
            '<path d="M396 262 Q410 %1$d 600 %1$d Q790 %1$d 804 262 L804 330 H396Z" fill="%2$s" opacity=".85"/>', 132 + $flat,
            $severity === 0 ? '#c6c9c8' : '#e6e7e2',
        );
        for ($i = 0; $i < 22 * $severity; ++$i) {
            $x = 400 + mt_rand(0, 396);
            $svg .= sprintf(
                '<path d="M%d %d v%d" stroke="%s" stroke-width="%d" opacity=".75"/>', $x, 150 + $flat + mt_rand(0, 20),
                mt_rand(40, 90 + 40 * $severity), mt_rand(0, 1) === 0 ? '#2b2c2c' : '#fbfbf5', mt_rand(1, 1 + $severity),
            );
        }
        for ($i = 0; $i < ($severity >= 3 ? 60 : 0); ++$i) {
            $svg .= sprintf(
                '<ellipse cx="%d" cy="%d" rx="%d" ry="%d" fill="#161616"/>', 410 + mt_rand(0, 380), 180 + $flat + mt_rand(0, 120),
                mt_rand(3, 9), mt_rand(2, 7),
            );
        }

        return $svg;
    }

    private static function pistonCrown(int $severity): string
    {
        $svg = '<circle cx="600" cy="400" r="372" fill="#2a2b2b"/><circle cx="600" cy="400" r="362" fill="#77736a"/><circle cx="600" '.
            'cy="400" r="362" fill="url(#disc)" opacity=".4"/>';
        foreach ([[430, 300, 132], [770, 300, 150]] as [$x, $y, $r]) {
            $svg .= sprintf(
                '<circle cx="%1$d" cy="%2$d" r="%3$d" fill="#5b574f"/><path d="M%4$d %2$d a%3$d %3$d 0 0 1 %5$d 0" fill="none" '.
                'stroke="#32302b" stroke-width="9"/>',
                $x, $y, $r, $x - $r, 2 * $r,
            );
        }
        if ($severity > 0) {
            $svg .= sprintf(
                '<path d="M662 366 A132 132 0 0 0 %d %d" fill="none" stroke="#f3f1e6" stroke-width="%d" stroke-linecap="round"/>',
                [0, 730, 790, 850, 878][$severity], [0, 420, 424, 398, 350][$severity], [0, 5, 9, 16, 28][$severity],
            );
            if ($severity >= 3) {
                $svg .= '<path d="M668 374 A128 128 0 0 0 850 404" fill="none" stroke="#23211d" stroke-width="7" opacity=".9"/>';
            }
            if ($severity === 4) {
                $svg .= '<path d="M716 388 l34 26 40-10 22 30-54 22-46-24z" fill="#0d0c0b" stroke="#b7b3a6" stroke-width="5"/>';
            }
        }

        return '<g transform="rotate(76 600 400)">'.$svg.'</g>';
    }
}
