<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\Item;
use MuteTapper\Core\Cause\ItemKind;
use MuteTapper\Core\Cause\Ledger;
use MuteTapper\Core\Cause\MarkSpread;
use MuteTapper\Core\Cause\Spread;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\Severity;
use MuteTapper\Core\Timeline\Component;

/** Puts a ledger into words: what was found, where, and how much it weighs. */
final class LedgerPresenter
{
    private const MOST_PLACES = 6;
    /** In the place of a sign. */
    private const CARRY_OVER = 'carry_over';

    public static function view(Assessment $assessment, Ledger $ledger): LedgerView
    {
        $causes = $assessment->knowledge->network->causes;
        $cause = $causes[$ledger->placed->cause];
        $name = static fn (string $sign): string => $assessment->knowledge->signs[$sign]->name;
        $lines = $silent = [];
        foreach ($ledger->lines as $sign => $decibans) {
            if (abs($decibans) < Ledger::SILENT) {
                $silent[] = $name($sign);
            } else {
                $lines[] = self::line($assessment, $ledger, $sign, $decibans);
            }
        }
        foreach ($assessment->model()->spreads() as $spread) {
            $decibans = array_sum(array_intersect_key($ledger->spread, array_flip($spread->signs)));
            if ($decibans !== 0.0 && abs($decibans) < Ledger::SILENT) {
                $silent[] = 'how it lies, '.$name($spread->signs[0]);
            } elseif ($decibans !== 0.0) {
                $lines[] = self::spread($assessment, $ledger, $spread, $decibans);
            }
        }
        if (abs($ledger->carryOver) >= Ledger::SILENT) {
            $lines[] = self::carryOver($assessment, $ledger);
        }
        usort($lines, static fn (LedgerLineView $a, LedgerLineView $b): int => abs($b->decibans) <=> abs($a->decibans));
        $words = new PlaceWords($assessment->case->engine, $assessment->model()->ground);

        return new LedgerView(
            $cause->code, $cause->label, $cause->explain, $words->where($ledger->placed->extent),
            $ledger->against === null ? 'none listed' : lcfirst($causes[$ledger->against->cause]->label), $ledger->start,
            array_values(array_filter($lines, static fn (LedgerLineView $line): bool => $line->decibans > 0)),
            array_values(array_filter($lines, static fn (LedgerLineView $line): bool => $line->decibans <= 0)),
            count($silent), $silent, $ledger->evidence(), $ledger->total(),
        );
    }

    private static function line(Assessment $assessment, Ledger $ledger, string $code, float $decibans): LedgerLineView
    {
        $item = $assessment->items()[$code];
        $sign = $assessment->knowledge->signs[$code];
        $places = $item->isPresent ? $item->places : array_map(strval(...), array_keys($item->sites));
        $labels = self::labels($assessment, $places);

        return new LedgerLineView(
            $code, $sign->name, self::words($assessment, $item, $labels, $sign->name), $decibans, self::factor($decibans),
            $places, array_slice($labels, 0, self::MOST_PLACES),
            WhereRecorded::step($assessment, $code),
            $sign->parts[0]->value, false, self::isByShopsWord($assessment, $ledger, $code),
        );
    }

    private static function isByShopsWord(Assessment $assessment, Ledger $ledger, string $sign): bool
    {
        $network = $assessment->model()->network;

        return $network->isByShopsWord($ledger->placed->cause, $sign)
            || ($ledger->against !== null && $network->isByShopsWord($ledger->against->cause, $sign));
    }

    /** How the marks of a mechanism lie, against how the cause would have laid them. */
    private static function spread(Assessment $assessment, Ledger $ledger, MarkSpread $spread, float $decibans): LedgerLineView
    {
        $places = $assessment->model()->ground->codes($spread->marked);
        $labels = self::labels($assessment, $places);
        $row = $assessment->model()->rowOf($spread->signs[0], $ledger->placed);

        return new LedgerLineView(
            $spread->signs[0], $assessment->knowledge->signs[$spread->signs[0]]->name, sprintf(
                'how it lies, %s: %d of %d looked at, marked %s; this would have marked %s',
                $assessment->knowledge->signs[$spread->signs[0]]->name, $spread->seenCount, $spread->siteCount,
                count($labels) > self::MOST_PLACES ? sprintf('at %d', count($labels)) : implode(', ', $labels),
                Spread::usual($row)->words(),
            ), $decibans, self::factor($decibans), $places, array_slice($labels, 0, self::MOST_PLACES), 'teardown',
            $assessment->knowledge->signs[$spread->signs[0]]->parts[0]->value, true, false,
        );
    }

    private static function carryOver(Assessment $assessment, Ledger $ledger): LedgerLineView
    {
        $carry = $assessment->model()->carryOver;
        $component = $carry->component($assessment->model()->network->causes[$ledger->placed->cause]);
        [$carried, $new, $carriedInRuns, $newInRuns] = $carry->counts[$component ?? ''] ?? [0, 0, 0, 0];
        $name = $component === null ? null : Component::from($component)->label($assessment->case->engine);

        return new LedgerLineView(
            self::CARRY_OVER, 'carried from build to build', $name === null
                ? 'what the other cause is in went from failure to failure'
                : sprintf('%s: carried into %d, new in %d of the failures that came again', $name, $carried, $new).(
                    $carriedInRuns + $newInRuns === 0 ? '' : sprintf('; in runs without trouble %d and %d', $carriedInRuns, $newInRuns)
                ),
            $ledger->carryOver, self::factor($ledger->carryOver), [], [], 'story', null, false, false,
        );
    }

    /**
     * @param list<string> $places
     *
     * @return list<string>
     */
    private static function labels(Assessment $assessment, array $places): array
    {
        return array_map(static fn (string $place): string => $assessment->case->engine->placeLabel($place) ?? $place, $places);
    }

    private static function factor(float $decibans): string
    {
        $factor = 10 ** (abs($decibans) / 10);
        $figure = $factor < 10 ? rtrim(rtrim(number_format($factor, 1), '0'), '.') : number_format($factor, 0);

        return ($decibans > 0 ? '×' : '÷').$figure;
    }

    /** @param list<string> $labels */
    private static function words(Assessment $assessment, Item $item, array $labels, string $name): string
    {
        $count = count($labels);
        $where = $count > self::MOST_PLACES ? sprintf('%d places', $count) : implode(', ', $labels);
        $site = $assessment->knowledge->signs[$item->sign]->site;

        return match ($item->kind) {
            ItemKind::Unanswered => sprintf('%s: nobody has said; counted softly as not so', $name),
            ItemKind::Bench => $item->isPresent
                ? sprintf('%s, %s', $name, $where)
                : sprintf('measured, not so: %s, %d of %d', $name, $count, $item->siteCount),
            ItemKind::Finding => match (true) {
                !$item->isPresent => $site === Site::Engine
                    ? sprintf('asked or looked, not so: %s', $name)
                    : sprintf('looked, nothing: %s, %d of %d', $name, $count, $item->siteCount),
                $site === Site::Engine => sprintf('%s, %s', $name, self::worst($item)),
                default => sprintf('%s, %s, %s', $name, self::worst($item), $where),
            },
        };
    }

    private static function worst(Item $item): string
    {
        return ($item->severity ?? Severity::Clear)->word();
    }
}
