<?php

declare(strict_types=1);

namespace MuteTapper\Core\Head;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\LashKind;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\At;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Slider;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** Heights, lift and room: what the spring stands in, how far the valve goes, and what it meets. */
final class HeightsSheet
{
    /** A ratio off the description is good to so much of itself. [practice] */
    private const NOMINAL_RATIO = 0.02;

    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'heights',
            title: 'Heights, lift and room',
            step: Step::Bench,
            what: 'heights',
            columns: [
                Column::length('installed_height', Part::SpringSeat, 0.7, 3.0)
                    ->by('height_micrometer')->claimable()->neededInClaim()->usually(1.9)->triedOn(Slider::around(0.15, 0.15))
                    ->movingWith(['shims_under_spring' => -1, 'longer_valve' => 1, 'lock_offset' => 1, 'retainer_offset' => 1])
                    ->orElse(Way::same(From::value('height_from_parts'))),
                Column::length('shims', Part::SpringSeat, 0.0, 0.35, 'shims and locator')
                    ->headed('shims, locator')->claimable()->usually(0.06)->triedOn(Slider::between(0, 0.2))
                    ->movingWith(['shim_stack' => 1, 'locator_thickness' => 1])->orElse(
                        Way::derived(
                            HeadCalculations::underSpring(),
                            ['shim_stack' => From::value('shim_stack'), 'locator_thickness' => From::value('locator_thickness')],
                        ),
                    ),
                Column::length('lobe_lift', Part::Lobe, 0.0, 0.8)->by('dial_indicator')->claimable()->comparedWithSet()->usually(0.39)
                    ->triedOn(Slider::around(0.08, 0.08))
                    ->orElse(Way::derived(HeadCalculations::liftOfTable(), ['lifts' => From::measuredLifts()])),
                self::ratio(),
                Column::length('lash', Part::Valve, 0.0, 0.3)->at(Axis::Date)->by('feeler')->claimable()->usually(0.016)
                    ->triedOn(Slider::around(0.02, 0.03))
                    ->on(static fn (Engine $engine): bool => $engine->lash === LashKind::Solid),
                Column::length('preload', Part::Follower, -0.1, 0.3, 'preload, as the plunger is pressed in')->headed('preload')
                    ->usually(0.04)->triedOn(Slider::around(0.04, 0.04))->movingWith(['pushrod_length' => 1])
                    ->on(static fn (Engine $engine): bool => $engine->lash === LashKind::Hydraulic),
                self::netLift(),
                Column::length('pocket_diameter', Part::SpringSeat, 0.6, 3.0)->headed('pocket dia.')->claimable()->usually(1.569),
                Column::length(
                    'seal_height', Part::Seal, 0.0, 1.6, 'seal or guide top, above the spring seat',
                )->headed('seal top')->claimable()->usually(0.88)->movingWith(['shims_under_spring' => -1, 'guide_cut' => -1])->orElse(
                    Way::derived(
                        HeadCalculations::heightAboveSpringSeat(),
                        ['height_from_head' => From::measured('seal_height_from_head'), 'shims' => From::value('shims_under_spring')],
                    ),
                ),
                Column::length(
                    'seal_height_from_head', Part::Seal, 0.0, 1.8, 'seal or guide top, above the bare head',
                )->headed('seal top from head')->usually(0.94)->movingWith(['guide_cut' => -1]),
                Column::length('retainer_depth', Part::Retainer, -0.3, 0.8)->claimable()->usually(0.285),
                Column::length(
                    'inner_step', Part::Retainer, -0.3, 0.5, 'retainer step to the inner spring',
                )->headed('inner step')->forDual()->usually(0.06),
            ],
            values: [
                Value::named('shims_under_spring', 'shims and locator under the spring', Dimension::Length)->by(
                    Way::same(From::value('shims')),
                    Way::usual(0, Unit::Inch, 'no shims recorded'),
                ),
                Value::named(
                    'shims_to_add', 'shims to add for the height as claimed', Dimension::Length,
                )->headed('shims to add')->by(Way::derived(HeadCalculations::shimsNeeded(), [
                    'installed_height' => From::measured('installed_height'), 'wanted_height' => From::claim('installed_height'),
                ])),
                Value::named(
                    'retainer_to_seal', 'retainer to seal', Dimension::Length,
                )->by(Way::derived(HeadCalculations::retainerToSeal(), [
                    'installed_height' => From::value('installed_height'), 'seal_height' => From::value('seal_height'),
                    'retainer_depth' => From::value('retainer_depth'), 'net_lift' => From::value('net_lift'),
                ])),
                Value::named(
                    'spring_in_pocket', 'spring in pocket', Dimension::Length,
                )->by(Way::derived(HeadCalculations::springInPocket(), [
                    'pocket_diameter' => From::value('pocket_diameter'),
                    'outside_diameter' => From::value('outside_diameter', Coil::Outer->value),
                ])),
            ],
            judged: [
                Judged::of('retainer_to_seal', 'retainer to seal')->restsOn('installed_height', 'seal_height', 'retainer_depth')
                    ->eatenBy('loft_at_highest'),
                Judged::of('preload', 'preload'),
                Judged::of('spring_in_pocket', 'spring in pocket')->restsOn('pocket_diameter', 'outside_diameter')
                    ->unless(self::isProud(...)),
            ],
            remarks: [self::packs(...), HighestLift::remarks(...)],
            goesAcross: false,
        );
    }

    /** Locator and shims decide which fit counts: a spring that stands above the rim has no wall around it. [practice] */
    private static function isProud(At $at): ?string
    {
        $above = $at->value('spring_above_rim');

        return $above instanceof Given && $above->value->base >= 0.0
            ? 'The spring stands above the rim of its pocket: only the locator must fit it.' : null;
    }

    /** @return list<string> how the heights as claimed are reached with the shop's shims, and what spread is left */
    private static function packs(Bench $bench): array
    {
        $units = $bench->case->settings->units;
        $stock = $bench->springShims;
        $show = static fn (float $length): string => $units->show(Quantity::difference($length, Dimension::Length));
        $at = $left = [];
        foreach ($bench->case->engine->stations as $station) {
            $needed = $bench->value($station->code(), 'shims_to_add');
            if (!$needed instanceof Given) {
                continue;
            }
            $base = $needed->value->base;
            $pack = $base < -$stock->tolerance ? null : ShimPack::reaching(max(0.0, $base), $stock);
            $way = match (true) {
                $base < -$stock->tolerance => sprintf('take out %s', $show(-$base)),
                $pack === null => sprintf('%s, nothing of the stock comes near', $show($base)),
                $pack->shims === [] => null,
                default => implode(' + ', array_map($units->figure(...), array_map(
                    static fn (float $shim): Quantity => Quantity::difference($shim, Dimension::Length), $pack->shims,
                ))),
            };
            if ($way !== null) {
                $at[$way][] = $station->label();
            }
            $left[] = $base - ($pack?->thickness() ?? 0.0);
        }
        if ($at === [] || $left === []) {
            return [];
        }
        $ways = array_map(static fn (string $way, array $labels): string => implode(', ', $labels).': '.$way, array_keys($at), $at);

        return [sprintf(
            'To the height as claimed, fewest shims of the stock. %s. Spread left over all stations: %s.', implode('; ', $ways),
            $show(max($left) - min($left)),
        )];
    }

    private static function ratio(): Column
    {
        return Column::of('ratio', Part::Rocker, 0.8, 2.6, Unit::One, 'rocker ratio')
            ->headed('ratio')->by('ratio_from_lifts')->usually(1.5, Unit::One)->triedOn(Slider::around(0.2, 0.2, 0.01, Unit::One))
            ->on(static fn (Engine $engine): bool => $engine->drive !== DriveKind::Bucket)
            ->orElse(
                Way::usual(1, Unit::One, 'direct drive', basis: Basis::Claimed)->on(
                    static fn (Engine $engine): bool => $engine->drive === DriveKind::Bucket,
                ),
                Way::fact(self::nominalRatio(...))->on(static fn (Engine $engine): bool => $engine->drive !== DriveKind::Bucket),
            );
    }

    private static function nominalRatio(Engine $engine): ?Given
    {
        $ratio = $engine->rockerRatio();
        if ($ratio === null) {
            return null;
        }
        $u = Uncertain::fromHalfWidth(self::NOMINAL_RATIO * $ratio->base);

        return new Given(Uncertain::of($ratio, ['nominal ratio' => $u]), 'nominal ratio of the engine description, ±2 %', Basis::Claimed);
    }

    private static function netLift(): Column
    {
        $inputs = ['lobe_lift' => From::value('lobe_lift'), 'ratio' => From::value('ratio')];

        return Column::length(
            'net_lift', Part::Valve, 0.0, 1.2,
        )->by('dial_indicator')->claimable()->computedUnder('lift, computed')->usually(0.57)->triedOn(Slider::around(0.1, 0.15))->orElse(
            Way::derived(new NetLiftSolid(), $inputs + ['lash' => From::value('lash')])->on(
                static fn (Engine $engine): bool => $engine->lash === LashKind::Solid,
            ),
            Way::derived(new NetLiftHydraulic(), $inputs)->on(static fn (Engine $engine): bool => $engine->lash === LashKind::Hydraulic),
        );
    }
}
