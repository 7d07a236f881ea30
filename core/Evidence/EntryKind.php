<?php

declare(strict_types=1);

namespace MuteTapper\Core\Evidence;

/** What a person recorded. */
enum EntryKind: string
{
    /** A measurement from a gauge. */
    case Reading = 'reading';
    /** A figure of the build as claimed. */
    case Claim = 'claim';
    /** A sign seen, or looked for and not there. */
    case Finding = 'finding';
    /** A whole part looked at, nothing there. */
    case Look = 'look';
    case Photograph = 'photograph';
    /** Takes back the entry it supersedes; the slot is empty again. */
    case Withdrawal = 'withdrawal';
}
