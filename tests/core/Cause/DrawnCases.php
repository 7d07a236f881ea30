<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Core\Cause\Explanations;
use MuteTapper\Core\Cause\Ground;
use MuteTapper\Core\Cause\Scope;
use MuteTapper\Core\Cause\StationSet;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Knowledge\Cause;
use MuteTapper\Core\Knowledge\EventMode;
use MuteTapper\Core\Knowledge\Link;
use MuteTapper\Core\Knowledge\Network;
use MuteTapper\Core\Knowledge\Sign;
use MuteTapper\Tests\Core\Example;

/**
 * Cases drawn from the network itself: nothing wrong, or one cause by the priors somewhere by its scopes; events, and signs at
 * their places, by their links; some stations looked at, some records wrong. Each comes with the cause that was drawn.
 */
final class DrawnCases
{
    /** Shares of the signs that are asked for, of the stations that are looked at for them, and of the signs with one wrong record. */
    private const ASKED = 0.5;
    private const LOOKED = 0.7;
    private const WRONG = 0.02;
    /** Of the stations in the region of a mechanism each is marked so often. */
    private const MARKED = 0.75;

    /** @param bool $isMild half of the mechanisms leave traces only */
    public function __construct(int $seed, private readonly bool $isMild)
    {
        mt_srand($seed);
    }

    /** @return array{Example, string|null} and the cause that was drawn; null where nothing is wrong */
    public function draw(): array
    {
        $examples = [Example::pushrodEight(...), Example::bucketFour(...), Example::hydraulicRollerEight(...)];
        $example = $examples[mt_rand(0, 2)]();
        $engine = $example->engine();
        $network = Example::knowledge()->network->on($engine);
        $ground = Ground::of($engine);
        $truth = self::chance(Explanations::SINGLES / (Explanations::NONE + Explanations::SINGLES))
            ? self::pick(array_map(static fn (Cause $cause): float => $cause->weight($engine), $network->causes))
            : null;
        $cause = $truth === null ? null : $network->causes[$truth];
        $region = $cause === null ? $ground->all : $this->region($cause, $ground);
        $form = $cause === null ? '' : self::pick($cause->forms);
        $on = $truth === null ? [] : [$truth => true];
        foreach ($network->events as $code => $event) {
            $on[$code] = $this->happens($event->parents, $on, $form, $ground->kindsOf($region)) !== null;
        }
        foreach (Example::knowledge()->signs as $sign) {
            if (!$sign->isFromBench() && $sign->isPossibleOn($engine)) {
                $this->record($example, $engine, $network, $ground, $sign, $on, $form, $region);
            }
        }

        return [$example, $truth];
    }

    private function region(Cause $cause, Ground $ground): StationSet
    {
        $scopes = $cause->scopes;
        if (count($ground->banks) === 1) {
            unset($scopes['bank']);
        }

        return match (Scope::from(self::pick($scopes))) {
            Scope::Station => StationSet::of($ground->all->size, [mt_rand(0, $ground->all->size - 1)]),
            Scope::Several => StationSet::of($ground->all->size, array_values(array_unique(
                array_map(static fn (int $i): int => mt_rand(0, $ground->all->size - 1), range(1, mt_rand(2, 4))),
            ))),
            Scope::Cylinder => $ground->cylinders[array_rand($ground->cylinders)],
            Scope::Kind => $ground->kinds[array_rand($ground->kinds)],
            Scope::Bank => $ground->banks[array_rand($ground->banks)],
            Scope::All => $ground->all,
        };
    }

    /** @param array<string, bool> $on */
    private function record(
        Example $example, Engine $engine, Network $network, Ground $ground, Sign $sign, array $on, string $form, StationSet $region,
    ): void {
        $link = $this->happens($network->signLinks[$sign->code], $on, $form, $ground->kindsOf($region));
        $marked = $this->marked($ground, $network, $link, $region);
        $leaks = self::chance($sign->leak);
        if (!self::chance(self::ASKED)) {
            return;
        }
        $sites = $engine->sites($sign->site);
        $stray = $sites[array_rand($sites)];
        $mistaken = self::chance(self::WRONG) ? $sites[array_rand($sites)] : null;
        $severity = $this->isMild && self::chance(0.5) ? 1 : 2 + mt_rand(0, 1);
        foreach ($sites as $site) {
            if ($sign->site !== Site::Engine && !self::chance(self::LOOKED)) {
                continue;
            }
            $isThere = ($link !== null && $ground->covered($site)->touches($marked)) || ($leaks && $site === $stray);
            $example->shows($sign->code, $isThere !== ($site === $mistaken) ? $severity : 0, $site);
        }
    }

    /** Where a sign lies that was brought about: all over its region, with gaps; of what strikes here and there at one station. */
    private function marked(Ground $ground, Network $network, ?Link $link, StationSet $region): StationSet
    {
        $numbers = $region->numbers();
        if ($link === null || count($numbers) === 1) {
            return $region;
        }
        if (($network->events[$link->parent]->mode ?? EventMode::Same) === EventMode::Some) {
            return StationSet::of($ground->all->size, [$numbers[array_rand($numbers)]]);
        }
        $marked = array_values(array_filter($numbers, static fn (): bool => self::chance(self::MARKED)));

        return StationSet::of($ground->all->size, $marked === [] ? [$numbers[0]] : $marked);
    }

    /**
     * @param list<Link> $links
     * @param array<string, bool> $on
     *
     * @return Link|null the first that did it
     */
    private function happens(array $links, array $on, string $form, string $kinds): ?Link
    {
        foreach ($links as $link) {
            if (($on[$link->parent] ?? false) && $link->holds($form, $kinds) && self::chance($link->probability)) {
                return $link;
            }
        }

        return null;
    }

    private static function chance(float $probability): bool
    {
        return mt_rand() / mt_getrandmax() < $probability;
    }

    /** @param array<string, float> $weights */
    private static function pick(array $weights): string
    {
        $at = mt_rand() / mt_getrandmax() * array_sum($weights);
        foreach ($weights as $code => $weight) {
            $at -= $weight;
            if ($at <= 0) {
                return (string) $code;
            }
        }

        return (string) array_key_last($weights);
    }
}
