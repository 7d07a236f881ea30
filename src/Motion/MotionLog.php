<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\App\RunLog\LogStore;
use MuteTapper\App\RunLog\PeakView;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\RunLog\Channel;
use MuteTapper\Core\RunLog\LogUse;

/** Gathers what the logs of a case say of its speeds. */
final readonly class MotionLog
{
    public function __construct(private LogStore $store)
    {
    }

    public function of(CaseFile $case): MotionLogView
    {
        $files = $unread = $seconds = [];
        /** @var array<string, PeakView> $peaks */
        $peaks = [];
        foreach ($case->log->standing(EntryKind::Log) as $entry) {
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
            foreach (Node::root($result['result'])->get('peaks')->items() as $peak) {
                $channel = $peak->get('channel')->choice(Channel::class);
                $view = new PeakView(
                    $channel, $channel->label(), $channel->unit(), $peak->get('value')->number(), $peak->get('time')->number(),
                    $peak->get('speed')->number(),
                );
                $greatest = $peaks[$channel->value] ?? $view;
                $peaks[$channel->value] = $greatest->value > $view->value ? $greatest : $view;
            }
        }
        ksort($seconds);

        return new MotionLogView($files, $unread, array_map(
            static fn (int $from, float $lasted): LoggedBinView => new LoggedBinView($from, round($lasted, 2)),
            array_keys($seconds), $seconds,
        ), array_values($peaks));
    }
}
