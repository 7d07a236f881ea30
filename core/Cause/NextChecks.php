<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Knowledge\Check;
use MuteTapper\Core\Knowledge\Link;
use MuteTapper\Core\Knowledge\Sign;

/**
 * What would change one's mind: checks not made yet, by the information they are expected to bring over the reduced explanations
 * and "nothing listed", for each minute. The outcomes of a check are those of its signs together. [own; entropy: pub, Shannon 1948].
 */
final class NextChecks
{
    /** Below this no known check tells the explanations apart. [own] */
    public const LEAST_BITS = 0.2;
    /** While nothing is named little is expected of any check, and something must be looked at all the same. [own] */
    private const LEAST_BITS_OPEN = 0.02;
    private const EXPLANATIONS = 8;
    /** Of the signs of a check those that tell most are weighed together: two results each. */
    private const SIGNS = 5;
    private const BEGINNING = 15;
    /** Places named, and paid for, at most. */
    private const PLACES = 4;
    /** A check that the next step makes impossible goes before others that are worth up to so much more. */
    private const ENDANGERED = 1.25;
    /** Confidence of a clear finding and of a clear look: what is recorded is not always so. */
    private const SEEN = 0.97;
    /** Looked at on this share of its places, a sign is known. */
    private const KNOWN = 0.5;

    /** @var list<float> share of each explanation, the last one "nothing listed" */
    private array $shares = [];
    /** @var list<list<PlacedCause>> members of each; none for "nothing listed" */
    private array $members = [];
    /** @var list<array<string, float>> probability of each event under each of them */
    private array $events = [];

    /** @param array<string, Sign> $signs */
    public function __construct(private readonly Ranking $ranking, private readonly Engine $engine, private readonly array $signs)
    {
        foreach (array_slice($ranking->explanations, 0, self::EXPLANATIONS) as $explanation) {
            $this->members[] = $explanation->members;
            $this->shares[] = $explanation->probability;
        }
        $this->members[] = [];
        $this->shares[] = max(1e-9, $ranking->unexplained);
        $total = array_sum($this->shares);
        $this->shares = array_map(static fn (float $share): float => $share / $total, $this->shares);
        foreach ($this->members as $members) {
            $this->events[] = $this->eventsUnder($members);
        }
    }

    /**
     * @param array<string, Check> $checks
     * @param list<string> $made steps of the teardown that are made
     * @param string|null $next the step that comes next
     *
     * @return list<NextCheck> worth most first
     */
    public function of(array $checks, array $made, ?string $next): array
    {
        $stations = $this->suspects();
        $isOpen = $this->ranking->standing() === Standing::NotEnough;
        $found = [];
        foreach ($checks as $check) {
            if ($check->belongsTo($this->engine) && $check->canBeDone($made)) {
                $one = $this->weighed($check, $stations);
                if ($one !== null && $one->bits >= ($isOpen ? self::LEAST_BITS_OPEN : self::LEAST_BITS)) {
                    $found[] = $one;
                }
            }
        }
        $rank = static fn (NextCheck $one): float => $one->worth * (in_array($next, $one->check->until, true) ? self::ENDANGERED : 1.0);
        usort($found, static fn (NextCheck $a, NextCheck $b): int => [$rank($b), $a->check->code] <=> [$rank($a), $b->check->code]);

        return $found;
    }

    /** @param list<string> $stations */
    private function weighed(Check $check, array $stations): ?NextCheck
    {
        $chances = $gains = [];
        foreach ($check->signs as $sign) {
            if ($this->isOpen($sign)) {
                $chances[$sign] = $this->chances($sign);
                $gains[$sign] = $this->gain([$chances[$sign]]);
            }
        }
        if ($gains === []) {
            return null;
        }
        arsort($gains);
        $sign = array_key_first($gains);
        $telling = array_map(static fn (string $one): array => $chances[$one], array_slice(array_keys($gains), 0, self::SIGNS));
        $bits = $this->gain($telling);
        $count = $check->site === Site::Station ? max(1, min(self::PLACES, count($stations))) : 1;
        $none = $this->shares;
        foreach ($telling as $of) {
            $none = array_map(static fn (float $share, float $chance): float => $share * (1 - $chance), $none, $of);
        }

        return new NextCheck(
            $check, $bits, $bits / ($check->minutes * $count + self::BEGINNING),
            $check->site === Site::Station ? array_slice($stations, 0, self::PLACES) : [], $sign,
            $this->outlook(array_map(static fn (float $share, float $chance): float => $share * $chance, $this->shares, $chances[$sign])),
            $this->outlook($none),
        );
    }

    /** Whether looking would tell something new: nobody found it, and less than half of its places were looked at. */
    private function isOpen(string $code): bool
    {
        $sign = $this->signs[$code];
        if (!$sign->isPossibleOn($this->engine) || ($this->ranking->model->network->signLinks[$code] ?? []) === []) {
            return false;
        }
        foreach ($this->ranking->model->items as $laid) {
            if ($laid->item->sign === $code) {
                return $laid->item->kind === ItemKind::Unanswered
                    || (!$laid->item->isPresent && count($laid->item->sites) < self::KNOWN * $laid->item->siteCount);
            }
        }

        return true;
    }

    /** @return list<float> probability that the sign would be recorded, under each explanation */
    private function chances(string $sign): array
    {
        $chances = [];
        foreach ($this->members as $k => $members) {
            $absent = $this->absentOf($this->ranking->model->network->signLinks[$sign], $members, $this->events[$k]);
            $there = 1 - (1 - $this->signs[$sign]->leak) * $absent;
            $chances[] = self::SEEN * $there + Evidence::LOOKED_ABSENT * (1 - $there);
        }

        return $chances;
    }

    /**
     * @param list<PlacedCause> $members
     *
     * @return array<string, float>
     */
    private function eventsUnder(array $members): array
    {
        $model = $this->ranking->model;
        $known = array_flip($model->events);
        $events = [];
        foreach ($model->network->events as $code => $event) {
            $events[$code] = isset($known[$code])
                ? $model->eventProbability($code, ...$members)
                : 1 - $this->absentOf($event->parents, $members, $events);
        }

        return $events;
    }

    /**
     * @param list<Link> $links
     * @param list<PlacedCause> $members
     * @param array<string, float> $events
     *
     * @return float probability that none of the parents brings it about
     */
    private function absentOf(array $links, array $members, array $events): float
    {
        $absent = 1.0;
        foreach ($links as $link) {
            $at = $events[$link->parent] ?? 0.0;
            foreach ($members as $member) {
                $kinds = $this->ranking->model->ground->kindsOf($member->extent->region);
                $at = $member->cause === $link->parent && $link->holds($member->form, $kinds) ? 1.0 : $at;
            }
            $absent *= 1 - $at * $link->probability;
        }

        return $absent;
    }

    /** @param non-empty-list<list<float>> $signs chances of each, by explanation */
    private function gain(array $signs): float
    {
        $gain = self::entropy($this->shares);
        for ($outcome = 0, $count = 1 << count($signs); $outcome < $count; ++$outcome) {
            $joint = $this->shares;
            foreach ($signs as $bit => $chances) {
                foreach ($chances as $k => $chance) {
                    $joint[$k] *= ($outcome >> $bit & 1) === 1 ? $chance : 1 - $chance;
                }
            }
            $probability = array_sum($joint);
            $gain -= $probability * self::entropy(array_map(static fn (float $one): float => $one / $probability, $joint));
        }

        return max(0.0, $gain);
    }

    /** @param array<float> $shares */
    private static function entropy(array $shares): float
    {
        $bits = 0.0;
        foreach ($shares as $share) {
            $bits -= $share > 0.0 ? $share * log($share, 2) : 0.0;
        }

        return $bits;
    }

    /** @param array<float> $joint */
    private function outlook(array $joint): Outlook
    {
        $total = array_sum($joint);
        arsort($joint);
        $first = (int) array_key_first($joint);

        return new Outlook($this->members[$first], $joint[$first] / $total);
    }

    /** @return list<string> stations where the first explanations are, those that are at a place */
    private function suspects(): array
    {
        $stations = [];
        foreach (array_slice($this->members, 0, 2) as $members) {
            foreach ($members as $member) {
                if ($member->extent->scope->isLocal() && !$member->extent->isElsewhere) {
                    array_push($stations, ...$this->ranking->model->ground->codes($member->extent->region));
                }
            }
        }

        return array_values(array_unique($stations));
    }
}
