<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Calculation\OfSet;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Cylinder;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Peers;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;
use MuteTapper\Core\Verdict\Margin;

/** Compression and leak-down, cylinder by cylinder. */
final class CylinderSheet
{
    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'cylinders',
            title: 'Cylinders',
            step: Step::Before,
            what: 'cylinders',
            columns: [
                Column::of('compression', Part::Chamber, 0, 400, Unit::PoundPerSquareInch)
                    ->by('compression_gauge')->claimable()->usually(176, Unit::PoundPerSquareInch),
                Column::of('leak_down', Part::Chamber, 0, 100, Unit::Percent, 'leak-down')
                    ->at(Axis::Warmth)->by('leak_tester')->usually(8, Unit::Percent),
            ],
            values: [
                Value::named('highest_compression', 'highest compression', Dimension::GaugePressure, Site::Cylinder)->by(Way::derived(
                    OfSet::greatest(
                        'highest-compression', 'Highest compression', 'compressions', 'compression of all cylinders',
                        Dimension::GaugePressure, Source::own(),
                    ),
                    ['compressions' => From::peers('compression', Peers::ofAll(2))->called('compression of another cylinder')],
                )),
                Value::named('compression_share', 'compression against the highest', Dimension::Percent, Site::Cylinder)->by(Way::derived(
                    new CompressionShare(), ['compression' => From::value('compression'), 'highest' => From::value('highest_compression')],
                )),
            ],
            judged: [
                Judged::of('compression_share', 'of the highest')->accusingOnly(),
                Judged::of('leak_down', 'leak-down')->firstOf('hot', 'cold'),
            ],
            remarks: [self::neighbours(...)],
            site: Site::Cylinder,
            wants: ['compression' => 1, 'leak_down' => 1],
            isCountedAlways: true,
            questions: ['hiss'],
            order: static function (Engine $engine): array {
                $cylinders = $engine->cylinders;
                usort($cylinders, static fn (Cylinder $a, Cylinder $b): int => $a->number <=> $b->number);

                return array_map(static fn (Cylinder $cylinder): string => $cylinder->code(), $cylinders);
            },
            goesAcross: false,
        );
    }

    /**
     * Two low neighbours point at the gasket between them. [practice].
     *
     * @return list<string>
     */
    private static function neighbours(Bench $bench): array
    {
        $engine = $bench->case->engine;
        $low = array_filter($bench->marginsOf('compression_share'), static fn (Margin $margin): bool => $margin->isOutside());
        $low = array_fill_keys(array_map(static fn (Margin $margin): string => $margin->place, $low), true);
        $remarks = [];
        foreach ($engine->cylinders as $cylinder) {
            $next = $cylinder->bank.($cylinder->position + 1);
            if (isset($low[$cylinder->code()], $low[$next])) {
                $remarks[] = sprintf(
                    '%s and %s are low together and stand side by side: look at the gasket between them.',
                    ucfirst($engine->placeLabel($cylinder->code()) ?? ''), $engine->placeLabel($next) ?? '',
                );
            }
        }

        return $remarks;
    }
}
