<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\Reading;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;

/** The engine as it goes back together: as found, with what is changed, and over both what was measured since. Never the other way round. */
final class AsBuilt
{
    /** Under which everything measured for the rebuild stands. */
    public const REBUILD = 'rebuild';

    /** @param Change $planned what the remedies that are taken change */
    public static function bench(Bench $found, Change $planned, string $event = self::REBUILD): Bench
    {
        foreach (self::readings($found, $event) as $entry) {
            $slot = $entry->slot->asFound();
            $reading = Reading::of($entry);
            $planned = $planned->measuring(
                $slot->place, $slot->item, $slot->index,
                new Given($reading->uncertain(), sprintf('as built, %s, %s', $reading->gauge->label, $reading->gauge->stated), Basis::Read),
            );
        }

        return $found->with($planned);
    }

    /** What was read there for a rebuild or at a return. */
    public static function reading(Bench $found, string $event, string $place, string $item, ?string $index = null): ?Reading
    {
        foreach (self::readings($found, $event) as $entry) {
            $slot = $entry->slot->asFound();
            if ($slot->place === $place && $slot->item === $item && $slot->index === $index) {
                return Reading::of($entry);
            }
        }

        return null;
    }

    /** @return list<Entry> figures alone: a word for why there is none is no figure */
    public static function readings(Bench $found, string $event): array
    {
        return array_values(array_filter(
            $found->case->log->builtFor($event), static fn (Entry $entry): bool => $entry->node()->has('value'),
        ));
    }
}
