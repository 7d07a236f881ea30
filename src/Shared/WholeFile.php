<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

/** Files that are either whole or not there: written aside, synced, then renamed. */
final class WholeFile
{
    private const FOLDER_MODE = 0o700;

    /** @throws NoRoom when the disk takes no more, or the folder may not be written to */
    public static function write(string $path, string $content): void
    {
        $file = self::aside(dirname($path), $aside);
        try {
            self::add($file, $content, $path);
            self::finish($file, $aside, $path);
        } finally {
            @unlink($aside);
        }
    }

    /**
     * A new file beside where it will stand.
     *
     * @param-out string $path of it
     *
     * @return resource
     *
     * @throws NoRoom
     */
    public static function aside(string $folder, ?string &$path)
    {
        if (!is_dir($folder)) {
            @mkdir($folder, self::FOLDER_MODE, true);
        }
        $path = $folder.'/'.bin2hex(random_bytes(8)).'.part';
        $file = @fopen($path, 'x');

        return $file === false ? throw NoRoom::in($folder) : $file;
    }

    /**
     * @param resource $file
     *
     * @throws NoRoom
     */
    public static function add($file, string $content, string $path): void
    {
        if (@fwrite($file, $content) !== strlen($content)) {
            throw NoRoom::in(dirname($path));
        }
    }

    /**
     * @param resource $file
     *
     * @throws NoRoom
     */
    public static function finish($file, string $aside, string $path): void
    {
        if (!@fsync($file) || !fclose($file) || !@rename($aside, $path)) {
            throw NoRoom::in(dirname($path));
        }
    }
}
