<?php

declare(strict_types=1);

namespace MuteTapper\App\Schedule;

/** Numbers that a stand-in draws: the same for one seed and name, so that a test can expect them. */
final class SimulatedDraw
{
    /** @return \Closure(string): float from 0, included, to 1, excluded */
    public static function of(string $seed): \Closure
    {
        return static fn (string $name): float => hexdec(substr(hash('sha256', $seed.'/'.$name), 0, 6)) / 0x1000000;
    }
}
