<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** Codes of places wider than a cylinder. */
final class Place
{
    public const ENGINE = 'engine';
    private const KIND = 'kind-';

    /** All valves of a kind, or those of one bank. */
    public static function kind(ValveKind $kind, ?string $bank = null): string
    {
        return ($bank === null ? '' : $bank.'-').self::KIND.$kind->value;
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
