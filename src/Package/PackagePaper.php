<?php

declare(strict_types=1);

namespace MuteTapper\App\Package;

use MuteTapper\App\Paper\PaperMaker;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\Core\Document\Node;

/** The package is made aside, as papers are. */
final readonly class PackagePaper implements PaperMaker
{
    public function __construct(private CasePackage $package, private string $dataFolder)
    {
    }

    public function kind(): string
    {
        return 'package';
    }

    public function extension(): string
    {
        return 'zip';
    }

    public function mediaType(): string
    {
        return 'application/zip';
    }

    public function options(CaseRecord $case, Node $asked): array
    {
        return [];
    }

    public function make(CaseRecord $case, Node $options, \Closure $progress): \SplFileInfo
    {
        // On the disk of the papers, so that it is moved and not copied.
        $folder = $this->dataFolder.'/papers';
        if (!is_dir($folder)) {
            mkdir($folder, 0o700, true);
        }
        $path = (string) tempnam($folder, 'package');
        try {
            $this->package->pack($case, $path, $progress);
        } catch (\Throwable $failed) {
            @unlink($path);
            throw $failed;
        }

        return new \SplFileInfo($path);
    }
}
