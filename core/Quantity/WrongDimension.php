<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/** Quantities of different kinds were put together: a fault of the program, never of a reading. */
final class WrongDimension extends \LogicException
{
    public static function added(Dimension $one, Dimension $other): self
    {
        return new self(sprintf('A %s and a %s cannot be added.', $one->value, $other->value));
    }

    public static function shown(Dimension $dimension, Unit $unit): self
    {
        return new self(sprintf('A %s cannot be shown in %s.', $dimension->value, $unit->value));
    }

    public static function given(string $input, Dimension $wanted, Dimension $given): self
    {
        return new self(sprintf('The input “%s” must be a %s; a %s was given.', $input, $wanted->value, $given->value));
    }
}
