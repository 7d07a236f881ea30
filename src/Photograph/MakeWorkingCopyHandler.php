<?php

declare(strict_types=1);

namespace MuteTapper\App\Photograph;

use Doctrine\ORM\EntityManagerInterface;
use Intervention\Image\Exceptions\RuntimeException;
use Intervention\Image\ImageManager;
use MuteTapper\App\Record\WorkingCopyState;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;

/** Makes the working copy: long side 2400 pixels, orientation baked in, no metadata. */
#[AsMessageHandler]
final readonly class MakeWorkingCopyHandler
{
    private const LONG_SIDE = 2400;

    public function __construct(private PhotographStore $store, private EntityManagerInterface $entities)
    {
    }

    public function __invoke(MakeWorkingCopy $work): void
    {
        $photograph = $this->store->get($work->sha256);
        if ($photograph->workingCopy === WorkingCopyState::Ready && is_file($this->store->workingCopy($work->sha256))) {
            return;
        }
        try {
            $image = ImageManager::gd(autoOrientation: true)->read($this->store->original($work->sha256));
            $copy = $image->scaleDown(self::LONG_SIDE, self::LONG_SIDE)->toJpeg(86, strip: true);
            $this->store->write($this->store->workingCopy($work->sha256), $copy->toString());
            $photograph->workingCopy = WorkingCopyState::Ready;
        } catch (RuntimeException) {
            // Broken behind its header: the original stays as it came, and the screen says so.
            $photograph->workingCopy = WorkingCopyState::Failed;
        }
        $this->entities->flush();
    }
}
