<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\App\RunLog\LogStore;
use MuteTapper\App\RunLog\PeakView;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Motion\LoggedDemand;
use MuteTapper\Core\Motion\LoggedMoment;
use MuteTapper\Core\Motion\LoggedRun;
use MuteTapper\Core\Motion\Movement;
use MuteTapper\Core\Motion\SeatUnderGas;
use MuteTapper\Core\Motion\Threshold;
use MuteTapper\Core\Motion\ValveTrain;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\RunLog\Channel;
use MuteTapper\Core\RunLog\LogUse;
use MuteTapper\Core\Sheet\Bench;

/** Gathers what the logs of a case say of its speeds, and lays it over what the train of a valve can do. */
final readonly class MotionLog
{
    /** Moments of a course that are told, and stretches that are listed. */
    private const MOMENTS = 600;
    private const LISTED = 40;

    public function __construct(private LogStore $store)
    {
    }

    public function of(Bench $bench, Station $station): MotionLogView
    {
        $files = $unread = $seconds = $traces = [];
        /** @var array<string, PeakView> $peaks */
        $peaks = [];
        $train = (new Movement($station->code(), $bench))->train();
        $speeds = $train instanceof ValveTrain ? [Threshold::firstLoss($train), Threshold::floatSpeed($train)] : [null, null];
        $seat = SeatUnderGas::of($bench, $station->code());
        $force = $bench->case->settings->units->unitOf(Dimension::Force);
        foreach ($bench->case->log->standing(EntryKind::Log) as $entry) {
            $use = LogUse::fromNode($entry->node());
            $analysis = $this->store->readOf($use);
            if ($analysis === null) {
                $unread[] = $use->fileName;
                continue;
            }
            $files[] = $use->fileName;
            $result = $this->store->result($analysis);
            foreach ($result['seconds'] as [$from, $lasted]) {
                $seconds[$from] = ($seconds[$from] ?? 0.0) + $lasted;
            }
            $told = Node::root($result['result']);
            foreach ($told->get('peaks')->items() as $peak) {
                $channel = $peak->get('channel')->choice(Channel::class);
                $view = new PeakView(
                    $channel, $channel->label(), $channel->unit(), $peak->get('value')->number(), $peak->get('time')->number(),
                    $peak->get('speed')->number(),
                );
                $greatest = $peaks[$channel->value] ?? $view;
                $peaks[$channel->value] = $greatest->value > $view->value ? $greatest : $view;
            }
            $moments = self::moments($result['buckets'], $told->get('to')->number(), $station->kind);
            $run = new LoggedRun($moments, $speeds[0], $speeds[1], $seat);
            $traces[] = self::trace($use->fileName, $moments, $run, $force->baseFactor());
        }
        ksort($seconds);

        return new MotionLogView($files, $unread, array_map(
            static fn (int $from, float $lasted): LoggedBinView => new LoggedBinView($from, round($lasted, 2)),
            array_keys($seconds), $seconds,
        ), array_values($peaks), $traces, $force->symbol());
    }

    /**
     * @param list<array{float, array<string, array{float, float}>}> $buckets
     *
     * @return list<LoggedMoment> those in which the speed is known
     */
    private static function moments(array $buckets, float $end, ValveKind $kind): array
    {
        $port = $kind === ValveKind::Intake ? Channel::Boost : Channel::ExhaustPressure;
        $moments = [];
        foreach ($buckets as $i => [$from, $ranges]) {
            $speed = $ranges[Channel::Speed->value] ?? null;
            if ($speed !== null) {
                $moments[] = new LoggedMoment(
                    $from, $buckets[$i + 1][0] ?? $end, $speed[0], $speed[1], $ranges[$port->value][1] ?? null,
                    $ranges[Channel::Throttle->value][1] ?? null,
                );
            }
        }

        return $moments;
    }

    /** @param list<LoggedMoment> $moments */
    private static function trace(string $file, array $moments, LoggedRun $run, float $newtons): LogTraceView
    {
        $times = $low = $high = $left = [];
        foreach (array_chunk($moments, max(1, (int) ceil(count($moments) / self::MOMENTS))) as $chunk) {
            $known = array_filter(array_map($run->left(...), $chunk), is_float(...));
            $times[] = round($chunk[0]->from, 2);
            $low[] = round(min(array_map(static fn (LoggedMoment $one): float => $one->slowest, $chunk)));
            $high[] = round(max(array_map(static fn (LoggedMoment $one): float => $one->speed, $chunk)));
            $left[] = $known === [] ? null : round(min($known) / $newtons, 1);
        }
        $demands = $run->demands();
        $gravest = LoggedRun::gravest($demands);
        $listed = array_filter(
            $demands, static fn (LoggedDemand $one, int $i): bool => $i < self::LISTED || in_array($one, $gravest, true),
            ARRAY_FILTER_USE_BOTH,
        );

        return new LogTraceView($file, $times, $low, $high, $left, array_values(array_map(
            static fn (LoggedDemand $one): LoggedDemandView => new LoggedDemandView(
                $one->demand, round($one->from, 2), round($one->until, 2), round($one->speed),
                $one->pressure === null ? null : round($one->pressure, 2), $one->left === null ? null : round($one->left / $newtons, 1),
                $one->isOverRun, in_array($one, $gravest, true),
            ), $listed,
        )), count($demands) - count($listed));
    }
}
