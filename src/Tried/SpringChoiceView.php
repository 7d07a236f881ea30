<?php

declare(strict_types=1);

namespace MuteTapper\App\Tried;

use OpenApi\Attributes as OA;

/** A spring that can be tried: one off the engine, or one of the library. */
#[OA\Schema]
final readonly class SpringChoiceView
{
    /** @param string $from where a change takes it from */
    public function __construct(public string $from, public string $name, public bool $isShelved)
    {
    }
}
