<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/** A quantity was divided by one that is nought. */
final class DivisionByNothing extends \DomainException
{
    public function __construct()
    {
        parent::__construct('A figure to be divided by is nought.');
    }
}
