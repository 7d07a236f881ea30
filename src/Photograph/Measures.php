<?php

declare(strict_types=1);

namespace MuteTapper\App\Photograph;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Photograph\Annotation;
use MuteTapper\Core\Photograph\Measurer;
use MuteTapper\Core\Photograph\Shape;

/** Everything drawn on the photographs of a case, measured by the scale that was laid on each. */
final class Measures
{
    /** @return list<MeasureView> */
    public static function of(CaseFile $case): array
    {
        $drawn = $scales = [];
        foreach ($case->log->standing(EntryKind::Annotation) as $entry) {
            $annotation = Annotation::fromNode($entry->node());
            $drawn[] = [$entry, $annotation];
            if ($annotation->shape === Shape::Scale) {
                $scales[$annotation->sha256] = $annotation;
            }
        }
        $views = [];
        foreach ($drawn as [$entry, $annotation]) {
            $scale = $scales[$annotation->sha256] ?? null;
            $measured = Measurer::by($scale)->measure($annotation);
            $views[] = new MeasureView(
                $entry->id, $entry->slot->index ?? '', $annotation->sha256, $annotation->shape, $annotation->points, $annotation->words,
                match (true) {
                    $annotation->known !== null => QuantityView::exact($annotation->known->quantity(), $case->settings->units),
                    $measured !== null => QuantityView::uncertain($measured, $case->settings->units),
                    default => null,
                },
                match (true) {
                    $measured !== null || !$annotation->shape->isMeasure() => null,
                    $scale === null && $annotation->shape !== Shape::Angle => 'Lay a scale first: two points whose distance is known.',
                    default => 'These points lie so that nothing can be measured.',
                },
            );
        }

        return $views;
    }
}
