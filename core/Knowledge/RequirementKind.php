<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

/** How something is recorded before a step. */
enum RequirementKind: string
{
    case Reading = 'reading';
    case Answer = 'answer';
    case Look = 'look';
    case Photograph = 'photograph';
    case Confirm = 'confirm';
}
