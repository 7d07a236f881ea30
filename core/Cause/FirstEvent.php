<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** The earliest mechanism that an explanation needs for what was seen, and that nothing contradicts; its station where the evidence has one. */
final readonly class FirstEvent
{
    /** Said to have happened only with so much probability, and on the way to something seen. */
    public const IMPLIED = 0.5;

    /** @param string|null $station null where it is no single one */
    private function __construct(public string $event, public float $probability, public ?string $station)
    {
    }

    /** @param list<PlacedCause> $members */
    public static function of(Model $model, array $members): ?self
    {
        $first = null;
        foreach ($members as $member) {
            foreach (self::depths($model, $member) as $event => $depth) {
                $probability = $model->eventProbability($event, ...$members);
                if ($probability < self::IMPLIED || !self::isSeen($model, $event) || $model->deniedAt($event, $member->extent->region)) {
                    continue;
                }
                if ($first === null || [$depth, -$probability] < [$first[0], -$first[1]->probability]) {
                    $first = [$depth, new self($event, $probability, self::station($model, $event, $member))];
                }
            }
        }

        return $first[1] ?? null;
    }

    /** @return array<string, int> how many links from a cause each event is */
    private static function depths(Model $model, PlacedCause $member): array
    {
        $depths = [];
        foreach ($model->events as $event) {
            $before = [];
            foreach ($model->network->events[$event]->parents as $link) {
                if ($link->parent === $member->cause && $link->holds($member->form, $model->ground->kindsOf($member->extent->region))) {
                    $before[] = 0;
                } elseif (isset($depths[$link->parent])) {
                    $before[] = $depths[$link->parent];
                }
            }
            if ($before !== []) {
                $depths[$event] = 1 + min($before);
            }
        }

        return $depths;
    }

    /** Whether it, or what follows from it, left anything that was seen. */
    private static function isSeen(Model $model, string $event): bool
    {
        $on = [$event => true];
        foreach ($model->events as $code) {
            foreach ($model->network->events[$code]->parents as $link) {
                $on[$code] = ($on[$code] ?? false) || ($on[$link->parent] ?? false);
            }
        }
        foreach ($model->items as $laid) {
            foreach ($laid->item->isPresent ? $model->network->signLinks[$laid->item->sign] ?? [] : [] as $link) {
                if ($on[$link->parent] ?? false) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function station(Model $model, string $event, PlacedCause $member): ?string
    {
        $stations = $member->extent->isElsewhere ? null : $member->extent->region;
        if ($stations?->count !== 1) {
            $stations = StationSet::none($model->ground->all->size);
            foreach ($model->marksOf($event) as [$laid]) {
                $stations = $laid->isPlaced ? $stations->or($laid->marked) : $stations;
            }
        }

        return $stations->count === 1 ? $model->ground->codes($stations)[0] : null;
    }
}
