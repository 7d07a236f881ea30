<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use MuteTapper\Core\Remedy\AdjustmentKind;
use OpenApi\Attributes as OA;

/** A way in which something is changed. */
#[OA\Schema]
final readonly class AdjustmentKindView
{
    private function __construct(public string $code, public string $label)
    {
    }

    public static function of(AdjustmentKind $kind): self
    {
        return new self($kind->code, $kind->label);
    }
}
