<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Knowledge\Cause;

/** Where a cause is tried: at the stations, cylinders and sets that its marks suggest, and in every kind and bank. [own] */
final class Places
{
    /** So many stations, sets and cylinders of each cause are tried, those with most marks first. */
    public const TRIED = 3;
    /** What a cause of single stations has for several at once, where the knowledge does not say more. */
    public const SEVERAL_OF_STATION = 0.2;
    /** What a region without any of the stations reported failed starts with. */
    public const WITHOUT_FAILED = 1 / 3;

    /** @var array<int, LaidItem> items by which stations differ, by number */
    private readonly array $telling;
    /** @var array<int, StationSet> where each item is marked that is somewhere in particular */
    private readonly array $marked;
    /** @var array<int, list<int>> numbers of these stations */
    private readonly array $numbers;
    /** @var array<int, StationSet> where each item that is somewhere in particular was looked for, or found */
    private readonly array $seen;
    /** @var array<string, array<int, string>> what they say of each station */
    private array $known = [];

    /** @param list<LaidItem> $items */
    public function __construct(private readonly Ground $ground, private readonly array $items, private readonly StationSet $failed)
    {
        $this->telling = array_filter($items, static fn (LaidItem $laid): bool => !$laid->isAlikeOn($ground->all));
        $this->marked = array_map(
            static fn (LaidItem $laid): StationSet => $laid->marked,
            array_filter($items, static fn (LaidItem $laid): bool => $laid->isPlaced && $laid->item->isPresent),
        );
        $this->numbers = array_map(static fn (StationSet $stations): array => $stations->numbers(), $this->marked);
        $this->seen = array_map(
            static fn (LaidItem $laid): StationSet => $laid->seen,
            array_filter($items, static fn (LaidItem $laid): bool => $laid->isPlaced),
        );
    }

    /**
     * @param Wiring $wiring of the form, at any kind of valve
     *
     * @return list<array{Extent, float}> each with its share of the cause's weight, before the share of the form
     */
    public function of(Cause $cause, Wiring $wiring): array
    {
        $scopes = $cause->scopes;
        if (count($this->ground->banks) === 1) {
            unset($scopes[Scope::Bank->value]);
        }
        $total = array_sum($scopes);
        $places = [];
        foreach (Scope::cases() as $scope) {
            $share = ($scopes[$scope->value] ?? 0.0) / $total;
            if ($scope === Scope::Several) {
                $share = max($share, self::SEVERAL_OF_STATION * ($scopes[Scope::Station->value] ?? 0.0) / $total);
            }
            foreach ($share > 0.0 ? $this->regions($scope, $scopes, $wiring) : [] as $region) {
                $cover = $region->without($wiring->denied);
                $places[] = [
                    new Extent($scope, $region, $cover->isEmpty() ? $region : $cover),
                    $share * ($this->failed->isEmpty() || $region->touches($this->failed) ? 1.0 : self::WITHOUT_FAILED),
                ];
            }
            $isOfOne = $scope === Scope::Station || $scope === Scope::Cylinder;
            $elsewhere = $isOfOne && $share > 0.0 ? $this->elsewhere($scope, $wiring) : null;
            if ($elsewhere !== null && !$elsewhere->isEmpty()) {
                $places[] = [
                    new Extent($scope, $elsewhere, $elsewhere, true),
                    $share * $elsewhere->count / $this->ground->all->count * ($this->failed->isEmpty() ? 1.0 : self::WITHOUT_FAILED),
                ];
            }
        }

        return $places;
    }

    /**
     * @param array<string, float> $scopes
     *
     * @return list<StationSet>
     */
    private function regions(Scope $scope, array $scopes, Wiring $wiring): array
    {
        return match ($scope) {
            Scope::Station => $this->stations($wiring),
            Scope::Cylinder => $this->mostMarked(
                array_values(array_filter($this->ground->cylinders, $wiring->suspect->touches(...))), $wiring,
            ),
            Scope::Several => $this->mostMarked($this->sets($scopes, $wiring), $wiring),
            Scope::Kind => array_values($this->ground->kinds),
            Scope::Bank => array_values($this->ground->banks),
            Scope::All => [$this->ground->all],
        };
    }

    /** @return list<StationSet> stations that are marked or were reported failed; of those alike in all that is in reach the first */
    private function stations(Wiring $wiring): array
    {
        $alike = [];
        $marks = array_fill_keys($wiring->suspect->numbers(), 0);
        foreach (array_intersect_key($this->numbers, $wiring->reach) as $numbers) {
            foreach ($numbers as $number) {
                ++$marks[$number];
            }
        }
        arsort($marks);
        foreach (array_keys($marks) as $number) {
            $station = StationSet::of($this->ground->all->size, [$number]);
            $alike[$this->known($station, $wiring)] ??= $station;
            if (count($alike) === self::TRIED) {
                break;
            }
        }

        return array_values($alike);
    }

    /** What is known of a station as far as it is in reach: the same for stations that are alike. */
    private function known(StationSet $station, Wiring $wiring): string
    {
        $this->known[$station->key()] ??= array_map(static fn (LaidItem $laid): string => $laid->said($station), $this->telling);

        return implode(' ', [
            $this->ground->kindsOf($station), $this->failed->touches($station) ? 'failed' : '',
            ...array_intersect_key($this->known[$station->key()], $wiring->reach),
        ]);
    }

    /**
     * @param array<string, float> $scopes that the cause has
     *
     * @return list<StationSet> of two or more stations, each once, unless the cause has a scope that means the same
     */
    private function sets(array $scopes, Wiring $wiring): array
    {
        $sets = array_values(array_intersect_key($this->marked, $wiring->reach));
        $union = StationSet::union($this->ground->all->size, $sets);
        $named = [
            ...(isset($scopes[Scope::Cylinder->value]) ? $this->ground->cylinders : []),
            ...(isset($scopes[Scope::Kind->value]) ? $this->ground->kinds : []),
            ...(isset($scopes[Scope::Bank->value]) ? $this->ground->banks : []),
            ...(isset($scopes[Scope::All->value]) ? [$this->ground->all] : []),
        ];
        $distinct = [];
        foreach ([...$sets, $union, $this->failed] as $set) {
            if ($set->count > 1) {
                $distinct[$set->key()] = $set;
            }
        }
        foreach ($named as $set) {
            unset($distinct[$set->key()]);
        }

        return array_values($distinct);
    }

    /**
     * The first few by their marks.
     *
     * @param list<StationSet> $sets
     *
     * @return list<StationSet>
     */
    private function mostMarked(array $sets, Wiring $wiring): array
    {
        return array_slice($this->byMarks($sets, $wiring), 0, self::TRIED);
    }

    /**
     * By the number of present signs in reach that mark them; of equals the larger, then the first.
     *
     * @param list<StationSet> $sets
     *
     * @return list<StationSet>
     */
    private function byMarks(array $sets, Wiring $wiring): array
    {
        $marked = array_intersect_key($this->marked, $wiring->reach);
        $ranked = [];
        foreach ($sets as $set) {
            $marks = 0;
            foreach ($marked as $one) {
                $marks += $one->touches($set) ? 1 : 0;
            }
            $ranked[] = [-$marks, -$set->count, $set->numbers(), $set];
        }
        usort($ranked, static fn (array $a, array $b): int => [$a[0], $a[1], $a[2]] <=> [$b[0], $b[1], $b[2]]);

        return array_column($ranked, 3);
    }

    /** Where nothing in reach was said of; if there is no such place, where nothing in reach is marked. */
    private function elsewhere(Scope $scope, Wiring $wiring): StationSet
    {
        $untouched = $this->clearOf($scope, $this->inReach($this->seen, $wiring));

        return $untouched->isEmpty() ? $this->clearOf($scope, $this->inReach($this->marked, $wiring)) : $untouched;
    }

    /**
     * All of these that are in reach, and what was reported failed.
     *
     * @param array<int, StationSet> $stations by number of the item
     */
    private function inReach(array $stations, Wiring $wiring): StationSet
    {
        return StationSet::union($this->failed->size, [$this->failed, ...array_intersect_key($stations, $wiring->reach)]);
    }

    /** Stations, or whole cylinders, that a set does not touch. */
    private function clearOf(Scope $scope, StationSet $set): StationSet
    {
        foreach ($scope === Scope::Cylinder ? $this->ground->cylinders : [] as $cylinder) {
            $set = $cylinder->touches($set) ? $set->or($cylinder) : $set;
        }

        return $this->ground->all->without($set);
    }
}
