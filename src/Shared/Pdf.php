<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use Dompdf\Dompdf;
use Dompdf\Options;

/** Makes a PDF with real text from a small page, such as tags: quick, and without marks for machines. */
final readonly class Pdf
{
    public function __construct(private string $projectFolder, private string $dataFolder)
    {
    }

    public function of(string $html): string
    {
        $cache = $this->dataFolder.'/fonts';
        if (!is_dir($cache)) {
            @mkdir($cache, 0o755, true);
        }
        $dompdf = new Dompdf(
            new Options(
                [
                    'fontDir' => $cache, 'fontCache' => $cache, 'isRemoteEnabled' => false, 'isPhpEnabled' => false,
                    'chroot' => [$this->projectFolder.'/assets', $cache], 'defaultPaperSize' => 'a4', 'defaultMediaType' => 'print',
                ],
            ),
        );
        $dompdf->loadHtml($html, 'UTF-8');
        $dompdf->render();

        return (string) $dompdf->output();
    }
}
