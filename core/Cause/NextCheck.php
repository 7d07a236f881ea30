<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Knowledge\Check;

/** A check not made yet that would tell the explanations apart, with what either result would do. */
final readonly class NextCheck
{
    /**
     * @param float $bits expected gain of information over the explanations
     * @param float $worth bits for a minute of work, a quarter of an hour added for beginning it [own]
     * @param list<string> $stations where the first explanations say that it would be; empty where in no place in particular
     * @param string $sign of those it answers, the one that tells most
     * @param Outlook $found if that sign is there
     * @param Outlook $clear if none of its signs is
     */
    public function __construct(
        public Check $check,
        public float $bits,
        public float $worth,
        public array $stations,
        public string $sign,
        public Outlook $found,
        public Outlook $clear,
    ) {
    }
}
