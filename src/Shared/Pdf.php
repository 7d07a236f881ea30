<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use Dompdf\Dompdf;
use Dompdf\Options;

/** Makes a PDF with real text and the project's own fonts from a page. */
final readonly class Pdf
{
    public function __construct(private string $projectFolder, private string $dataFolder)
    {
    }

    /** @param bool $numbered whether each page says which of how many it is */
    public function of(string $html, bool $numbered = false): string
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
        if ($numbered) {
            $canvas = $dompdf->getCanvas();
            $font = $dompdf->getFontMetrics()->getFont('Sofia Sans') ?? '';
            $canvas->page_text(
                $canvas->get_width() - 82, $canvas->get_height() - 30, '{PAGE_NUM} of {PAGE_COUNT}', $font, 8, [0.27, 0.32, 0.3],
            );
        }

        return (string) $dompdf->output();
    }

    /** @return list<array{family: string, weight: int, address: string}> for the style sheet of a page to be printed */
    public function fonts(): array
    {
        $fonts = [];
        foreach (['Sofia Sans' => 'sofia-sans', 'Sofia Sans Condensed' => 'sofia-sans-condensed'] as $family => $file) {
            foreach ([400, 700] as $weight) {
                $fonts[] = [
                    'family' => $family, 'weight' => $weight,
                    'address' => 'data:font/ttf;base64,'.base64_encode(
                        (string) file_get_contents(sprintf('%s/assets/fonts/%s-%d.ttf', $this->projectFolder, $file, $weight)),
                    ),
                ];
            }
        }

        return $fonts;
    }
}
