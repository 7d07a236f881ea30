<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core;

use PhpParser\Node\Name;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;
use PHPUnit\Framework\TestCase;

/** The core knows nothing of the application, of a framework or of a database, and does no input or output. */
final class StandsAloneTest extends TestCase
{
    private const FORBIDDEN_FUNCTIONS = [
        'file_get_contents', 'file_put_contents', 'fopen', 'fwrite', 'echo', 'print_r', 'var_dump', 'curl_init', 'exec', 'shell_exec',
        'proc_open', 'getenv', 'date', 'time', 'microtime', 'rand', 'mt_rand', 'random_int',
    ];

    /** @return list<string> */
    private static function files(string $folder): array
    {
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && 'php' === $file->getExtension()) {
                $files[] = $file->getPathname();
            }
        }

        return $files;
    }

    public function testTheCoreNamesOnlyItselfAndPhp(): void
    {
        $parser = (new ParserFactory())->createForHostVersion();
        $offences = [];
        foreach (self::files(\dirname(__DIR__, 2).'/core') as $file) {
            $tree = (new NodeTraverser(new NameResolver()))->traverse($parser->parse((string) file_get_contents($file)) ?? []);
            foreach ((new NodeFinder())->findInstanceOf($tree, Name\FullyQualified::class) as $name) {
                $text = $name->toString();
                $isOwn = str_starts_with($text, 'MuteTapper\\Core\\');
                $isPhp = !str_contains($text, '\\') && (class_exists($text) || interface_exists($text) || enum_exists($text)
                    || \function_exists($text) || \defined($text)
                    || \in_array(strtolower($text), ['true', 'false', 'null'], true));
                if (!$isOwn && !$isPhp || \in_array($text, self::FORBIDDEN_FUNCTIONS, true)) {
                    $offences[] = basename($file).': '.$text;
                }
            }
            foreach ((new NodeFinder())->findInstanceOf($tree, Name::class) as $name) {
                if (\in_array($name->toString(), self::FORBIDDEN_FUNCTIONS, true)) {
                    $offences[] = basename($file).': '.$name->toString();
                }
            }
        }
        self::assertSame([], $offences);
    }

    /** In a process that has PHP and nothing else, the core loads in full and assesses a case. */
    public function testTheCoreRunsWithNothingButPhp(): void
    {
        exec(\PHP_BINARY.' '.escapeshellarg(__DIR__.'/standalone.php').' 2>&1', $output, $status);
        self::assertSame(0, $status, implode("\n", $output));
        self::assertSame('leader installed_height_small', end($output));
    }
}
