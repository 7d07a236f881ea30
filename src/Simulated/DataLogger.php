<?php

declare(strict_types=1);

namespace MuteTapper\App\Simulated;

/** Stands in for a data logger: writes a made-up run as CSV, with the events that were asked for. */
final class DataLogger
{
    private const GEARS = [2.9, 2.0, 1.5, 1.2, 1.0];

    /**
     * @param int $rate rows a second
     * @param float $limiter turns a minute at which it cuts
     * @param list<float> $missedShifts seconds at which a missed shift drives the engine past its limiter
     * @param float|null $oilDrops seconds from which the oil pressure falls away
     *
     * @return iterable<string> lines with their ends
     */
    public function run(int $seconds, int $rate, float $limiter, array $missedShifts = [], ?float $oilDrops = null): iterable
    {
        yield "Time (s),Engine speed (rpm),Throttle (%),Boost (kPa),Exhaust back pressure (kPa),Oil pressure (bar),Oil temp (°C)\n";
        $speed = 1200.0;
        $gear = 0;
        $throttle = 0.0;
        for ($i = 0, $rows = $seconds * $rate; $i < $rows; ++$i) {
            $time = $i / $rate;
            $lap = fmod($time, 90);
            $open = $lap > 4 && $lap < 70 && fmod($lap, 18) < 14;
            $throttle += (($open ? 100 : 0) - $throttle) * min(1, 12 / $rate);
            $pull = $open ? 2600 / self::GEARS[$gear] * (1 - ($speed / ($limiter * 1.35)) ** 2) : -1900;
            $speed = max(1100, $speed + $pull / $rate);
            foreach ($missedShifts as $at) {
                if ($time >= $at && $time < $at + 0.35) {
                    $speed = $limiter * (1.02 + 0.09 * sin(\M_PI * ($time - $at) / 0.35));
                }
            }
            $missed = array_filter($missedShifts, static fn (float $at): bool => $time >= $at && $time < $at + 0.35) !== [];
            if ($speed > 0.995 * $limiter && !$missed) {
                $speed = $limiter * 0.985;
                $gear = $gear < 4 && mt_rand(0, 3) === 0 ? $gear + 1 : $gear;
                $speed = $gear > 0 && $speed > $limiter * 0.98 && mt_rand(0, 3) === 0 ? $speed * 0.74 : $speed;
            }
            $gear = !$open && $speed < 3000 ? 0 : $gear;
            $oil = min(5.8, 1.0 + $speed / 1200) - ($oilDrops !== null && $time > $oilDrops ? min(3.4, ($time - $oilDrops) * 0.6) : 0);
            yield sprintf(
                "%.3F,%.0F,%.0F,%.1F,%.1F,%.2F,%.1F\n",
                $time, $speed + mt_rand(-8, 8), $throttle, $throttle / 100 * 12 + mt_rand(-3, 3) / 10,
                4 + ($speed / $limiter) ** 2 * 38 * $throttle / 100 + mt_rand(-5, 5) / 10, max(0.2, $oil) + mt_rand(-4, 4) / 100,
                70 + 45 * (1 - exp(-$time / 240)),
            );
        }
    }
}
