<?php

declare(strict_types=1);

// Loads every class of the core with an autoloader that knows the core alone, and assesses a small case.

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Knowledge\Knowledge;

$core = dirname(__DIR__, 2).'/core';
spl_autoload_register(static function (string $class) use ($core): void {
    if (str_starts_with($class, 'MuteTapper\\Core\\')) {
        require $core.'/'.str_replace('\\', '/', substr($class, strlen('MuteTapper\\Core\\'))).'.php';
    }
});
foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($core, FilesystemIterator::SKIP_DOTS)) as $file) {
    if ($file instanceof SplFileInfo && 'php' === $file->getExtension()) {
        require_once $file->getPathname();
    }
}
$files = [];
foreach (Knowledge::FILES as $name) {
    $files[$name] = json_decode((string) file_get_contents("$core/Knowledge/$name.json"), true, 64, JSON_THROW_ON_ERROR);
}
$document = json_decode((string) file_get_contents(__DIR__.'/standalone-case.json'), true, 64, JSON_THROW_ON_ERROR);
$ranking = Assessment::of(CaseFile::fromNode(Node::root($document)), Knowledge::fromArray($files))->ranking();
echo $ranking->standing()->value, ' ', implode(' ', $ranking->leading()), "\n";
