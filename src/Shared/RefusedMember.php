<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

/** One of several things of a request is refused, and with it all of them. */
final class RefusedMember extends \RuntimeException
{
    public function __construct(public readonly string $pointer, public readonly \Throwable $refusal)
    {
        parent::__construct($pointer.': '.$refusal->getMessage(), 0, $refusal);
    }
}
