<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Knowledge\EventMode;
use MuteTapper\Core\Knowledge\Link;

/** What causes at work somewhere do to the factors of a graph: those that act alike do the same, and it is worked out once. [own] */
final class Effects
{
    private const OTHER_EVENT = 0.05;
    private const OTHER_SIGN = 0.03;
    /** Bits that hold how a member bears on a factor, and with it where it is at work. */
    private const BEARING_BITS = 12;
    private const MEMBER_BITS = 30;

    private readonly StationSet $nowhere;
    /** @var array<int, float> how likely each event does not come about by itself */
    private readonly array $off;
    /** @var array<string, int> number by extent */
    private array $extents = [];
    /** @var array<int, array<int, int>> effects of one at work, by factor and by where it is and how it bears on that */
    private array $ofOne = [];
    /** @var array<int, array<int, int>> effects of two, by factor and by the same of each */
    private array $ofTwo = [];
    /** @var array<int, Act> by number of the only member */
    private array $acts = [];
    /** @var array<int, array<string, Expected>> where the marks of an event are expected, by extent */
    private array $expected = [];
    /** @var array<int, array<string, float>> what the absent signs of an event weigh, by extent */
    private array $absences = [];
    /** @var array<int, array<int, array<string, float>>> what present signs weigh, by item, event, extent and where all is led to */
    private array $ratios = [];
    /** @var array<string, array<string, Extent>> where two are at work together, by the extent of each */
    private array $together = [];

    /** @param array<int, float> $leaks how likely each event comes about by itself */
    public function __construct(
        private readonly Graph $graph,
        private readonly Factors $factors,
        private readonly Ground $ground,
        array $leaks,
    ) {
        $this->nowhere = StationSet::none($ground->all->size);
        $this->off = array_map(static fn (float $leak): float => 1 - $leak, $leaks);
        foreach ($this->off as $event => $off) {
            $this->factors->effect($event, [$off, $this->absence($event, null)]);
        }
        foreach ($graph->factorOf as $number => $factor) {
            $this->factors->effect($factor, $this->ofSign($number, []));
        }
    }

    public function of(PlacedCause $member): Act
    {
        return $this->acts[$member->id] ??= $this->act($member);
    }

    /**
     * What two at work do to the factors that both touch. To the others they do what either does alone.
     *
     * @return array<int, int> effects by factor, ascending
     */
    public function ofBoth(PlacedCause $first, PlacedCause $second): array
    {
        $ofFirst = $this->numberOf($first->extent) << self::BEARING_BITS;
        $ofSecond = $this->numberOf($second->extent) << self::BEARING_BITS;
        $bearings = $second->wiring->bearings;
        $effects = [];
        foreach (array_intersect_key($first->wiring->bearings, $bearings) as $factor => $bearing) {
            $both = ($ofFirst | $bearing) << self::MEMBER_BITS | $ofSecond | $bearings[$factor];
            $effects[$factor] = $this->ofTwo[$factor][$both] ??= $this->effect($factor, [$first, $second]);
        }

        return $effects;
    }

    /** Of something at work that is not listed: it switches everything on a little, free in place. */
    public function ofOther(): Act
    {
        $effects = [];
        $constant = 1.0;
        foreach ($this->off as $event => $off) {
            $effects[$event] = $this->factors->effect($event, [$off * (1 - self::OTHER_EVENT), $this->absence($event, null)]);
        }
        foreach (array_keys($this->graph->items) as $number) {
            $ratio = $this->graph->ratios->free($number, $this->nowhere, $this->nowhere);
            $factor = $this->graph->factorOf[$number] ?? null;
            if ($factor === null) {
                $constant *= self::shrunk(self::OTHER_SIGN, $ratio);
            } else {
                $effects[$factor] = $this->factors->effect($factor, [...$this->factors->content($factor, 0), self::OTHER_SIGN, $ratio]);
            }
        }

        return new Act($effects, $constant);
    }

    /**
     * Where members lead to a sign: the covers of all its parents that they bring about; null where they lead to none.
     *
     * @param array<PlacedCause> $members
     */
    public function ledTo(int $number, array $members): ?StationSet
    {
        return $this->leading($number, $members)[2];
    }

    /**
     * Expected logarithm of what an absent sign weighs with these at work.
     *
     * @param array<int, float> $on probability of each event
     * @param array<PlacedCause> $members
     */
    public function absentSlope(int $number, array $on, array $members): float
    {
        $slope = 0.0;
        foreach ($this->graph->signParents[$number] as [$event, $link]) {
            $extent = $this->extent($event, $members);
            $ratio = $this->graph->ratios->absent($number, $this->expected($event, $extent));
            $slope += $on[$event] * log(self::shrunk($this->strength($link, $extent), $ratio));
        }
        foreach ($members as $member) {
            $slope += isset($member->wiring->signs[$number]) ? log($this->directly($number, $member, self::expectedOf($member))) : 0.0;
        }

        return $slope;
    }

    private function act(PlacedCause $member): Act
    {
        $effects = [];
        $of = $this->numberOf($member->extent) << self::BEARING_BITS;
        foreach ($member->wiring->bearings as $factor => $bearing) {
            $effects[$factor] = $this->ofOne[$factor][$of | $bearing] ??= $this->effect($factor, [$member]);
        }
        $constant = 1.0;
        $absent = array_diff_key($member->wiring->signs, $this->graph->factorOf);
        if ($absent !== []) {
            $where = self::expectedOf($member);
            foreach ($absent as $number => $_) {
                $constant *= $this->directly($number, $member, $where);
            }
        }

        return new Act($effects, $constant);
    }

    private function numberOf(Extent $extent): int
    {
        return $this->extents[$extent->key] ??= count($this->extents);
    }

    /** @param non-empty-list<PlacedCause> $members */
    private function effect(int $factor, array $members): int
    {
        $events = count($this->graph->events);
        if ($factor >= $events) {
            return $this->factors->effect($factor, $this->ofSign($this->graph->present[$factor - $events], $members));
        }
        $off = $this->off[$factor];
        foreach ($members as $member) {
            $off *= 1 - ($member->wiring->events[$factor] ?? 0.0);
        }

        return $this->factors->effect($factor, [$off, $this->absence($factor, $this->extent($factor, $members))]);
    }

    /**
     * Strength and evidence ratio for each event that a present sign hangs on, then for each member that leaves it itself.
     *
     * @param list<PlacedCause> $members
     *
     * @return list<float>
     */
    private function ofSign(int $number, array $members): array
    {
        [$extents, $direct, $led] = $this->leading($number, $members);
        $content = [];
        foreach ($this->graph->signParents[$number] as [$event, $link]) {
            $content[] = $this->strength($link, $extents[$event] ?? null);
            $content[] = $this->ratio($number, $event, $extents[$event] ?? null, $led);
        }
        foreach ($direct as $member) {
            $content[] = $member->wiring->signs[$number];
            $content[] = $this->graph->ratios->of(
                $number, $member->extent, EventMode::Same, $this->nowhere, $led ?? $member->extent->cover, $member->wiring->suspect,
            );
        }

        return $content;
    }

    /**
     * @param array<PlacedCause> $members
     *
     * @return array{array<int, Extent>, list<PlacedCause>, StationSet|null} where they lead to the events that a sign hangs on, those
     *                                                                       that leave it themselves, and the covers of all of these
     */
    private function leading(int $number, array $members): array
    {
        $extents = $direct = [];
        $led = null;
        foreach ($this->graph->signParents[$number] as [$event]) {
            $extent = $this->extent($event, $members);
            if ($extent !== null) {
                $extents[$event] = $extent;
                $led = $led === null ? $extent->cover : $led->or($extent->cover);
            }
        }
        foreach ($members as $member) {
            if (isset($member->wiring->signs[$number])) {
                $direct[] = $member;
                $led = $led === null ? $member->extent->cover : $led->or($member->extent->cover);
            }
        }

        return [$extents, $direct, $led];
    }

    /**
     * Where an event that the members lead to is at work: where the member is that leads there more strongly, or where both
     * are; one that is somewhere unknown yields. Null where none leads to it.
     *
     * @param array<PlacedCause> $members
     */
    private function extent(int $event, array $members): ?Extent
    {
        $held = null;
        $rank = 0;
        foreach ($members as $member) {
            if (!isset($member->wiring->ranks[$event])) {
                continue;
            }
            $own = $member->wiring->ranks[$event];
            if ($held === null) {
                $held = $member->extent;
                $rank = $own;
                continue;
            }
            $held = match (true) {
                $held->isElsewhere !== $member->extent->isElsewhere => $held->isElsewhere ? $member->extent : $held,
                $own !== $rank => $own > $rank ? $member->extent : $held,
                default => $this->together[$held->key][$member->extent->key] ??= $held->with($member->extent),
            };
        }

        return $held;
    }

    /** What all absent signs of an event weigh together if it happened there. */
    private function absence(int $event, ?Extent $extent): float
    {
        return $this->absences[$event][$extent->key ?? ''] ??= $this->absenceOf($event, $extent);
    }

    private function absenceOf(int $event, ?Extent $extent): float
    {
        $where = $this->expected($event, $extent);
        $weight = 1.0;
        foreach ($this->graph->marks[$event] as [$number, $link]) {
            if (!isset($this->graph->factorOf[$number])) {
                $weight *= self::shrunk($this->strength($link, $extent), $this->graph->ratios->absent($number, $where));
            }
        }

        return $weight;
    }

    /** Where the marks of an event are expected. */
    private function expected(int $event, ?Extent $extent): Expected
    {
        return $this->expected[$event][$extent->key ?? ''] ??= $extent === null
            ? $this->graph->ratios->expectedFree($this->graph->suspect[$event])
            : Expected::at($extent, $this->graph->modes[$event], $this->graph->suspect[$event]);
    }

    /** Where the marks are expected that a member leaves itself. */
    private static function expectedOf(PlacedCause $member): Expected
    {
        return Expected::at($member->extent, EventMode::Same, $member->wiring->suspect);
    }

    /** What an absent sign weighs that a member would leave itself. */
    private function directly(int $number, PlacedCause $member, Expected $where): float
    {
        return self::shrunk($member->wiring->signs[$number], $this->graph->ratios->absent($number, $where));
    }

    private function strength(Link $link, ?Extent $extent): float
    {
        $isThere = $link->at === null || $extent === null || $this->ground->kinds[$link->at->value]->touches($extent->region);

        return $isThere ? $link->probability : 0.0;
    }

    /** @param StationSet|null $led where the members lead; null where to nothing that the sign hangs on */
    private function ratio(int $number, int $event, ?Extent $extent, ?StationSet $led): float
    {
        $ratios = $this->graph->ratios;
        $suspect = $this->graph->suspect[$event];

        return $extent === null || $led === null
            ? $this->ratios[$number][$event][''] ??= $ratios->free($number, $this->graph->denied[$event], $suspect)
            : $this->ratios[$number][$event][$extent->key.$led->key()] ??= $ratios->of(
                $number, $extent, $this->graph->modes[$event], $this->deniedIn($event, $extent->region), $led, $suspect,
            );
    }

    /** An event that is contradicted all over its region is contradicted nowhere in particular: its absent marks say so already. */
    private function deniedIn(int $event, StationSet $region): StationSet
    {
        if ($this->graph->denied[$event]->isEmpty()) {
            return $this->nowhere;
        }
        $denied = $this->graph->denied[$event]->and($region);

        return $denied->equals($region) ? $this->nowhere : $denied;
    }

    private static function shrunk(float $strength, float $ratio): float
    {
        return 1 - $strength * (1 - $ratio);
    }
}
