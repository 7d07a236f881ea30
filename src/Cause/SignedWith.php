<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\App\Record\CaseRecord;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Something that was shown beside the ranking: a signed call keeps it as it was. */
#[AutoconfigureTag]
interface SignedWith
{
    /** Under which it is kept. */
    public function name(): string;

    /** @return object|array<string, mixed> */
    public function shown(CaseRecord $case): object|array;
}
