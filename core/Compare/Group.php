<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Sheet\Bench;

/**
 * Places that are held against others: one station, those of a cylinder, of a bank, of a kind, springs off the engine, or several of
 * these together.
 */
final readonly class Group
{
    private const BANK = 'bank-';
    private const KIND = 'kind-';
    private const AND = '+';
    /** All springs off the engine. */
    private const OFF = 'off-engine';

    /** @param non-empty-list<string> $places stations, or places of springs off the engine */
    private function __construct(public string $code, public string $name, public array $places)
    {
    }

    /** By its code: B2-E1, B2, bank-B, kind-E, off-engine, loose-…, or several joined by +; null where nothing is there. */
    public static function of(Bench $bench, string $code): ?self
    {
        $all = array_column(array_map(static fn (self $group): array => [$group->code, $group], self::all($bench)), 1, 0);
        $names = $places = [];
        foreach (explode(self::AND, $code) as $part) {
            if (!isset($all[$part])) {
                return null;
            }
            $names[] = $all[$part]->name;
            $places = [...$places, ...$all[$part]->places];
        }

        return new self($code, implode(', ', $names), array_values(array_unique($places)));
    }

    /** @return list<self> all that can be held against something: kinds, banks, cylinders, stations, springs off the engine */
    public static function all(Bench $bench): array
    {
        $engine = $bench->case->engine;
        $kinds = $banks = $single = [];
        foreach ($engine->stations as $station) {
            $kinds[self::KIND.$station->kind->value][] = $station->code();
            $banks[self::BANK.$station->cylinder->bank][] = $station->code();
            $single[explode('-', $station->code())[0]][] = $station->code();
        }
        foreach ($engine->stations as $station) {
            $single[$station->code()] = [$station->code()];
        }
        $groups = [];
        foreach ($kinds as $code => $places) {
            $groups[] = new self($code, ValveKind::from(substr($code, strlen(self::KIND)))->word().'s', $places);
        }
        foreach (count($banks) > 1 ? $banks : [] as $code => $places) {
            $groups[] = new self($code, str_replace('-', ' ', $code), $places);
        }
        foreach ($single as $code => $places) {
            $groups[] = new self($code, $engine->placeLabel($code) ?? $code, $places);
        }

        return [...$groups, ...self::offTheEngine($bench)];
    }

    /** @return list<self> each spring that was measured or swept off the engine, and all of them */
    private static function offTheEngine(Bench $bench): array
    {
        $swept = array_filter($bench->sweptPlaces(), static fn (string $place): bool => Place::asLoose($place) !== null);
        $places = array_values(array_unique([...$bench->loosePlaces(), ...$swept]));
        $groups = array_map(static fn (string $place): self => new self($place, (string) Place::asLoose($place), [$place]), $places);

        return count($places) > 1 ? [new self(self::OFF, 'springs off the engine', $places), ...$groups] : $groups;
    }

    public function has(string $place): bool
    {
        return in_array($place, $this->places, true);
    }
}
