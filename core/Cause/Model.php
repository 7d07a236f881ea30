<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Knowledge\Link;
use MuteTapper\Core\Knowledge\Network;

/**
 * The cause network bound to one engine and its evidence: noisy-OR over events whose states are summed out jointly
 * [own; on Pearl 1988, Shwe et al. 1991, from memory]. Causes are numbered; the number after the last stands for "something not listed".
 */
final class Model
{
    private const EVENT_LEAK_SHARE = 0.10;
    private const OTHER_EVENT = 0.05;
    private const OTHER_SIGN = 0.03;

    /** @var list<string> causes that this build allows; position is the number */
    public readonly array $causes;
    /** @var array<string, int> number by cause */
    private readonly array $numbers;
    /** @var array<string, string> causes removed, with the flag that removed them */
    public readonly array $excluded;
    /** @var array<string, float> normalised over the allowed causes */
    public readonly array $priors;
    /** @var list<string> events with a looked-at descendant; position is the number in tables */
    public readonly array $events;
    public readonly Elimination $elimination;
    /** @var array<string, int> factor number by sign */
    public readonly array $factorOfSign;
    /** @var array<string, int> factor number by event */
    private readonly array $factorOfEvent;

    /** @param array<string, Item> $items */
    public function __construct(public readonly Network $network, Engine $engine, public readonly array $items)
    {
        $causes = $excluded = $weights = [];
        foreach ($network->causes as $code => $cause) {
            $flag = $cause->excludedBy($engine);
            if ($flag === null) {
                $causes[] = $code;
                $weights[$code] = $cause->weight($engine);
            } else {
                $excluded[$code] = $flag;
            }
        }
        $this->causes = $causes;
        $this->excluded = $excluded;
        $this->numbers = array_flip($causes);
        if (count($causes) >= AtWork::MOST) {
            throw new \LogicException(sprintf('At most %d causes can be weighed.', AtWork::MOST));
        }
        $total = array_sum($weights);
        $this->priors = array_map(static fn (float $weight): float => $weight / $total, $weights);
        $this->events = $this->lookedAtEvents();
        [$factors, $this->factorOfEvent, $this->factorOfSign] = $this->factors();
        $this->elimination = new Elimination($factors, count($this->events));
    }

    /** "Something not listed", at work. */
    public function other(): int
    {
        return AtWork::one(count($this->causes));
    }

    /** @throws \OutOfBoundsException when the build rules the cause out */
    public function atWork(string ...$causes): int
    {
        return AtWork::of(array_map(
            fn (string $cause): int => $this->numbers[$cause] ?? throw new \OutOfBoundsException('Not a cause of this engine: '.$cause),
            array_values($causes),
        ));
    }

    /** P(event | evidence) with the given causes at work. */
    public function eventProbability(string $event, int $causes): float
    {
        $number = array_search($event, $this->events, true);
        if ($number === false) {
            return 0.0;
        }
        $factor = $this->factorOfEvent[$event];
        $scope = $this->scopeOf($event);
        $bit = 1 << (int) array_search($number, $scope, true);

        return $this->elimination->likelihoodWith(
            $causes, $factor, 'on',
            static fn (array $table): array => array_map(
                static fn (int $i, float $p): float => ($i & $bit) === 0 ? 0.0 : $p, array_keys($table), $table,
            ),
        ) / $this->elimination->likelihood($causes);
    }

    /** P(a present sign was brought about by something of the network, rather than being there by itself | evidence, causes at work). */
    public function broughtAbout(string $sign, int $causes): float
    {
        $ratio = $this->items[$sign]->ratio;
        // f = (1 − W) + W·ρ: what is left of it without the first part.
        $byParents = static fn (float $f): float => $ratio * ($f - 1) / ($ratio - 1);
        $part = $this->elimination->likelihoodWith(
            $causes, $this->factorOfSign[$sign], 'brought about', static fn (array $table): array => array_map($byParents, $table),
        );

        return $part / $this->elimination->likelihood($causes);
    }

    /** @return list<string> */
    private function lookedAtEvents(): array
    {
        $wanted = [];
        foreach (array_keys($this->items) as $sign) {
            foreach ($this->network->signLinks[$sign] ?? [] as $link) {
                $wanted[$link->parent] = true;
            }
        }
        foreach (array_reverse($this->network->events) as $code => $event) {
            foreach (isset($wanted[$code]) ? $event->parents : [] as $link) {
                $wanted[$link->parent] = true;
            }
        }

        return array_values(array_filter(array_keys($this->network->events), static fn (string $code): bool => isset($wanted[$code])));
    }

    /** @return list<int> numbers of the event and its parent events, ascending */
    private function scopeOf(string $event): array
    {
        $scope = [(int) array_search($event, $this->events, true)];
        foreach ($this->network->events[$event]->parents as $link) {
            $parent = array_search($link->parent, $this->events, true);
            if ($parent !== false) {
                $scope[] = $parent;
            }
        }
        sort($scope);

        return $scope;
    }

    /** @return array{list<Factor>, array<string, int>, array<string, int>} */
    private function factors(): array
    {
        $factors = $ofEvent = $ofSign = [];
        $paths = $this->network->paths();
        foreach ($this->events as $number => $code) {
            $leak = 0.0;
            foreach ($paths[$code] as $cause => $path) {
                $leak += self::EVENT_LEAK_SHARE * ($this->priors[$cause] ?? 0.0) * $path;
            }
            $ofEvent[$code] = count($factors);
            $factors[] = $this->eventFactor($code, $number, $leak);
        }
        foreach ($this->items as $sign => $item) {
            $ofSign[$sign] = count($factors);
            $factors[] = $this->signFactor($sign, $item);
        }

        return [$factors, $ofEvent, $ofSign];
    }

    private function eventFactor(string $code, int $number, float $leak): Factor
    {
        [$fromEvents, $fromCauses] = $this->split($this->network->events[$code]->parents);
        $fromCauses[count($this->causes)] = self::OTHER_EVENT;
        $scope = $this->scopeOf($code);
        $own = 1 << (int) array_search($number, $scope, true);

        return new Factor(
            $scope, array_fill_keys(array_map(AtWork::one(...), array_keys($fromCauses)), true),
            static function (int $causes) use ($scope, $own, $leak, $fromEvents, $fromCauses): array {
                $off = 1 - $leak;
                foreach (AtWork::numbers($causes) as $cause) {
                    $off *= 1 - ($fromCauses[$cause] ?? 0.0);
                }
                $table = [];
                for ($i = 0, $n = 1 << count($scope); $i < $n; ++$i) {
                    $p = $off;
                    foreach ($scope as $position => $event) {
                        if (isset($fromEvents[$event]) && (($i >> $position) & 1) === 1) {
                            $p *= 1 - $fromEvents[$event];
                        }
                    }
                    $table[] = ($i & $own) === 0 ? $p : 1 - $p;
                }

                return $table;
            }, null);
    }

    /**
     * A sign that is present somewhere: f = (1 − W) + W·ρ̄. Absent wherever it was looked for: f = Π (1 − w(1 − ρ)).
     * Here every parent has the whole engine as its region, so ρ̄ = ρ.
     */
    private function signFactor(string $sign, Item $item): Factor
    {
        [$fromEvents, $fromCauses] = $this->split($this->network->signLinks[$sign] ?? []);
        $fromCauses[count($this->causes)] = self::OTHER_SIGN;
        $scope = array_keys($fromEvents);
        sort($scope);
        $ratio = $item->ratio;
        $present = $item->isPresent;

        return new Factor(
            $scope, array_fill_keys(array_map(AtWork::one(...), array_keys($fromCauses)), true),
            static function (int $causes) use ($scope, $ratio, $present, $fromEvents, $fromCauses): array {
                $shrink = static fn (float $w): float => $present ? 1 - $w : 1 - $w * (1 - $ratio);
                $base = 1.0;
                foreach (AtWork::numbers($causes) as $cause) {
                    $base *= $shrink($fromCauses[$cause] ?? 0.0);
                }
                $table = [];
                for ($i = 0, $n = 1 << count($scope); $i < $n; ++$i) {
                    $product = $base;
                    foreach ($scope as $position => $event) {
                        $product *= (($i >> $position) & 1) === 1 ? $shrink($fromEvents[$event]) : 1.0;
                    }
                    $table[] = $present ? $product + (1 - $product) * $ratio : $product;
                }

                return $table;
            }, $sign);
    }

    /**
     * @param list<Link> $links
     *
     * @return array{array<int, float>, array<int, float>} strengths by number of the event, and by number of the cause
     */
    private function split(array $links): array
    {
        $fromEvents = $fromCauses = [];
        foreach ($links as $link) {
            $w = $link->strength->probability();
            $event = array_search($link->parent, $this->events, true);
            $cause = $this->numbers[$link->parent] ?? null;
            if ($event !== false) {
                $fromEvents[$event] = $w;
            } elseif ($cause !== null) {
                $fromCauses[$cause] = $w;
            }
        }

        return [$fromEvents, $fromCauses];
    }
}
