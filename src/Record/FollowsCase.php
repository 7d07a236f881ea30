<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Keeps something in step with a case, in the transaction that changed it. */
#[AutoconfigureTag]
interface FollowsCase
{
    /** @param list<string> $people who changed it */
    public function changed(CaseRecord $case, array $people): void;
}
