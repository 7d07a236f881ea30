<?php

declare(strict_types=1);

namespace MuteTapper\App\Keeping;

use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Shared\WholeFile;
use Symfony\Component\Filesystem\Filesystem;

/**
 * Copies a shop while it works: the database by SQLite's own backup, then every photograph and log that the copy names. Files are
 * stored before the database names them and never changed, so the copy is of one moment. A manifest of SHA-256 sums goes with it,
 * in the form that `sha256sum --check` reads; a copy is restored only when it agrees with it.
 */
final readonly class Backup
{
    private const DATABASE = 'cases.sqlite';
    private const MANIFEST = 'manifest-sha256.txt';
    /** The shop's own words, so that devices and programs that were known stay known. */
    private const WORDS = ['shop-word', 'device-word', 'secret'];
    private const BUSY_MILLISECONDS = 15000;

    public function __construct(private string $dataFolder, private Filesystem $files = new Filesystem())
    {
    }

    /**
     * @return array{cases: int, entries: int, files: int, bytes: int, missing: list<string>} what was copied, and pictures or logs
     *                                                                                        that the database names and the shop has lost
     *
     * @throws Problem when the folder is not empty
     */
    public function write(string $target): array
    {
        self::refuseUnlessEmpty($target);
        umask(0o077); // the copy is for its owner alone, as the shop is
        $aside = rtrim($target, '/').'.part';
        $this->files->remove($aside);
        $this->files->mkdir($aside, 0o700);
        $database = $this->copyDatabase($aside.'/'.self::DATABASE);
        $missing = [];
        foreach ($this->named($database) as $path => $needed) {
            if (is_file($this->dataFolder.'/'.$path)) {
                $this->files->copy($this->dataFolder.'/'.$path, $aside.'/'.$path);
            } elseif ($needed) {
                $missing[] = $path;
            }
        }
        $counts = self::counts($database);
        $database->close();
        $manifest = '';
        $files = $bytes = 0;
        foreach (self::filesIn($aside) as $path) {
            $sum = (string) hash_file('sha256', $aside.'/'.$path);
            if (preg_match('#^photographs/../([0-9a-f]{64})$#', $path, $name) === 1 && $name[1] !== $sum) {
                throw new \RuntimeException(sprintf('The photograph %s is not what its checksum says; the copy is not finished.', $path));
            }
            $manifest .= $sum.'  '.$path."\n";
            ++$files;
            $bytes += (int) filesize($aside.'/'.$path);
        }
        WholeFile::write($aside.'/'.self::MANIFEST, $manifest);
        $this->verify($aside);
        $this->files->remove($target);
        $this->files->rename($aside, $target);

        return $counts + ['files' => $files, 'bytes' => $bytes, 'missing' => $missing];
    }

    /**
     * @return array{cases: int, entries: int, files: int}
     *
     * @throws Problem when there is something already, or the copy is not whole
     */
    public function restore(string $source): array
    {
        self::refuseUnlessEmpty($this->dataFolder);
        umask(0o077);
        $files = $this->verify($source);
        $aside = rtrim($this->dataFolder, '/').'.part';
        $this->files->remove($aside);
        $this->files->mkdir($aside, 0o700);
        foreach ($files as $path) {
            $this->files->copy($source.'/'.$path, $aside.'/'.$path);
        }
        $database = new \SQLite3($aside.'/'.self::DATABASE);
        $counts = self::counts($database);
        $database->close();
        $this->files->remove($this->dataFolder);
        $this->files->rename($aside, $this->dataFolder);

        return $counts + ['files' => count($files)];
    }

    /**
     * @return list<string> its files
     *
     * @throws Problem when a file is missing, changed or unknown, or the database is not whole
     */
    private function verify(string $copy): array
    {
        $manifest = is_file($copy.'/'.self::MANIFEST) ? file($copy.'/'.self::MANIFEST, \FILE_IGNORE_NEW_LINES) : false;
        if ($manifest === false) {
            throw Problem::notFound(sprintf('%s holds no copy of a shop: %s is not there.', $copy, self::MANIFEST));
        }
        $files = [];
        foreach ($manifest as $number => $line) {
            if (preg_match('#^([0-9a-f]{64})  ([A-Za-z0-9._/-]+)$#', $line, $part) !== 1 || str_contains($part[2], '..')) {
                throw Problem::unreadable(sprintf('%s, line %d: this is no sum and path.', self::MANIFEST, $number + 1));
            }
            if (!is_file($copy.'/'.$part[2]) || hash_file('sha256', $copy.'/'.$part[2]) !== $part[1]) {
                throw Problem::invalid(sprintf('%s is missing or not what the manifest says: the copy is not whole.', $part[2]));
            }
            $files[] = $part[2];
        }
        if (!in_array(self::DATABASE, $files, true)) {
            throw Problem::invalid(sprintf('The manifest does not name %s.', self::DATABASE));
        }
        $database = new \SQLite3($copy.'/'.self::DATABASE, \SQLITE3_OPEN_READONLY);
        $verdict = $database->querySingle('PRAGMA integrity_check');
        $database->close();

        return $verdict === 'ok' ? $files : throw Problem::invalid('The database of the copy is damaged: '.self::text($verdict));
    }

    private function copyDatabase(string $path): \SQLite3
    {
        $source = new \SQLite3($this->dataFolder.'/'.self::DATABASE, \SQLITE3_OPEN_READWRITE);
        $source->busyTimeout(self::BUSY_MILLISECONDS);
        $copy = new \SQLite3($path);
        if (!$source->backup($copy)) {
            throw new \RuntimeException('The database could not be copied: '.$source->lastErrorMsg());
        }
        // One file, whole in itself: a copy has no log beside it.
        $copy->exec('PRAGMA journal_mode = DELETE');
        $source->close();

        return $copy;
    }

    /** @return array<string, bool> files by path, and whether it is a loss when one is not there */
    private function named(\SQLite3 $database): array
    {
        $named = array_fill_keys(self::WORDS, false);
        foreach (self::column($database, "SELECT sha256 FROM photograph WHERE working_copy <> 'missing'") as $sha256) {
            $path = sprintf('photographs/%s/%s', substr($sha256, 0, 2), $sha256);
            $named[$path] = true;
            $named[$path.'.working.jpg'] = false;
        }
        foreach (self::column($database, 'SELECT sha256 FROM log_file') as $sha256) {
            $named[sprintf('logs/%s.csv', $sha256)] = true;
        }
        foreach (self::column($database, "SELECT id FROM log_analysis WHERE state = 'ready'") as $id) {
            $named[sprintf('logs/%s.json', $id)] = true;
        }

        return $named;
    }

    /** @return list<string> */
    private static function column(\SQLite3 $database, string $query): array
    {
        $values = [];
        $result = $database->query($query);
        while ($result !== false && is_array($row = $result->fetchArray(\SQLITE3_NUM))) {
            $values[] = self::text($row[0]);
        }

        return $values;
    }

    /** @return array{cases: int, entries: int} */
    private static function counts(\SQLite3 $database): array
    {
        return [
            'cases' => (int) self::text($database->querySingle('SELECT COUNT(*) FROM case_file')),
            'entries' => (int) self::text($database->querySingle('SELECT COUNT(*) FROM entry')),
        ];
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }

    /** @return list<string> paths inside the folder, in order */
    private static function filesIn(string $folder): array
    {
        $paths = [];
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS));
        /** @var \SplFileInfo $file */
        foreach ($files as $file) {
            $paths[] = substr($file->getPathname(), strlen($folder) + 1);
        }
        sort($paths);

        return $paths;
    }

    /** @throws Problem */
    private static function refuseUnlessEmpty(string $folder): void
    {
        if (is_dir($folder) && scandir($folder) !== ['.', '..']) {
            throw Problem::invalid(sprintf('%s is not empty; a new or empty folder is accepted, so that nothing is overwritten.', $folder));
        }
    }
}
