<?php

declare(strict_types=1);

namespace MuteTapper\App\Simulated;

use Symfony\Component\Process\Process;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Cache\ItemInterface;

/** Stands in for the bench camera and the borescope: takes pictures of parts that do not exist. The same picture is drawn once. */
final readonly class BenchCamera
{
    public const WIDTH = 1200;
    /** A picture to choose by, before one is taken. */
    public const PREVIEW_WIDTH = 560;

    private const KEPT_SECONDS = 3600;

    public function __construct(private CacheInterface $cache)
    {
    }

    /** A picture as PNG, of the given width. */
    public function take(PartPicture $picture, int $severity, int $seed, bool $borescope = false, int $width = self::WIDTH): string
    {
        $key = sprintf('camera.%s.%d.%d.%d.%d', $picture->value, $severity, $seed, (int) $borescope, $width);

        return $this->cache->get($key, static function (ItemInterface $item) use ($picture, $severity, $seed, $borescope, $width): string {
            $item->expiresAfter(self::KEPT_SECONDS);
            $process = new Process(['rsvg-convert', '--format', 'png', '--width', (string) $width]);
            $process->setInput($picture->svg($severity, $seed, $borescope));

            return $process->mustRun()->getOutput();
        });
    }
}
