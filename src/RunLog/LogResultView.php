<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use MuteTapper\Core\RunLog\Channel;
use MuteTapper\Core\RunLog\Episode;
use MuteTapper\Core\RunLog\EpisodeKind;
use MuteTapper\Core\RunLog\LogResult;
use OpenApi\Attributes as OA;

/** What was found in a log. */
#[OA\Schema]
final readonly class LogResultView
{
    /**
     * @param list<EpisodeTotalView> $totals
     * @param list<EpisodeView> $episodes
     * @param list<PeakView> $peaks
     */
    private function __construct(
        public int $rows,
        #[OA\Property(description: 'seconds')]
        public float $from,
        public float $to,
        public array $totals,
        public array $episodes,
        public array $peaks,
    ) {
    }

    public static function of(LogResult $result): self
    {
        $totals = $peaks = [];
        foreach (EpisodeKind::cases() as $kind) {
            $total = $result->totals[$kind->value] ?? ['count' => 0, 'seconds' => 0.0];
            $totals[] = new EpisodeTotalView($kind, $kind->label(), $total['count'], $total['seconds']);
        }
        foreach ($result->peaks as $channel => $peak) {
            $channel = Channel::from($channel);
            $peaks[] = new PeakView($channel, $channel->label(), $channel->unit(), $peak['value'], $peak['time'], $peak['speed']);
        }

        return new self(
            $result->rows, $result->from, $result->to, $totals,
            array_map(
                static fn (Episode $episode): EpisodeView => new EpisodeView(
                    $episode->kind, $episode->kind->label(), $episode->kind->channel()->unit(), $episode->from, $episode->seconds,
                    $episode->worst, $episode->speedAtWorst,
                ),
                $result->episodes,
            ),
            $peaks,
        );
    }
}
