<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Entry\MeasuredLift;
use MuteTapper\Core\Quantity\Uncertain;

/** The lift of a lobe as it was measured, degree by degree: what the gauge's noise made of it is smoothed away. */
final readonly class LiftTable
{
    /** Fewer points make no curve. [own] */
    public const LEAST = 24;
    /** Degrees of base circle that are laid on either side. */
    private const BASE = 12;
    /** Cam degrees either way over which the bend is told. [own] */
    private const BEND_ABOUT = 4;
    /** Cam degrees of the ramp from which its rate is told, and the longest that one runs on beyond a table. [own] */
    private const ON_RAMP = 8.0;
    private const LONGEST_RAMP = 45.0;
    /** Wider gaps of the table leave the curve between them open, in cam degrees. [own] */
    private const WIDEST_GAP = 6.0;
    /** Less noise than that is not believed, in metres. */
    private const LEAST_NOISE = 2e-7;
    /** The table begins and ends on the ramp or the base circle: below this share of its lift. [own] */
    private const ENDS_BELOW = 0.06;

    /** @throws Contradiction saying what is wrong with the table */
    public static function of(MeasuredLift $lift): LobeCurve
    {
        $base = static fn (Uncertain $one): float => $one->base;

        return self::curve(array_map($base, $lift->degrees()), array_map($base, $lift->lifts()));
    }

    /**
     * The points as they were measured, counted from the nose.
     *
     * @return list<array{float, float}> cam degrees and metres
     *
     * @throws Contradiction
     */
    public static function points(MeasuredLift $lift): array
    {
        $base = static fn (Uncertain $one): float => $one->base;
        [$degrees, $lifts] = [array_map($base, $lift->degrees()), array_map($base, $lift->lifts())];
        $nose = self::nose($degrees, $lifts);

        return array_map(static fn (float $degree, float $one): array => [$degree - $nose, $one], $degrees, $lifts);
    }

    /**
     * @param list<float> $degrees of the cam, rising, from anywhere
     * @param list<float> $lifts in metres, at the lobe
     * @param float|null $noise standard deviation of a lift; null where it is to be told from the table itself
     *
     * @throws Contradiction saying what is wrong with the table
     */
    public static function curve(array $degrees, array $lifts, ?float $noise = null): LobeCurve
    {
        if ($degrees === [] || $lifts === []) {
            throw Contradiction::because('The table is empty.');
        }
        self::check($degrees, $lifts);
        $nose = self::nose($degrees, $lifts);
        $noise = max(self::LEAST_NOISE, $noise ?? self::noise($lifts));
        [$before, $after] = [
            self::runOut($degrees, $lifts, $noise),
            self::runOut(array_map(static fn (float $degree): float => -$degree, array_reverse($degrees)), array_reverse($lifts), $noise),
        ];
        $first = (int) round($degrees[0] - $nose) - $before - self::BASE;
        $last = (int) round($degrees[count($degrees) - 1] - $nose) + $after + self::BASE;
        $y = $weights = [];
        for ($degree = $first; $degree <= $last; ++$degree) {
            $isBase = $degree + $nose < $degrees[0] - 0.5 - $before || $degree + $nose > $degrees[count($degrees) - 1] + 0.5 + $after;
            $y[] = 0.0;
            $weights[] = $isBase ? 1.0 : 0.0;
        }
        foreach ($degrees as $i => $degree) {
            $node = (int) round($degree - $nose) - $first;
            // Off its node by part of a degree: moved there along the table's own slope.
            $y[$node] = $lifts[$i] + self::slope($degrees, $lifts, $i) * (round($degree - $nose) - ($degree - $nose));
            $weights[$node] = 1.0;
        }
        $z = Whittaker::toNoise(array_values($y), array_values($weights), $noise);

        return self::differentiated($first, $z);
    }

    /**
     * Standard deviation of the noise, from the third differences of a table of even steps: the lift itself has next to none.
     *
     * @param list<float> $lifts
     */
    public static function noise(array $lifts): float
    {
        $differences = [];
        for ($i = 3, $n = count($lifts); $i < $n; ++$i) {
            $differences[] = abs($lifts[$i] - 3 * $lifts[$i - 1] + 3 * $lifts[$i - 2] - $lifts[$i - 3]);
        }
        sort($differences);

        return $differences === [] ? 0.0 : $differences[intdiv(count($differences), 2)] / 0.6745 / sqrt(20);
    }

    /**
     * @param non-empty-list<float> $degrees
     * @param non-empty-list<float> $lifts
     *
     * @throws Contradiction
     */
    private static function check(array $degrees, array $lifts): void
    {
        $count = count($degrees);
        if ($count !== count($lifts)) {
            throw Contradiction::because('The table has not as many lifts as degrees.');
        }
        if ($count < self::LEAST) {
            throw Contradiction::because(sprintf('A table of lifts has at least %d points; this one has %d.', self::LEAST, $count));
        }
        for ($i = 1; $i < $count; ++$i) {
            if ($degrees[$i] <= $degrees[$i - 1]) {
                throw Contradiction::because(sprintf('The degrees of the table do not rise at %s°.', $degrees[$i]));
            }
            if ($degrees[$i] - $degrees[$i - 1] > self::WIDEST_GAP) {
                throw Contradiction::because(
                    sprintf('The table leaves out more than %d° of the cam after %s°.', (int) self::WIDEST_GAP, $degrees[$i - 1]),
                );
            }
        }
        $peak = max($lifts);
        if ($peak <= 0.0) {
            throw Contradiction::because('The table has no lift.');
        }
        if (max($lifts[0], $lifts[$count - 1]) > self::ENDS_BELOW * $peak) {
            throw Contradiction::because('The table begins or ends above the ramp: it must reach the base circle on both sides.');
        }
    }

    /**
     * Cam degrees from the beginning of a table to the base circle: a table that begins on the ramp leaves them out, and a base circle
     * laid right beside it would be a step that no lobe has.
     *
     * @param non-empty-list<float> $degrees
     * @param non-empty-list<float> $lifts
     */
    private static function runOut(array $degrees, array $lifts, float $noise): int
    {
        $in = 0;
        while (isset($degrees[$in + 1]) && $degrees[$in] - $degrees[0] < self::ON_RAMP) {
            ++$in;
        }
        $rate = ($lifts[$in] - $lifts[0]) / ($degrees[$in] - $degrees[0]);

        return $lifts[0] < 3 * $noise || $rate <= 0.0 ? 0 : (int) min(self::LONGEST_RAMP, ceil($lifts[0] / $rate) + 2);
    }

    /**
     * Middle between the two places at which the lift passes nine tenths of its greatest: the nose itself is too flat to be told.
     *
     * @param non-empty-list<float> $degrees
     * @param non-empty-list<float> $lifts
     */
    private static function nose(array $degrees, array $lifts): float
    {
        $level = 0.9 * max($lifts);
        $up = $down = null;
        for ($i = 1, $n = count($lifts); $i < $n; ++$i) {
            $at = static fn (): float => $degrees[$i - 1] + ($level - $lifts[$i - 1]) / ($lifts[$i] - $lifts[$i - 1])
                * ($degrees[$i] - $degrees[$i - 1]);
            if ($up === null && $lifts[$i - 1] < $level && $lifts[$i] >= $level) {
                $up = $at();
            }
            if ($lifts[$i - 1] >= $level && $lifts[$i] < $level) {
                $down = $at();
            }
        }

        return $up === null || $down === null
            ? throw Contradiction::because('The table does not go up and down again: the nose is not in it.') : round(($up + $down) / 2);
    }

    /**
     * @param non-empty-list<float> $degrees
     * @param non-empty-list<float> $lifts
     */
    private static function slope(array $degrees, array $lifts, int $at): float
    {
        $before = max(0, $at - 1);
        $after = min(count($degrees) - 1, $at + 1);

        return ($lifts[$after] - $lifts[$before]) / ($degrees[$after] - $degrees[$before]);
    }

    /** @param non-empty-list<float> $z by degree */
    private static function differentiated(int $first, array $z): LobeCurve
    {
        $of = static fn (int $i): float => $z[$i] ?? 0.0;
        $nodes = [];
        foreach ($z as $i => $here) {
            [$a, $b, $c, $d] = [$of($i - 2), $of($i - 1), $of($i + 1), $of($i + 2)];
            $nodes[] = [$here, ($a - 8 * $b + 8 * $c - $d) / 12, (-$a + 16 * $b - 30 * $here + 16 * $c - $d) / 12];
        }

        return LobeCurve::at($first, $nodes, self::BEND_ABOUT);
    }
}
