<?php

declare(strict_types=1);

namespace MuteTapper\App\Photograph;

use MuteTapper\App\Record\Photograph;
use MuteTapper\App\Record\WorkingCopyState;
use OpenApi\Attributes as OA;

/** A photograph's facts. */
#[OA\Schema]
final readonly class PhotographView
{
    private function __construct(
        public string $sha256,
        public string $mediaType,
        public int $bytes,
        public int $width,
        public int $height,
        public string $fileName,
        public WorkingCopyState $workingCopy,
    ) {
    }

    public static function of(Photograph $photograph): self
    {
        return new self(
            $photograph->sha256, $photograph->mediaType, $photograph->bytes, $photograph->width, $photograph->height, $photograph->fileName,
            $photograph->workingCopy,
        );
    }
}
