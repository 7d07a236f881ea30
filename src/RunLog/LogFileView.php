<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use MuteTapper\Core\RunLog\Channel;
use MuteTapper\Core\RunLog\LogFormat;
use MuteTapper\Core\RunLog\Thresholds;
use OpenApi\Attributes as OA;

/** A log file with the format it was recognised to have, for a person to correct. */
#[OA\Schema]
final readonly class LogFileView
{
    /**
     * @param list<string> $doubts
     * @param list<string> $sample
     * @param list<ChannelView> $channels
     */
    private function __construct(
        public string $sha256,
        public int $bytes,
        public string $fileName,
        #[OA\Property(ref: LogFormatView::class)]
        public object $format,
        public array $doubts,
        #[OA\Property(description: 'the first lines of figures', items: new OA\Items(type: 'string'))]
        public array $sample,
        public array $channels,
        #[OA\Property(ref: ThresholdsView::class)]
        public object $thresholds,
    ) {
    }

    public static function of(LogFile $file, string $head, Thresholds $thresholds): self
    {
        $format = LogFormat::recognise($head);
        $lines = explode("\n", str_replace(["\r\n", "\r"], "\n", $head));

        return new self(
            $file->sha256, $file->bytes, $file->fileName, (object) $format->toArray(), $format->doubts,
            array_slice($lines, $format->headerLines, 4),
            array_map(
                static fn (Channel $channel): ChannelView => new ChannelView(
                    $channel, $channel->label(), array_map(strval(...), array_keys($channel->units())),
                ),
                Channel::cases(),
            ), (object) $thresholds->toArray(),
        );
    }
}
