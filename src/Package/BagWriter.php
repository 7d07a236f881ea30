<?php

declare(strict_types=1);

namespace MuteTapper\App\Package;

use MuteTapper\App\Shared\NoRoom;

/** Writes a bag [pub: RFC 8493, BagIt 1.0] into a ZIP: payload, SHA-256 manifests, and what it is about. */
final class BagWriter
{
    private const DECLARATION = "BagIt-Version: 1.0\nTag-File-Character-Encoding: UTF-8\n";

    private \ZipArchive $zip;
    /** @var array<string, string> SHA-256 by path within the bag */
    private array $payload = [];
    private int $bytes = 0;

    /**
     * @param string $path of the ZIP
     * @param string $base folder of the bag within it
     */
    public function __construct(string $path, private readonly string $base)
    {
        $this->zip = new \ZipArchive();
        if ($this->zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE) !== true) {
            throw new NoRoom(sprintf('%s cannot be written', $path));
        }
    }

    public function add(string $name, string $content): void
    {
        $this->payload['data/'.$name] = hash('sha256', $content);
        $this->bytes += strlen($content);
        $this->zip->addFromString($this->base.'/data/'.$name, $content);
    }

    /** @param string $file on this computer; read when the bag is finished */
    public function addFile(string $name, string $file): void
    {
        $this->payload['data/'.$name] = (string) hash_file('sha256', $file);
        $this->bytes += (int) filesize($file);
        $this->zip->addFile($file, $this->base.'/data/'.$name);
    }

    /** @param array<string, string> $info what the bag is about, by label */
    public function finish(array $info): void
    {
        $tags = [
            'bagit.txt' => self::DECLARATION,
            'bag-info.txt' => implode('', array_map(
                static fn (string $label, string $value): string => $label.': '.preg_replace('/\s+/', ' ', $value)."\n",
                array_keys($info), $info,
            )).sprintf("Payload-Oxum: %d.%d\n", $this->bytes, count($this->payload)),
            'manifest-sha256.txt' => self::manifest($this->payload),
        ];
        $tags['tagmanifest-sha256.txt'] = self::manifest(array_map(static fn (string $tag): string => hash('sha256', $tag), $tags));
        foreach ($tags as $name => $content) {
            $this->zip->addFromString($this->base.'/'.$name, $content);
        }
        if (!$this->zip->close()) {
            throw new NoRoom('The package could not be written');
        }
    }

    /** @param array<string, string> $sums */
    private static function manifest(array $sums): string
    {
        return implode('', array_map(
            static fn (string $path, string $sum): string => $sum.'  '.strtr($path, ['%' => '%25', "\r" => '%0D', "\n" => '%0A'])."\n",
            array_keys($sums), $sums,
        ));
    }
}
