<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Knowledge\EventMode;
use MuteTapper\Core\Knowledge\Link;
use MuteTapper\Core\Knowledge\Network;
use MuteTapper\Core\Knowledge\Strength;

/**
 * What the record of a sign weighs for a parent at work somewhere: presence where the parent is, marks where it is not, how
 * they are spread, and what was looked for and not found. [own].
 */
final class Ratios
{
    /** A sign looked for with a confidence below this denies what would nearly always leave it. */
    public const DENIES = 0.1;
    /** Up to this share of marks outside its region a parent explains them all; from a part more it explains none. */
    private const STRAY = [0.1, 0.4];
    private const STRAYED = 0.8;
    /** Station marks count for their spread in full once so many stations more than one were looked at. */
    private const LOOKED_FOR_SPREAD = 7;
    private const MISSED_BY_FEW = 0.75;
    private const MISSED_BY_MOST = 0.2;

    /** @var list<MarkSpread> */
    public readonly array $spreads;
    /** @var array<int, MarkSpread> by present sign */
    private array $spreadOf = [];
    /** @var array<string, float> weight of a spread by row and item */
    private array $weights = [];
    /** @var list<string> how each item was looked for, and not found: the same for those of which the same was said everywhere */
    private readonly array $lookedFor;
    /** @var array<string, float> weight of what was missed, by how it was looked for, where and for whom */
    private array $missed = [];

    /** @param list<LaidItem> $items */
    public function __construct(private readonly Ground $ground, private readonly array $items, private readonly Network $network)
    {
        $this->spreads = $this->judgeSpreads();
        $this->lookedFor = array_map(static fn (LaidItem $laid): string => $laid->lookedFor(), $items);
    }

    /**
     * @param int $item its number
     * @param StationSet $denied where the parent is contradicted
     * @param StationSet $led covers of all parents of the sign to which the explanation leads
     * @param StationSet $suspect where any sign that the parent can leave is marked, and what was reported failed
     */
    public function of(
        int $item, Extent $extent, EventMode $mode, StationSet $denied, StationSet $led, StationSet $suspect,
    ): float {
        $laid = $this->items[$item];
        if ($laid->item->site === Site::Engine) {
            return $laid->item->ratio;
        }
        $row = self::row($extent, $mode);
        $best = $this->surest($laid, $extent->cover->without($denied));
        if ($best === null) {
            return $this->absent($item, Expected::at($extent, $mode, $suspect));
        }
        $y = $this->stray($laid, $led->without($denied));

        return (Item::ratioAt($best, $laid->item->leak) * $this->spread($item, $row)) ** (1 - $y) * self::STRAYED ** $y;
    }

    /** Of a mechanism that came about by itself, or of something not listed. */
    public function free(int $item, StationSet $denied, StationSet $suspect): float
    {
        $laid = $this->items[$item];
        if ($laid->item->site === Site::Engine) {
            return $laid->item->ratio;
        }
        $best = $this->surest($laid, $this->ground->all->without($denied));

        return $best === null ? $this->absent($item, $this->expectedFree($suspect)) : Item::ratioAt($best, $laid->item->leak);
    }

    /** Where the marks are expected of what came about by itself, anywhere. */
    public function expectedFree(StationSet $suspect): Expected
    {
        return new Expected(new Extent(Scope::All, $this->ground->all, $this->ground->all), SpreadRow::Leak, $suspect);
    }

    /** Of a sign that is not where it is expected. */
    public function absent(int $item, Expected $where): float
    {
        $laid = $this->items[$item];

        return $laid->item->site === Site::Engine ? $laid->item->ratio
            : $this->missed[$this->lookedFor[$item].$where->key] ??= self::missed($laid, $where->extent, $where->row, $where->suspected);
    }

    /** What the spread of its mechanism's marks adds to a present sign, for a parent that reaches so far. */
    public function spread(int $item, SpreadRow $row): float
    {
        if (!isset($this->spreadOf[$item])) {
            return 1.0;
        }
        if (!isset($this->weights[$row->value.$item])) {
            $spread = $this->spreadOf[$item];
            $here = $free = 0.0;
            foreach ($spread->classes as $class) {
                $here += $this->ground->share($row, $class);
                $free += $this->ground->share(SpreadRow::Leak, $class);
            }
            $this->weights[$row->value.$item] = ($here / $free) ** $spread->share;
        }

        return $this->weights[$row->value.$item];
    }

    /** How far marks outside the region take from it: nought up to one in ten, one from a half. */
    public function stray(LaidItem $laid, StationSet $led): float
    {
        $outside = 0;
        foreach ($laid->marks as [, $covered]) {
            $outside += $laid->sitesIn($covered) - $laid->sitesInBoth($covered, $led);
        }
        [$from, $over] = self::STRAY;

        return max(0.0, min(1.0, ($outside / $laid->sitesIn($laid->marked) - $from) / $over));
    }

    public static function row(Extent $extent, EventMode $mode): SpreadRow
    {
        return $mode === EventMode::Some && $extent->region->count > 1 && !$extent->isElsewhere ? SpreadRow::Some : $extent->scope->row();
    }

    private function surest(LaidItem $laid, StationSet $where): ?float
    {
        foreach ($laid->marks as [$confidence, $covered]) {
            if ($covered->touches($where)) {
                return $confidence; // the surest marks come first
            }
        }

        return null;
    }

    private static function missed(LaidItem $laid, Extent $extent, SpreadRow $row, StationSet $suspected): float
    {
        if ($laid->item->isRelative && !$extent->scope->isLocal()) {
            return 1.0;
        }
        [$looked, $lost] = self::lost($laid, $extent->region);
        if ($looked === 0) {
            return 1.0;
        }
        $sites = $laid->sitesIn($extent->region);
        if ($extent->isElsewhere) {
            return 1 - $lost / $sites;
        }
        $mean = 1 - $lost / $looked;
        if ($sites === 1) {
            return $mean;
        }
        [$one, $few, $most] = Spread::within($row);
        $weight = max($mean, $one * (1 - $lost / $sites) + $few * self::MISSED_BY_FEW ** $lost + $most * self::MISSED_BY_MOST ** $lost);
        [$lookedThere, $lostThere] = self::lost($laid, $suspected);
        if ($lookedThere === 0) {
            return $weight;
        }
        $there = 1 - $lostThere / $lookedThere;

        return min($weight, $lookedThere > 1 ? max($there, self::MISSED_BY_MOST ** $lostThere) : $there);
    }

    /** @return array{int, float} how many sites of a region were looked at with nothing there, and what they lose together */
    private static function lost(LaidItem $laid, StationSet $region): array
    {
        $looked = 0;
        $lost = 0.0;
        foreach ($laid->looks as [$ratio, $covered]) {
            $sites = $laid->sitesInBoth($covered, $region);
            $looked += $sites;
            $lost += $sites * (1 - $ratio);
        }

        return [$looked, $lost];
    }

    /**
     * Spread is judged once for a mechanism, on the union of its present signs of one kind of site.
     *
     * @return list<MarkSpread>
     */
    private function judgeSpreads(): array
    {
        $groups = [];
        foreach ($this->items as $number => $laid) {
            $parent = $laid->item->isPresent && $laid->isPlaced
                ? self::strongest($this->network->signLinks[$laid->item->sign] ?? [])
                : null;
            if ($parent !== null) {
                $groups[$laid->item->site->value.' '.$parent][] = $number;
            }
        }
        $spreads = [];
        foreach ($groups as $group) {
            $marked = $seen = StationSet::none($this->ground->all->size);
            foreach ($group as $number) {
                $marked = $marked->or($this->items[$number]->marked);
                $seen = $seen->or($this->items[$number]->seen);
            }
            $first = $this->items[$group[0]];
            $count = $first->sitesIn($seen);
            $spreads[] = $spread = new MarkSpread(
                array_map(fn (int $number): string => $this->items[$number]->item->sign, $group), $marked, $seen, $count,
                $first->item->siteCount, $this->ground->classes($first->item->site, $marked, $seen),
                min(1.0, ($count - 1) / self::LOOKED_FOR_SPREAD) / count($group),
            );
            $this->spreadOf += array_fill_keys($group, $spread);
        }

        return $spreads;
    }

    /** @param list<Link> $links */
    private static function strongest(array $links): ?string
    {
        $parent = $strength = null;
        foreach ($links as $link) {
            if ($strength === null || $link->probability > $strength->probability()) {
                [$parent, $strength] = [$link->parent, $link->strength];
            }
        }

        return $parent;
    }

    /**
     * Stations where what would nearly always leave some sign was looked for and not found, and no other such sign is there.
     *
     * @param list<array{int, Link}> $marks its own signs, by number of the item
     */
    public function denied(array $marks): StationSet
    {
        $denied = $found = [];
        foreach ($marks as [$number, $link]) {
            if ($link->strength === Strength::NearlyAlways && $this->items[$number]->isPlaced) {
                $lacked = $this->items[$number]->denied;
                $denied[] = $link->at === null ? $lacked : $lacked->and($this->ground->kinds[$link->at->value]);
                $found[] = $this->items[$number]->marked;
            }
        }
        $size = $this->ground->all->size;

        return $denied === [] ? StationSet::none($size) : StationSet::union($size, $denied)->without(StationSet::union($size, $found));
    }
}
