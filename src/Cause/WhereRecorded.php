<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\ItemKind;
use MuteTapper\Core\Engine\Part;

/** The step of the work in which what is known of a sign was recorded. */
final class WhereRecorded
{
    public static function step(Assessment $assessment, string $sign): string
    {
        $item = $assessment->items()[$sign];

        return match (true) {
            $item->kind === ItemKind::Bench => 'bench',
            $item->kind === ItemKind::Unanswered, $assessment->knowledge->signs[$sign]->parts[0] === Part::Running => 'story',
            default => 'teardown',
        };
    }
}
