<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Before\TestColumn;
use MuteTapper\Core\Engine\BuildQuantity;
use MuteTapper\Core\Spring\SheetColumn;

/** Every column of every measurement sheet, by its code. */
final class Columns
{
    /** @return list<Column> */
    public static function all(): array
    {
        return [...SheetColumn::cases(), ...TestColumn::cases(), ...BuildQuantity::cases()];
    }

    public static function find(string $code): ?Column
    {
        return SheetColumn::tryFrom($code) ?? TestColumn::tryFrom($code) ?? BuildQuantity::tryFrom($code);
    }
}
