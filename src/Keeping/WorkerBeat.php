<?php

declare(strict_types=1);

namespace MuteTapper\App\Keeping;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Event\WorkerRunningEvent;

/** A worker leaves a mark every other second, so that the screen can say when there is none. */
final class WorkerBeat
{
    private const EVERY_SECONDS = 2;

    private int $last = 0;

    public function __construct(private readonly string $dataFolder)
    {
    }

    #[AsEventListener]
    public function onRunning(WorkerRunningEvent $event): void
    {
        if (time() - $this->last >= self::EVERY_SECONDS) {
            foreach ($event->getWorker()->getMetadata()->getTransportNames() as $transport) {
                if (is_string($transport)) {
                    @touch(self::path($this->dataFolder, $transport));
                }
            }
            $this->last = time();
        }
    }

    /** Seconds since a worker of the transport showed itself; null when none ever did. */
    public function since(string $transport): ?int
    {
        clearstatcache();
        $at = @filemtime(self::path($this->dataFolder, $transport));

        return $at === false ? null : time() - $at;
    }

    private static function path(string $folder, string $transport): string
    {
        return $folder.'/'.$transport.'.beat';
    }
}
