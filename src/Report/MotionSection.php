<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\Motion\LoggedBinView;
use MuteTapper\App\Motion\MotionLog;
use MuteTapper\App\Motion\MotionPresenter;
use MuteTapper\App\Motion\MotionView;
use MuteTapper\App\Motion\PistonPresenter;
use MuteTapper\App\Motion\PistonView;
use MuteTapper\App\Motion\ThresholdView;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Verdict\Margin;

/** What a valve did at speed, as it is printed: that which was reported failed, else the one that floats first. */
final readonly class MotionSection
{
    private const FLOAT = 'float_margin';

    /** @param list<LoggedBinView> $logged what the log asked of it */
    private function __construct(public MotionView $motion, public ?PistonView $piston, private array $logged)
    {
    }

    /**
     * Null where nothing is known of a train that could move.
     *
     * @param list<string> $failed
     */
    public static function of(Assessment $assessment, array $failed, MotionLog $logs): ?self
    {
        $station = self::station($assessment, $failed);
        if ($station === null) {
            return null;
        }
        $motion = (new MotionPresenter($assessment->bench, null))->motion($station->code(), []);
        if ($motion->sweep === null) {
            return null;
        }
        $piston = (new PistonPresenter($assessment->bench, $assessment->knowledge->limits, $station, 0.0, 0.0, null))->view();

        return new self(
            $motion, array_filter($piston->valves, static fn ($valve): bool => $valve->found !== []) === [] ? null : $piston,
            $logs->of($assessment->bench, $station)->bins,
        );
    }

    /** @return array<string, Drawing> */
    public function drawings(): array
    {
        return ['speeds' => Drawing::speeds($this->motion, $this->logged)]
            + ($this->piston === null ? [] : ['piston' => Drawing::piston($this->piston, $this->motion->label)]);
    }

    /** @return list<array{label: string, speed: string}> at which something begins */
    public function speeds(): array
    {
        $found = array_filter($this->motion->thresholds, static fn (ThresholdView $one): bool => $one->found !== null);

        return array_values(array_map(static fn (ThresholdView $one): array => [
            'label' => $one->label,
            'speed' => number_format((float) $one->found).($one->plusMinus === null ? '' : ' ± '.number_format($one->plusMinus)),
        ], $found));
    }

    /** @param list<string> $failed */
    private static function station(Assessment $assessment, array $failed): ?Station
    {
        $engine = $assessment->case->engine;
        foreach ($failed as $place) {
            $station = $engine->station($place);
            if ($station !== null) {
                return $station;
            }
        }
        $margins = array_filter($assessment->bench->marginsOf(self::FLOAT), static fn (Margin $one): bool => $one->value() !== null);
        usort($margins, static fn (Margin $a, Margin $b): int => $a->value()?->base <=> $b->value()?->base);

        return $engine->station($margins[0]->place ?? '') ?? $engine->stations[0] ?? null;
    }
}
