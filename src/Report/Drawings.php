<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\Core\Document\Node;
use Symfony\Component\Process\Process;

/** Draws for paper with the components of the screen, all drawings of a paper in one run of Node. */
final readonly class Drawings
{
    private const PATIENCE_SECONDS = 120;

    public function __construct(private string $projectFolder)
    {
    }

    /**
     * @param array<string, Drawing> $wanted
     *
     * @return array<string, string> an SVG document for each, under its key
     *
     * @throws \RuntimeException when Node cannot draw them
     */
    public function of(array $wanted): array
    {
        if ($wanted === []) {
            return [];
        }
        $process = new Process(['node', $this->projectFolder.'/var/print/main.js']);
        $process->setTimeout(self::PATIENCE_SECONDS);
        $process->setInput(json_encode(array_values($wanted), \JSON_THROW_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE));
        $drawn = Node::root(json_decode($process->mustRun()->getOutput(), true, flags: \JSON_THROW_ON_ERROR))->items();

        return array_combine(array_keys($wanted), array_map(static fn (Node $one): string => $one->text(\PHP_INT_MAX), $drawn));
    }
}
