<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** A factor of the likelihood: a table over the states of some events, depending on which causes are at work. */
final readonly class Factor
{
    /**
     * @param list<int> $scope events, ascending; bit i of a table index is the state of scope[i]
     * @param array<int, true> $causes causes on which the table depends, by what `AtWork::one` makes of each
     * @param \Closure(int): list<float> $table table for the causes at work, as AtWork writes them
     * @param string|null $sign the sign whose record this is; null for an event's own table
     */
    public function __construct(public array $scope, public array $causes, public \Closure $table, public ?string $sign)
    {
    }
}
