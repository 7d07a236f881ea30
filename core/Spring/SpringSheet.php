<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Formula;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\OfSet;
use MuteTapper\Core\Calculation\PercentDeparture;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Coil;
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

/** The springs on the tester: loads, rate, travel to bind, and each load against its claim and against the others. */
final class SpringSheet
{
    /** Fewer springs have no middle value worth comparing with. [practice] */
    public const LEAST_SET = Column::LEAST_SET;

    private const TOO_FEW = 'at least 4 springs of this kind at one height';

    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'springs',
            title: 'Springs',
            step: Step::Bench,
            what: 'springs',
            columns: [
                Column::length('free_height', Part::Spring, 0.8, 4.0)
                    ->at(Axis::Coil)->claimable()->departingAtMost('free_height_allowance')->usually(2.25),
                Column::force('load_seat', Part::Spring, 0, 600, 'seat load')
                    ->at(Axis::Coil)->atHeight('installed_height')->by('spring_tester')->statable()->ofPairToo()
                    ->usually(168, Unit::PoundForce),
                Column::force('load_open', Part::Spring, 0, 1500, 'open load')
                    ->at(Axis::Coil)->atHeight()->by('spring_tester')->statable()->ofPairToo()->usually(412, Unit::PoundForce),
                Column::length('bind_height', Part::Spring, 0.4, 2.5)->at(Axis::Coil)->by('height_micrometer')->claimable()->usually(1.215)
                    ->orElse(Way::derived(SweepCalculations::bindHeight(), self::sweep())),
                Column::length('outside_diameter', Part::Spring, 0.5, 2.5)
                    ->at(Axis::Coil)->headed('outside dia.')->claimable()->usually(1.54),
                Column::length('inside_diameter', Part::Spring, 0.3, 2.2)
                    ->at(Axis::Coil)->headed('inside dia.')->claimable()->usually(1.12),
                self::rate(),
            ],
            values: self::values(),
            judged: [
                Judged::of('load_from_claim', 'seat load, claim'),
                Judged::of('load_from_middle', 'seat load, middle')->accusingOnly(),
                Judged::of('travel_to_bind', 'travel to bind')->restsOn('installed_height')->singleSpringsOnly('production')
                    ->eatenBy('loft_at_highest'),
                Judged::of('open_load_from_claim', 'open load')->asDeparture('reference'),
                Judged::of('seat_load_from_claim', 'load at its height')->asDeparture('reference'),
                Judged::of('rate_from_claim', 'rate')->asDeparture('reference'),
            ],
            remarks: [self::middles(...), self::offTheEngine(...)],
            faces: Axis::Coil,
            faceKeys: Coil::PAGES,
            wants: ['installed_height' => 1, 'bind_height' => 1, 'load_seat' => 1],
            isCountedAlways: true,
        );
    }

    private static function rate(): Column
    {
        return Column::of(
            'rate', Part::Spring, 5, 3000, Unit::PoundForcePerInch,
        )->at(Axis::Coil)->neverRead()->statable()->ofPairToo()->computedUnder('rate')->usually(400, Unit::PoundForcePerInch)->orElse(
            Way::derived(SweepCalculations::rate(), self::sweep() + [
                'height' => From::value('spring_height'), 'open_height' => From::value('height_at_lift'),
            ]),
            ...self::ofEachCoil(new RateFromTwoLoads(), [
                'load_seat' => From::value('load_seat'), 'height_seat' => From::height('load_seat'),
                'load_open' => From::value('load_open'), 'height_open' => From::height('load_open'),
            ]),
            ...self::together('rate', Dimension::Stiffness),
        );
    }

    /** @return list<Value> */
    private static function values(): array
    {
        $inner = LinearForm::of(
            'inner-installed-height', 'Installed height of the inner spring', Dimension::Length, 'installed height − retainer step',
            Source::practice(),
        )
            ->plus('installed_height', 'installed height of the outer spring')
            ->minus('inner_step', 'step of the retainer down to the inner spring');
        $travel = LinearForm::of(
            'travel-to-bind', 'Travel to bind', Dimension::Length, 'installed height − net lift − bind height', Source::practice(),
        )
            ->plus('installed_height', 'installed height, above all shims and locator')->minus('net_lift', 'net valve lift')
            ->minus('bind_height', 'height at which the spring goes solid');
        $atLift = LinearForm::of(
            'height-at-lift', 'Height of a spring at full lift', Dimension::Length, 'installed height − net lift', Source::practice(),
        )
            ->plus('spring_height', 'installed height of the spring')->minus('net_lift', 'net valve lift');
        $atHalf = Formula::of(
            'height-at-half-lift', 'Height of a spring at half lift', Dimension::Length, 'installed height − net lift ÷ 2',
            Source::practice(), static fn (float $height, float $lift): float => $height - $lift / 2,
        )
            ->input('spring_height', 'installed height of the spring', Dimension::Length)
            ->input('net_lift', 'net valve lift', Dimension::Length);
        $lead = LinearForm::of(
            'inner-travel-over-outer', 'Travel of the inner spring beyond that of the outer', Dimension::Length,
            'travel of the inner − travel of the outer', Source::own(),
        )
            ->plus('inner', 'travel to bind of the inner spring')->minus('outer', 'travel to bind of the outer spring');
        $load = static fn (string $reference): PercentDeparture => new PercentDeparture(
            'load-departure', 'Departure of a load', Dimension::Force, 'load', 'load as found', $reference,
            Source::practice('more than 10 per cent from specification or from the middle value is a weak or wrong spring'),
        );
        $claimed = $load('specified load, or middle value of the set, at the same height');
        $rate = new PercentDeparture(
            'rate-departure', 'Departure of a rate', Dimension::Stiffness, 'rate', 'rate as found', 'rate as claimed',
            Source::practice('a set spring keeps its rate, another or a cracked one does not'),
        );

        return [
            Value::named('spring_height', 'installed height of the spring', Dimension::Length, Site::Station, Axis::Coil)->ofPairToo()->by(
                Way::same(From::value('installed_height'))->at(Coil::Outer->value),
                Way::derived(
                    $inner,
                    ['installed_height' => From::value('installed_height'), 'inner_step' => From::value('inner_step')],
                )->at(Coil::Inner->value),
                Way::same(From::value('installed_height'))->at(Coil::Damper->value),
                Way::same(From::value('installed_height'))->at(Coil::Pair->value),
            ),
            Value::named(
                'seat_load', 'seat load at the installed height', Dimension::Force, Site::Station, Axis::Coil,
            )->ofPairToo()->headed('load at its height')->by(
                Way::derived(SweepCalculations::load(), self::sweep() + ['wanted_height' => From::value('spring_height')]),
                ...self::ofEachCoil(new LoadAtHeight(), [
                    'load' => From::value('load_seat'), 'height' => From::height('load_seat'), 'rate' => From::value('rate'),
                    'wanted_height' => From::value('spring_height'),
                ]),
                ...self::together('seat_load', Dimension::Force),
            ),
            ...array_map(self::atClaimedHeight(...), ['load_seat', 'load_open']),
            Value::named('load_from_claim', 'seat load against specification', Dimension::Percent, Site::Station, Axis::Coil)->ofPairToo()
                ->by(
                    Way::derived(
                        $claimed,
                        ['load' => From::measured('load_seat_at_claimed_height'), 'reference' => From::claim('load_seat')],
                    ),
                ),
            Value::named(
                'open_load_from_claim', 'open load against specification', Dimension::Percent, Site::Station, Axis::Coil,
            )->ofPairToo()
                ->by(
                    Way::derived(
                        $claimed,
                        ['load' => From::measured('load_open_at_claimed_height'), 'reference' => From::claim('load_open')],
                    ),
                ),
            Value::named(
                'seat_load_from_claim', 'load at the installed height against specification', Dimension::Percent, Site::Station, Axis::Coil,
            )->ofPairToo()
                ->by(Way::derived($claimed, ['load' => From::measured('seat_load'), 'reference' => From::claim('load_seat')])),
            Value::named('height_at_lift', 'height of the spring at full lift', Dimension::Length, Site::Station, Axis::Coil)->by(
                Way::derived($atLift, ['spring_height' => From::value('spring_height'), 'net_lift' => From::value('net_lift')]),
            ),
            Value::named('load_at_lift', 'load at full lift', Dimension::Force, Site::Station, Axis::Coil)->ofPairToo()->by(
                Way::derived(SweepCalculations::load(), self::sweep() + ['wanted_height' => From::value('height_at_lift')]),
                ...self::ofEachCoil(new LoadAtHeight(), [
                    'load' => From::value('load_open'), 'height' => From::height('load_open'), 'rate' => From::value('rate'),
                    'wanted_height' => From::value('height_at_lift'),
                ]),
                ...self::together('load_at_lift', Dimension::Force),
            ),
            Value::named('height_at_half_lift', 'height of the spring at half lift', Dimension::Length, Site::Station, Axis::Coil)->by(
                Way::derived($atHalf, ['spring_height' => From::value('spring_height'), 'net_lift' => From::value('net_lift')]),
            ),
            Value::named('load_at_half_lift', 'load at half lift', Dimension::Force, Site::Station, Axis::Coil)->ofPairToo()->by(
                Way::derived(SweepCalculations::load(), self::sweep() + ['wanted_height' => From::value('height_at_half_lift')]),
                ...self::ofEachCoil(new LoadAtHeight(), [
                    'load' => From::value('load_open'), 'height' => From::height('load_open'), 'rate' => From::value('rate'),
                    'wanted_height' => From::value('height_at_half_lift'),
                ]),
                ...self::together('load_at_half_lift', Dimension::Force),
            ),
            self::ofAllSprings('valve_half_load', 'spring load on the valve at half lift', 'load_at_half_lift'),
            self::ofAllSprings('valve_seat_load', 'seat load on the valve', 'seat_load'),
            self::ofAllSprings('valve_open_load', 'spring load on the valve at full lift', 'load_at_lift'),
            Value::named('load_middle', 'middle value of the set', Dimension::Force, Site::Station, Axis::Coil)->by(Way::derived(
                OfSet::middle('middle-value', 'Middle value of a set', 'loads', 'loads of the set', Dimension::Force),
                [
                    'loads' => From::peers(
                        'load_seat', Peers::ofKind(self::LEAST_SET)->atOneHeight()->ofOnePopulation(),
                    )->called(self::TOO_FEW),
                ],
            )),
            Value::named('load_from_middle', 'seat load against the middle value', Dimension::Percent, Site::Station, Axis::Coil)
                ->by(
                    Way::derived(
                        $claimed,
                        ['load' => From::measured('load_seat'), 'reference' => From::value('load_middle')->called(self::TOO_FEW)],
                    ),
                ),
            Value::named('rate_from_claim', 'rate against claim', Dimension::Percent, Site::Station, Axis::Coil)->ofPairToo()
                ->by(Way::derived($rate, ['rate' => From::measured('rate'), 'reference' => From::claim('rate')])),
            Value::named(
                'free_height_allowance', 'free height that a tenth of the seat load is worth', Dimension::Length, Site::Station, Axis::Coil,
            )
                ->by(Way::derived(new FreeHeightAllowance(), ['load' => From::claim('load_seat'), 'rate' => From::value('rate')])),
            Value::named('travel_to_bind', 'travel to bind', Dimension::Length, Site::Station, Axis::Coil)
                ->by(
                    Way::derived(
                        $travel,
                        [
                            'installed_height' => From::value('spring_height'), 'net_lift' => From::value('net_lift'),
                            'bind_height' => From::value('bind_height'),
                        ],
                    ),
                ),
            Value::named('inner_travel_over_outer', 'travel of the inner spring beyond the outer', Dimension::Length)
                ->by(
                    Way::derived(
                        $lead,
                        [
                            'inner' => From::value('travel_to_bind', Coil::Inner->value),
                            'outer' => From::value('travel_to_bind', Coil::Outer->value),
                        ],
                    ),
                ),
        ];
    }

    /**
     * Outer and inner spring together, with the damper between them where it was tested, too.
     *
     * @return list<Way>
     */
    private static function together(string $value, Dimension $dimension): array
    {
        return [
            self::sum($value, $dimension, Coil::Outer, Coil::Inner, Coil::Damper)->at(Coil::Pair->value),
            self::sum($value, $dimension, Coil::Outer, Coil::Inner)->at(Coil::Pair->value),
        ];
    }

    /** What the springs of a valve carry together: the pair where there are two, and never one of two alone. */
    private static function ofAllSprings(string $name, string $title, string $load): Value
    {
        return Value::named($name, $title, Dimension::Force)->by(
            self::sum($load, Dimension::Force, Coil::Outer, Coil::Damper)->whereSingle(),
            Way::same(From::value($load, Coil::Outer->value))->whereSingle(),
            Way::same(From::value($load, Coil::Pair->value))->whereDual(),
        );
    }

    /** Springs side by side: their loads add, and so do their rates. */
    private static function sum(string $value, Dimension $dimension, Coil ...$coils): Way
    {
        $what = $dimension === Dimension::Force ? 'load' : 'rate';
        $names = array_map(static fn (Coil $coil): string => $coil->value, $coils);
        $sum = LinearForm::of(
            sprintf('%ss-of-%s', $what, implode('-and-', $names)), sprintf('%s of %s together', ucfirst($what), implode(' and ', $names)),
            $dimension, implode(' + ', array_map(static fn (string $name): string => $what.' of the '.$name, $names)),
            Source::published('parallel springs, any text; from memory'),
        );
        $inputs = [];
        foreach ($names as $name) {
            $sum = $sum->plus($name, $what.' of the '.$name);
            $inputs[$name] = From::value($value, $name);
        }

        return Way::derived($sum, $inputs);
    }

    /** A load brought to the height of its claim, by way of the spring's own rate: loads are compared at equal heights only. */
    private static function atClaimedHeight(string $load): Value
    {
        $inputs = ['load' => From::value($load), 'height' => From::height($load), 'wanted_height' => From::claimedHeight($load)];

        return Value::named(
            $load.'_at_claimed_height', 'load at the claimed height', Dimension::Force, Site::Station, Axis::Coil,
        )->ofPairToo()->by(
            Way::derived(SweepCalculations::load(), self::sweep() + ['wanted_height' => From::claimedHeight($load)]),
            ...self::ofEachCoil(new LoadAsTaken(), $inputs),
            ...self::ofEachCoil(new LoadAtHeight(), $inputs + ['rate' => From::value('rate')]),
            ...($load !== 'load_seat' ? [] : [Way::derived(new LoadAtHeight(), [
                'load' => From::value('seat_load'), 'height' => From::value('spring_height'), 'rate' => From::value('rate'),
                'wanted_height' => From::claimedHeight('load_seat'),
            ])->at(Coil::Pair->value)]),
        );
    }

    /** @return array<string, From> the points of a sweep, where the spring was swept */
    private static function sweep(): array
    {
        return ['heights' => From::sweptHeights('load_open'), 'loads' => From::sweptLoads('load_open')];
    }

    /**
     * @param array<string, From> $inputs
     *
     * @return list<Way>
     */
    private static function ofEachCoil(Calculation $calculation, array $inputs): array
    {
        return array_map(static fn (Coil $coil): Way => Way::derived($calculation, $inputs)->at($coil->value), Coil::SINGLE);
    }

    /** @return list<string> the middle value of each set, and where a set falls into two */
    private static function middles(Bench $bench): array
    {
        $column = $bench->sheets->columns['load_seat'];
        $units = $bench->case->settings->units;
        $said = [];
        foreach ($bench->case->engine->stations as $station) {
            foreach (Coil::SINGLE as $coil) {
                $height = $bench->reading($station->code(), $column, $coil->value)?->height();
                $middle = $height === null ? null : $bench->value($station->code(), 'load_middle', $coil->value);
                if ($height !== null && $middle instanceof Given && $middle->trace !== null) {
                    $set = sprintf(
                        '%ss%s at %s', $station->kind->word(), $coil === Coil::Outer ? '' : sprintf(', %s,', $coil->words()),
                        $units->show($height->quantity()),
                    );
                    $said[$set] ??= sprintf(
                        'Middle value of %d %s: %s.', count($middle->trace->values->all('loads')), $set,
                        $units->show($middle->value->quantity()),
                    ).($middle->doubt === null ? '' : ' '.$middle->doubt);
                }
            }
        }

        return array_values($said);
    }

    /** @return list<string> of which springs it is known which ones they are: what was read of them off the engine serves */
    private static function offTheEngine(Bench $bench): array
    {
        $said = [];
        foreach ($bench->case->engine->stations as $station) {
            foreach (Coil::PAGES as $coil) {
                $tag = $bench->tagAt($station->code(), Part::Spring, $coil);
                if ($tag !== null) {
                    $said[] = sprintf('%s%s %s', $station->label(), $coil === Coil::Outer->value ? '' : ', '.$coil.':', $tag);
                }
            }
        }

        return $said === [] ? [] : [
            sprintf('Known by their tags: %s. What was read of one off the engine serves until it is read here.', implode('; ', $said)),
        ];
    }
}
