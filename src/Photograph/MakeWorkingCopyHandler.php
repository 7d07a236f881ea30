<?php

declare(strict_types=1);

namespace MuteTapper\App\Photograph;

use Intervention\Image\ImageManager;
use MuteTapper\App\Record\WorkingCopyState;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\Shared\NoRoom;
use Psr\Log\LoggerInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;

/** Makes the working copy: long side 2400 pixels, orientation baked in, no metadata. */
#[AsMessageHandler]
final readonly class MakeWorkingCopyHandler
{
    private const LONG_SIDE = 2400;

    public function __construct(private PhotographStore $store, private Writing $writing, private LoggerInterface $logger)
    {
    }

    public function __invoke(MakeWorkingCopy $work): void
    {
        $photograph = $this->store->get($work->sha256);
        if ($photograph->workingCopy === WorkingCopyState::Ready && is_file($this->store->workingCopy($work->sha256))) {
            return;
        }
        $state = $this->make($work->sha256);
        $this->writing->together(static function () use ($photograph, $state): void {
            $photograph->workingCopy = $state;
        });
    }

    private function make(string $sha256): WorkingCopyState
    {
        try {
            $image = ImageManager::gd(autoOrientation: true)->read($this->store->original($sha256));
            $copy = $image->scaleDown(self::LONG_SIDE, self::LONG_SIDE)->toJpeg(86, strip: true);
            $this->store->write($this->store->workingCopy($sha256), $copy->toString());

            return WorkingCopyState::Ready;
        } catch (NoRoom $noRoom) {
            throw $noRoom; // tried again: there may be room later
        } catch (\Throwable $broken) {
            // Broken behind its header, whatever it breaks: the original stays as it came, and the screen says so.
            $this->logger->warning('No working copy of {sha256}: {why}', ['sha256' => $sha256, 'why' => $broken->getMessage()]);

            return WorkingCopyState::Failed;
        }
    }
}
