<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Engine\ValveKind;

/** Stations that are held against others: one, those of a cylinder, of a bank, of a kind, or several of these together. */
final readonly class Group
{
    private const BANK = 'bank-';
    private const KIND = 'kind-';
    private const AND = '+';

    /** @param non-empty-list<Station> $stations */
    private function __construct(public string $code, public string $name, public array $stations)
    {
    }

    /** By its code: B2-E1, B2, bank-B, kind-E, or several joined by +; null where the engine has no such stations. */
    public static function of(Engine $engine, string $code): ?self
    {
        $all = array_column(array_map(static fn (self $group): array => [$group->code, $group], self::all($engine)), 1, 0);
        $names = $stations = [];
        foreach (explode(self::AND, $code) as $part) {
            if (!isset($all[$part])) {
                return null;
            }
            $names[] = $all[$part]->name;
            foreach ($all[$part]->stations as $station) {
                $stations[$station->code()] = $station;
            }
        }

        return new self($code, implode(', ', $names), array_values($stations));
    }

    /** @return list<self> everything on an engine that can be held against something: kinds, banks, cylinders, stations */
    public static function all(Engine $engine): array
    {
        $kinds = $banks = $cylinders = $single = [];
        foreach ($engine->stations as $station) {
            $kinds[self::KIND.$station->kind->value][] = $station;
            $banks[self::BANK.$station->cylinder->bank][] = $station;
            $cylinders[explode('-', $station->code())[0]][] = $station;
            $single[$station->code()] = [$station];
        }
        $groups = [];
        foreach ($kinds as $code => $stations) {
            $groups[] = new self($code, ValveKind::from(substr($code, strlen(self::KIND)))->word().'s', $stations);
        }
        foreach (count($banks) > 1 ? $banks : [] as $code => $stations) {
            $groups[] = new self($code, str_replace('-', ' ', $code), $stations);
        }
        foreach ($cylinders + $single as $code => $stations) {
            $groups[] = new self($code, $engine->placeLabel($code) ?? $code, $stations);
        }

        return $groups;
    }

    /** The station of that code, if it is of the group. */
    public function station(string $code): ?Station
    {
        foreach ($this->stations as $station) {
            if ($station->code() === $code) {
                return $station;
            }
        }

        return null;
    }
}
