<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

/** The project's own fonts, for a page that is printed. */
final readonly class PrintFonts
{
    public function __construct(private string $projectFolder)
    {
    }

    /** @return list<array{family: string, weight: int, address: string}> for the style sheet of a page to be printed */
    public function all(): array
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
