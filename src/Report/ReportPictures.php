<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use Intervention\Image\Exceptions\RuntimeException;
use Intervention\Image\ImageManager;
use MuteTapper\App\Photograph\PhotographStore;
use MuteTapper\App\Record\Photograph;

/** Photographs at the size of a printed page, made once and kept. */
final readonly class ReportPictures
{
    private const LONG_SIDE = 900;

    public function __construct(private PhotographStore $store)
    {
    }

    /**
     * The picture as a data address, with what was drawn on it; null where the original is not here or cannot be decoded.
     *
     * @param string|null $drawn as an SVG document in the pixels of the picture
     */
    public function dataAddress(Photograph $photograph, ?string $drawn): ?string
    {
        $path = $this->store->original($photograph->sha256).'.report.jpg';
        if (!is_file($path)) {
            $source = is_file($this->store->workingCopy($photograph->sha256))
                ? $this->store->workingCopy($photograph->sha256)
                : $this->store->original($photograph->sha256);
            if (!is_file($source)) {
                return null;
            }
            try {
                $copy = ImageManager::gd(autoOrientation: true)
                    ->read($source)->scaleDown(self::LONG_SIDE, self::LONG_SIDE)->toJpeg(82, strip: true);
            } catch (RuntimeException) {
                return null;
            }
            $this->store->write($path, $copy->toString());
        }

        $jpeg = (string) file_get_contents($path);

        return $drawn === null
            ? 'data:image/jpeg;base64,'.base64_encode($jpeg)
            : 'data:image/png;base64,'.base64_encode(AnnotatedPicture::of($jpeg, $photograph->width, $photograph->height, $drawn));
    }
}
