<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

/** What was to be stored could not be written: the disk is full, or the folder may not be written to. */
final class NoRoom extends \RuntimeException
{
    public static function in(string $folder): self
    {
        return new self('Nothing can be written to '.$folder);
    }
}
