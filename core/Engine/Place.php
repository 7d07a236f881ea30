<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** Codes of places that are no site of the engine: wider than a cylinder, or off it. */
final class Place
{
    public const ENGINE = 'engine';
    private const KIND = 'kind-';
    private const LOOSE = '/^loose-([a-z0-9][a-z0-9-]{0,39})$/';

    /** All valves of a kind, or those of one bank. */
    public static function kind(ValveKind $kind, ?string $bank = null): string
    {
        return ($bank === null ? '' : $bank.'-').self::KIND.$kind->value;
    }

    /** The cam that moves the valves of a kind in a bank, whether it has another kind to move too or not. */
    public static function cam(string $bank, ValveKind $kind): string
    {
        return $bank.'-'.$kind->value;
    }

    /** The kind of valve that a cam moves. */
    public static function asCam(string $place): ?ValveKind
    {
        return preg_match('/^[AB]-([IE])$/', $place, $match) === 1 ? ValveKind::from($match[1]) : null;
    }

    /** Where a part is that is off the engine, by its tag. */
    public static function loose(string $tag): string
    {
        return 'loose-'.$tag;
    }

    /** The tag of a part that is off the engine, on the bench by itself. */
    public static function asLoose(string $place): ?string
    {
        return preg_match(self::LOOSE, $place, $match) === 1 ? $match[1] : null;
    }

    /** @return array{?string, ValveKind}|null bank, where it is of one, and kind */
    public static function asKind(string $place): ?array
    {
        if (preg_match('/^(?:([AB])-)?'.self::KIND.'([IE])$/', $place, $match) !== 1) {
            return null;
        }

        return [$match[1] === '' ? null : $match[1], ValveKind::from($match[2])];
    }
}
