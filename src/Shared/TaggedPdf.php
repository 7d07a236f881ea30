<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use Symfony\Component\Process\Process;

/**
 * Makes a PDF that is read by machines too: real text in the order of the page, headings as bookmarks, headings, paragraphs and tables
 * tagged [pub: ISO 14289-1 (PDF/UA-1), as far as WeasyPrint goes: pictures have no tag and no words in the file, so that what they
 * show is said beside them].
 */
final readonly class TaggedPdf
{
    private const PATIENCE_SECONDS = 300;

    /** @param string $html everything that it shows is in it: nothing is fetched */
    public function of(string $html): string
    {
        $process = new Process(['weasyprint', '--quiet', '--encoding', 'utf-8', '--pdf-variant', 'pdf/ua-1', '-', '-']);
        $process->setTimeout(self::PATIENCE_SECONDS);
        $process->setInput($html);

        return $process->mustRun()->getOutput();
    }
}
