<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use Intervention\Image\Exceptions\RuntimeException;
use Intervention\Image\ImageManager;
use MuteTapper\App\Photograph\Photograph;
use MuteTapper\App\Photograph\PhotographStore;

/** Photographs at the size of a printed page, made once and kept. */
final readonly class ReportPictures
{
    private const LONG_SIDE = 900;

    public function __construct(private PhotographStore $store)
    {
    }

    /** The picture as a data address, or null where the original is not here or cannot be decoded. */
    public function dataAddress(Photograph $photograph): ?string
    {
        $path = $this->store->original($photograph->sha256).'.report.jpg';
        if (!is_file($path)) {
            $source = is_file($this->store->workingCopy($photograph->sha256)) ? $this->store->workingCopy($photograph->sha256) : $this->store->original($photograph->sha256);
            if (!is_file($source)) {
                return null;
            }
            try {
                $copy = ImageManager::gd(autoOrientation: true)->read($source)->scaleDown(self::LONG_SIDE, self::LONG_SIDE)->toJpeg(82, strip: true);
            } catch (RuntimeException) {
                return null;
            }
            $this->store->write($path, $copy->toString());
        }

        return 'data:image/jpeg;base64,'.base64_encode((string) file_get_contents($path));
    }
}
