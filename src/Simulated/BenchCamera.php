<?php

declare(strict_types=1);

namespace MuteTapper\App\Simulated;

use Symfony\Component\Process\Process;

/** Stands in for the bench camera and the borescope: takes pictures of parts that do not exist. */
final class BenchCamera
{
    /** A picture as PNG. */
    public function take(PartPicture $picture, int $severity, int $seed, bool $borescope = false): string
    {
        $process = new Process(['rsvg-convert', '--format', 'png']);
        $process->setInput($picture->svg($severity, $seed, $borescope));

        return $process->mustRun()->getOutput();
    }
}
