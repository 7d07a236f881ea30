<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Core\Motion\CamCard;
use MuteTapper\Core\Motion\LobeCurve;
use MuteTapper\Core\Motion\SpringLine;
use MuteTapper\Core\Motion\ValveTrain;

/** Made-up trains with pushrods and with buckets, soft springs to strong ones; inches and pounds. */
final class Lobes
{
    public const INCH = 0.0254;
    public const POUND_FORCE = 4.4482216152605;

    /** @return array<string, ValveTrain> by drive, seat load and rate */
    public static function trains(): array
    {
        $trains = [];
        foreach ([[135, 350], [190, 425], [250, 500]] as [$load, $rate]) {
            $trains[sprintf('pushrod %d/%d', $load, $rate)] = self::pushrod($load, $rate);
        }
        foreach ([[55, 200], [90, 265], [125, 330]] as [$load, $rate]) {
            $trains[sprintf('bucket %d/%d', $load, $rate)] = self::bucket($load, $rate);
        }

        return $trains;
    }

    public static function pushrod(float $load, float $rate): ValveTrain
    {
        return ValveTrain::of(
            self::lobe(0.400, 0.012, 0.00045), 0.28, 1.5, 0.016 * self::INCH, 2e6,
            SpringLine::straight($load * self::POUND_FORCE, $rate * self::POUND_FORCE / self::INCH), 0.12,
        );
    }

    public static function bucket(float $load, float $rate): ValveTrain
    {
        return ValveTrain::of(
            self::lobe(0.440, 0.010, 0.00040), 0.115, 1.0, 0.008 * self::INCH, 7e6,
            SpringLine::straight($load * self::POUND_FORCE, $rate * self::POUND_FORCE / self::INCH), 0.045,
        );
    }

    public static function lobe(float $lift, float $rampHeight, float $rampRate): LobeCurve
    {
        return CamCard::of(
            $lift * self::INCH, 0.050 * self::INCH, 255 / 4, 0.020 * self::INCH, 290 / 4, $rampHeight * self::INCH, $rampRate * self::INCH,
        )->curve();
    }
}
