<?php

declare(strict_types=1);

namespace MuteTapper\App\Photograph;

use OpenApi\Attributes as OA;

/** A photograph's facts. */
#[OA\Schema]
final readonly class PhotographView
{
    private function __construct(
        #[OA\Property]
        public string $sha256,
        #[OA\Property]
        public string $mediaType,
        #[OA\Property]
        public int $bytes,
        #[OA\Property]
        public int $width,
        #[OA\Property]
        public int $height,
        #[OA\Property]
        public string $fileName,
        #[OA\Property(type: 'string', enum: WorkingCopyState::class)]
        public WorkingCopyState $workingCopy,
    ) {
    }

    public static function of(Photograph $photograph): self
    {
        return new self($photograph->sha256, $photograph->mediaType, $photograph->bytes, $photograph->width, $photograph->height, $photograph->fileName, $photograph->workingCopy);
    }
}
