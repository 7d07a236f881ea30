<?php

declare(strict_types=1);

namespace MuteTapper\Core\RunLog;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Slot;

/** A log file that belongs to a case: the file by its checksum, how it is written, and what counts as an event in it. */
final readonly class LogUse
{
    public const PART = 'timeline';
    public const ITEM = 'log';

    private function __construct(public string $sha256, public string $fileName, public LogFormat $format, public Thresholds $thresholds)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        return new self(
            $data->get('sha256')->word(64), $data->get('fileName')->word(200), LogFormat::fromNode($data->get('format')),
            Thresholds::fromNode($data->get('thresholds')),
        );
    }

    public static function slot(string $sha256): Slot
    {
        return new Slot(Place::ENGINE, self::PART, self::ITEM, substr($sha256, 0, 16));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'sha256' => $this->sha256, 'fileName' => $this->fileName, 'format' => $this->format->toArray(),
            'thresholds' => $this->thresholds->toArray(),
        ];
    }
}
