<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Photograph\Measures;
use MuteTapper\App\Record\Photograph;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;

/** The photographs of a report, each with what was drawn on it. */
final readonly class PhotographSection
{
    public function __construct(private EntityManagerInterface $entities, private ReportPictures $pictures)
    {
    }

    /**
     * The photographs of a case, and what was drawn on each.
     *
     * @return list<array{sha256: string, stored: Photograph|null, drawing: Drawing|null, caption: string, state: string}>
     */
    public function of(CaseFile $case): array
    {
        $drawn = [];
        foreach (Measures::of($case) as $measure) {
            $drawn[$measure->sha256][] = $measure;
        }

        return array_map(function (Entry $entry) use ($drawn): array {
            $data = $entry->node();
            $sha256 = $data->get('sha256')->word();
            $stored = $this->entities->find(Photograph::class, $sha256);

            return [
                'sha256' => $sha256,
                'stored' => $stored,
                'drawing' => $stored === null || !isset($drawn[$sha256])
                    ? null
                    : Drawing::picture($stored->width, $stored->height, $drawn[$sha256]),
                'caption' => $data->maybe('caption')?->text() ?? '',
                'state' => str_replace('_', ' ', $data->maybe('state')?->text() ?? ''),
            ];
        }, $case->log->standing(EntryKind::Photograph));
    }

    /**
     * @param list<array{sha256: string, stored: Photograph|null, drawing: Drawing|null, caption: string, state: string}> $photographs
     * @param array<string, string> $drawn SVG by SHA-256 of the photograph
     * @param \Closure(float): void $progress told how far it is, 0 to 1
     *
     * @return list<array{address: string|null, caption: string, state: string, sha256: string}>
     */
    public function shown(array $photographs, array $drawn, \Closure $progress): array
    {
        $shown = [];
        foreach ($photographs as $i => ['sha256' => $sha256, 'stored' => $stored, 'caption' => $caption, 'state' => $state]) {
            $progress($i / count($photographs));
            $address = $stored === null ? null : $this->pictures->dataAddress($stored, $drawn[$sha256] ?? null);
            $shown[] = ['address' => $address, 'caption' => $caption, 'state' => $state, 'sha256' => $sha256];
        }

        return $shown;
    }
}
