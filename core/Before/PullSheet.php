<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\OfSet;
use MuteTapper\Core\Calculation\PercentDeparture;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\At;
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

/** Lash and seat-load pulls on the assembled engine, in the order in which lash is set, and over dates. */
final class PullSheet
{
    private const LEAST_SET = 4;
    /** A valve is pulled twice, and a third time where the two disagree. */
    private const PULLS = 2;

    public static function declare(): Sheet
    {
        return new Sheet(
            code: 'pulls',
            title: 'Lash and pulls',
            step: Step::Before,
            what: 'pulls',
            columns: [
                Column::force('pull', Part::Valve, 0, 600, 'seat-load pull')
                    ->headed('pull')->at(Axis::Date, Axis::Number)->by('lever_tester')->usually(118, Unit::PoundForce),
            ],
            values: self::values(),
            judged: [
                Judged::of('pull_from_middle', 'from the middle')->accusingOnly(),
                Judged::of('lash_drift', 'change of lash')->apart()->saying(self::drift(...)),
                Judged::of('pull_drift', 'change of pull')->apart()->saying(self::drift(...)),
            ],
            remarks: [self::level(...), self::doubts(...)],
            also: ['lash'],
            wants: ['lash' => 1, 'pull' => self::PULLS],
            isCountedAlways: true,
            order: static fn (Engine $engine): array => array_map(
                static fn (Station $station): string => $station->code(), LashOrder::of($engine)->stations(),
            ),
        );
    }

    /** @return list<Value> */
    private static function values(): array
    {
        $middle = static fn (string $meaning): OfSet => OfSet::middle(
            'middle-value', 'Middle value of a set', 'loads', $meaning, Dimension::Force,
        );
        $departure = new PercentDeparture(
            'load-departure', 'Departure of a load', Dimension::Force, 'load', 'load as found',
            'specified load, or middle value of the set, at the same height',
            Source::practice('more than 10 per cent from specification or from the middle value is a weak or wrong spring'),
        );
        $pull = static fn (string $name, string $title, Dimension $dimension): Value => Value::named(
            $name, $title, $dimension, Site::Station, Axis::Date,
        );
        $change = static fn (string $name, string $title, Dimension $dimension, string $what, Source $source): LinearForm => LinearForm::of(
            $name, $title, $dimension, 'now − before', $source,
        )
            ->plus('now', $what.' now')->minus('before', $what.' at the earlier date');

        return [
            $pull('pull_load', 'seat-load pull', Dimension::Force)->by(
                Way::derived($middle('pulls of one valve'), ['loads' => From::every('pull')]),
            ),
            $pull('pull_middle', 'middle value of the pulls', Dimension::Force)->by(Way::derived(
                $middle('loads of the set'),
                ['loads' => From::peers('pull_load', Peers::ofKindElseAll(self::LEAST_SET)->ofOnePopulation())],
            )),
            Value::named('pull_middle_of_all', 'middle value of all pulls', Dimension::Force, Site::Engine, Axis::Date)->by(
                Way::derived($middle('loads of the set'), ['loads' => From::peers('pull_load', Peers::ofAll(self::LEAST_SET))]),
            ),
            $pull('pull_from_middle', 'pull against the middle value', Dimension::Percent)
                ->by(Way::derived($departure, ['load' => From::value('pull_load'), 'reference' => From::value('pull_middle')])),
            // Against all valves together: where most springs of a kind age alike, their own middle value falls with them.
            $pull('pull_from_all', 'pull against all others', Dimension::Percent)
                ->by(Way::derived($departure, ['load' => From::value('pull_load'), 'reference' => From::value('pull_middle_of_all')])),
            Value::named('lash_drift', 'change of lash', Dimension::Length)->by(Way::derived(
                $change(
                    'lash-drift', 'Change of lash', Dimension::Length, 'lash',
                    Source::practice('a valve that drifts is flagged before it breaks'),
                ),
                ['now' => From::newest('lash'), 'before' => From::oldest('lash')],
            )),
            Value::named('pull_drift', 'change of pull against the others', Dimension::Percent)->by(Way::derived(
                $change(
                    'pull-drift', 'Change of a seat-load pull against the others', Dimension::Percent, 'departure from the middle value',
                    Source::own(
                        'a lever tester repeats well but reads off: only the departure from the middle value can be followed over dates',
                    ),
                ),
                ['now' => From::newest('pull_from_all'), 'before' => From::oldest('pull_from_all')],
            )),
        ];
    }

    /** Whether two pulls of a valve differ by more than the tester repeats, and no third has settled it. */
    public static function wantsThird(Bench $bench, string $station): bool
    {
        $pulls = [];
        foreach (range(1, self::PULLS + 1) as $number) {
            $pulls[] = $bench->reading($station, $bench->sheets->columns['pull'], (string) $number);
        }
        [$one, $two, $three] = $pulls;
        if ($one === null || $two === null || $three !== null) {
            return false;
        }
        $apart = abs($one->typed->quantity()->base - $two->typed->quantity()->base);

        return $apart > max($one->gauge->repeatInBaseUnit(), $two->gauge->repeatInBaseUnit());
    }

    /** The valve to be pulled next, in the order in which lash is set: one with fewer than two pulls, or with two that disagree. */
    public static function next(Bench $bench): ?string
    {
        foreach (LashOrder::of($bench->case->engine)->stations() as $station) {
            $code = $station->code();
            foreach (range(1, self::PULLS) as $number) {
                if ($bench->reading($code, $bench->sheets->columns['pull'], (string) $number) === null) {
                    return $code;
                }
            }
            if (self::wantsThird($bench, $code)) {
                return $code;
            }
        }

        return null;
    }

    /** @return list<string> */
    private static function level(Bench $bench): array
    {
        $known = array_filter($bench->marginsOf('pull_from_middle'), static fn (Margin $margin): bool => $margin->value() !== null);
        $even = array_filter($known, static fn (Margin $margin): bool => $margin->isInside());

        return $known !== [] && count($even) === count($known)
            ? ['The pulls are even. The tester’s offset is not known, so they say nothing of their level: cannot tell whether all are low.']
            : [];
    }

    /** @return list<string> */
    private static function doubts(Bench $bench): array
    {
        $said = [];
        foreach ($bench->marginsOf('pull_from_middle') as $margin) {
            if ($margin->value() !== null && $margin->because !== null) {
                $said[$margin->because] = true;
            }
        }

        return array_map(strval(...), array_keys($said));
    }

    /** What the direction of a change means. [practice] */
    private static function drift(At $at, Margin $margin): string
    {
        $change = $margin->value()->base ?? 0.0;
        $since = ($margin->trace->values->given['before'][0] ?? null)->origin ?? '';
        $meaning = match (true) {
            $margin->quantity() === 'pull_drift' => $change < 0
                ? 'It falls behind the others: this spring loses its load.'
                : 'It gains on the others: look whether they lose theirs.',
            $change > 0 => 'It grew: lobe, follower, tip, cup or pushrod wears.',
            default => 'It shrank: the seat recedes, or the valve stretches or cups.',
        };

        return sprintf('Since %s. %s', substr($since, -10), $margin->isOutside() ? $meaning : '');
    }
}
