<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\Item;
use MuteTapper\Core\Cause\ItemKind;
use MuteTapper\Core\Cause\Ledger;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\Severity;

/** Puts a ledger into words: what was found, where, and how much it weighs. */
final class LedgerPresenter
{
    private const MOST_PLACES = 6;

    public static function view(Assessment $assessment, Ledger $ledger): LedgerView
    {
        $cause = $assessment->knowledge->network->causes[$ledger->cause];
        $for = $against = [];
        $silent = 0;
        foreach ($ledger->lines as $sign => $decibans) {
            if (abs($decibans) < Ledger::SILENT) {
                ++$silent;
                continue;
            }
            $line = self::line($assessment, $sign, $decibans);
            if ($decibans > 0) {
                $for[] = $line;
            } else {
                array_unshift($against, $line);
            }
        }

        return new LedgerView(
            $cause->code, $cause->label, $cause->explain, $ledger->start, $for, $against, $silent, $ledger->evidence(), $ledger->total(),
        );
    }

    private static function line(Assessment $assessment, string $code, float $decibans): LedgerLineView
    {
        $item = $assessment->items()[$code];
        $sign = $assessment->knowledge->signs[$code];
        $places = $item->isPresent ? $item->places : array_keys($item->sites);
        $labels = array_map(static fn (string $place): string => $assessment->case->engine->placeLabel($place) ?? $place, $places);
        $factor = 10 ** (abs($decibans) / 10);
        $figure = $factor < 10 ? rtrim(rtrim(number_format($factor, 1), '0'), '.') : number_format($factor, 0);

        return new LedgerLineView(
            $code, $sign->name, self::words($assessment, $item, $labels, $sign->name), $decibans, ($decibans > 0 ? '×' : '÷').$figure,
            $places, array_slice($labels, 0, self::MOST_PLACES),
            match (true) {
                $item->kind === ItemKind::Bench => 'bench',
                $sign->parts[0]->value === 'running', $item->kind === ItemKind::Unanswered => 'story',
                default => 'teardown',
            },
            $sign->parts[0]->value,
        );
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
