<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** A possible explanation: no listed cause, one, two together, or something not listed; with its share of belief. */
final readonly class Hypothesis
{
    /** @param list<string> $causes empty for "none" and for "something not listed" */
    public function __construct(
        public array $causes,
        public bool $isOther,
        public int $atWork,
        public float $likelihood,
        public float $mass,
    ) {
    }
}
