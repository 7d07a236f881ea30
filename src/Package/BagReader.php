<?php

declare(strict_types=1);

namespace MuteTapper\App\Package;

use MuteTapper\App\Shared\Problem;

/**
 * Reads a bag [pub: RFC 8493, BagIt 1.0] out of a ZIP. Nothing is unpacked to disk, no name is trusted, and a file is read no further
 * than it says it goes.
 */
final class BagReader
{
    private const MOST_FILES = 20_000;
    private const MOST_BYTES = 4 * 1024 ** 3;
    /** A picture or a log hardly shrinks, text does: a hundredfold and more is made to burst. */
    private const MOST_SHRUNK = 200;
    private const SMALL = 64 * 1024 ** 2;
    private const CHUNK = 1 << 20;
    private const MANIFEST = 'manifest-sha256.txt';
    private const TAG_MANIFEST = 'tagmanifest-sha256.txt';

    /** @param array<string, int> $sizes bytes of each file by its path within the bag */
    private function __construct(private readonly \ZipArchive $zip, private readonly string $base, private readonly array $sizes)
    {
    }

    /** @throws Problem */
    public static function open(string $path): self
    {
        $zip = new \ZipArchive();
        if (!is_file($path) || $zip->open($path, \ZipArchive::RDONLY) !== true) {
            throw BadPackage::because('It is no ZIP archive, or it was cut off.');
        }
        if ($zip->numFiles === 0 || $zip->numFiles > self::MOST_FILES) {
            throw BadPackage::because(sprintf('It has %d files; accepted are 1 to %d.', $zip->numFiles, self::MOST_FILES));
        }
        $sizes = [];
        $packed = $base = null;
        for ($i = 0; $i < $zip->numFiles; ++$i) {
            $stat = $zip->statIndex($i);
            $name = is_array($stat) ? $stat['name'] : '';
            self::checkName($name);
            [$folder, $rest] = explode('/', $name, 2) + [1 => ''];
            if ($base !== null && $folder !== $base) {
                throw BadPackage::because(sprintf('A package has one folder at its top; this one has “%s” and “%s”.', $base, $folder));
            }
            $base = $folder;
            if ($rest !== '' && !str_ends_with($name, '/')) {
                if (isset($sizes[$rest])) {
                    throw BadPackage::because(sprintf('“%s” is in it twice.', $rest));
                }
                $sizes[$rest] = is_array($stat) ? $stat['size'] : 0;
                $packed = ($packed ?? 0) + (is_array($stat) ? $stat['comp_size'] : 0);
            }
        }
        $bytes = array_sum($sizes);
        if ($bytes > self::MOST_BYTES || ($bytes > self::SMALL && $bytes > self::MOST_SHRUNK * max(1, (int) $packed))) {
            throw BadPackage::because(sprintf(
                'Unpacked it would have %.0f MB from %.0f: no case grows like that.', $bytes / 1024 ** 2, (int) $packed / 1024 ** 2,
            ));
        }
        if (!isset($sizes['bagit.txt'], $sizes[self::MANIFEST])) {
            throw BadPackage::because('It is no bag: bagit.txt or manifest-sha256.txt is missing.');
        }

        return new self($zip, (string) $base, $sizes);
    }

    /** @throws Problem */
    private static function checkName(string $name): void
    {
        $parts = explode('/', rtrim($name, '/'));
        if (
            $name === '' || str_starts_with($name, '/') || str_contains($name, '\\') || str_contains($name, "\0")
            || preg_match('/^[A-Za-z]:/', $name) === 1 || array_intersect($parts, ['', '.', '..']) !== []
        ) {
            throw BadPackage::because(sprintf('“%s” would lead out of the package.', $name));
        }
    }

    /**
     * Everything that does not fit: files that changed, are missing, or that no manifest names.
     *
     * @return list<string>
     */
    public function problems(): array
    {
        $problems = [];
        if (preg_match('/^BagIt-Version: (0\.97|1\.0)\s/', $this->read('bagit.txt')) !== 1) {
            $problems[] = 'bagit.txt does not say a version of BagIt that is read here: 0.97 or 1.0.';
        }
        $payload = $this->manifest(self::MANIFEST, $problems);
        $tags = isset($this->sizes[self::TAG_MANIFEST]) ? $this->manifest(self::TAG_MANIFEST, $problems) : [];
        foreach ($payload + $tags as $path => $sum) {
            if (!isset($this->sizes[$path])) {
                $problems[] = sprintf('“%s” is missing.', $path);
            } elseif (!hash_equals($sum, $this->sum($path))) {
                $problems[] = sprintf('“%s” is not as it was packed.', $path);
            }
        }
        foreach (array_keys($this->sizes) as $path) {
            if (str_starts_with((string) $path, 'data/') && !isset($payload[$path])) {
                $problems[] = sprintf('“%s” stands in no manifest.', $path);
            }
        }
        foreach (array_keys($payload) as $path) {
            if (!str_starts_with((string) $path, 'data/')) {
                $problems[] = sprintf('The manifest names “%s”, which is no payload.', $path);
            }
        }

        return $problems;
    }

    /** @return list<string> paths of the payload, without data/ */
    public function files(string $beginning = ''): array
    {
        $files = [];
        foreach (array_keys($this->sizes) as $path) {
            if (str_starts_with((string) $path, 'data/'.$beginning)) {
                $files[] = substr((string) $path, strlen('data/'));
            }
        }

        return $files;
    }

    public function has(string $name): bool
    {
        return isset($this->sizes['data/'.$name]);
    }

    /** @throws Problem */
    public function content(string $name, int $most): string
    {
        if (($this->sizes['data/'.$name] ?? 0) > $most) {
            throw BadPackage::because(sprintf(
                '“%s” has %.0f MB; accepted are %.0f.', $name, $this->sizes['data/'.$name] / 1024 ** 2, $most / 1024 ** 2,
            ));
        }

        return $this->read('data/'.$name);
    }

    /**
     * @return resource
     *
     * @throws Problem
     */
    public function stream(string $name)
    {
        $stream = $this->zip->getStream($this->base.'/data/'.$name);

        return $stream === false ? throw BadPackage::because(sprintf('“%s” is missing.', $name)) : $stream;
    }

    /**
     * @param list<string> $problems
     *
     * @return array<string, string> SHA-256 by path
     */
    private function manifest(string $name, array &$problems): array
    {
        $sums = [];
        foreach (explode("\n", strtr($this->read($name), ["\r\n" => "\n", "\r" => "\n"])) as $number => $line) {
            if ($line === '') {
                continue;
            }
            if (preg_match('/^([0-9a-fA-F]{64})[ \t]+\*?(\S.*)$/', $line, $match) !== 1) {
                $problems[] = sprintf('%s, line %d is no checksum with a file.', $name, $number + 1);
                continue;
            }
            $sums[strtr($match[2], ['%0D' => "\r", '%0A' => "\n", '%0d' => "\r", '%0a' => "\n", '%25' => '%'])] = strtolower($match[1]);
        }

        return $sums;
    }

    private function sum(string $path): string
    {
        $hash = hash_init('sha256');
        foreach ($this->chunks($path) as $chunk) {
            hash_update($hash, $chunk);
        }

        return hash_final($hash);
    }

    private function read(string $path): string
    {
        return implode('', iterator_to_array($this->chunks($path), false));
    }

    /**
     * @return iterable<string>
     *
     * @throws Problem where it cannot be read, or goes further than it says
     */
    private function chunks(string $path): iterable
    {
        $stream = $this->zip->getStream($this->base.'/'.$path);
        if ($stream === false) {
            throw BadPackage::because(sprintf('“%s” cannot be read.', $path));
        }
        $left = $this->sizes[$path] ?? 0;
        while (!feof($stream)) {
            $chunk = (string) fread($stream, self::CHUNK);
            $left -= strlen($chunk);
            if ($left < 0) {
                throw BadPackage::because(sprintf('“%s” is longer than it says.', $path));
            }
            yield $chunk;
        }
    }
}
