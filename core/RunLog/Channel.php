<?php

declare(strict_types=1);

namespace MuteTapper\Core\RunLog;

/** What a column of a log can hold, and the unit it is kept in. */
enum Channel: string
{
    case Time = 'time';
    case Speed = 'speed';
    case Boost = 'boost';
    case ExhaustPressure = 'exhaust_pressure';
    case OilPressure = 'oil_pressure';
    case OilTemperature = 'oil_temperature';
    case Throttle = 'throttle';

    public function label(): string
    {
        return match ($this) {
            self::Time => 'time',
            self::Speed => 'engine speed',
            self::Boost => 'boost',
            self::ExhaustPressure => 'exhaust pressure',
            self::OilPressure => 'oil pressure',
            self::OilTemperature => 'oil temperature',
            self::Throttle => 'throttle',
        };
    }

    /**
     * Beginnings of words, in lower case, by which a header is recognised: all of one list must occur.
     *
     * @return non-empty-list<non-empty-list<string>>
     */
    public function headers(): array
    {
        return match ($this) {
            self::Time => [['time'], ['zeit'], ['temps'], ['t']],
            self::Speed => [['rpm'], ['engine', 'speed'], ['speed'], ['revs'], ['drehzahl'], ['n']],
            self::Boost => [['boost'], ['map'], ['manifold'], ['ladedruck'], ['inlet', 'press']],
            self::ExhaustPressure => [['exhaust', 'press'], ['back', 'press'], ['emap'], ['ebp'], ['abgas']],
            self::OilPressure => [['oil', 'p'], ['öldruck'], ['oildruck']],
            self::OilTemperature => [['oil', 't'], ['öltemp']],
            self::Throttle => [['throttle'], ['tps'], ['pedal'], ['drossel']],
        };
    }

    /**
     * @return non-empty-array<string, array{float, float}> factor and offset to the kept unit, by unit as written; the first is the kept
     *                                                      one
     */
    public function units(): array
    {
        return match ($this) {
            self::Time => ['s' => [1, 0], 'ms' => [0.001, 0], 'min' => [60, 0]],
            self::Speed => ['1/min' => [1, 0], 'rpm' => [1, 0], 'u/min' => [1, 0], 'krpm' => [1000, 0], 'hz' => [60, 0], 'rps' => [60, 0]],
            self::Boost, self::ExhaustPressure,
            self::OilPressure => ['bar' => [1, 0], 'kpa' => [0.01, 0], 'psi' => [0.06894757293168, 0], 'mbar' => [0.001, 0]],
            self::OilTemperature => [
                '°c' => [1, 0], 'c' => [1, 0], 'degc' => [1, 0], '°f' => [5 / 9, -160 / 9], 'f' => [5 / 9, -160 / 9],
                'degf' => [5 / 9, -160 / 9], 'k' => [1, -273.15],
            ],
            self::Throttle => ['%' => [1, 0], 'pct' => [1, 0], '' => [100, 0]],
        };
    }

    public function unit(): string
    {
        return (string) array_key_first($this->units());
    }
}
