<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

/** A table as RFC 4180 has it. */
final class Csv
{
    /** @param list<list<string|float>> $lines heads first */
    public static function of(array $lines): string
    {
        $file = new \SplTempFileObject();
        foreach ($lines as $line) {
            $file->fputcsv($line, ',', '"', '', "\r\n");
        }
        $length = (int) $file->ftell();
        $file->rewind();

        return (string) $file->fread($length);
    }
}
