<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

/** Between what a mismatch is. */
enum Difference: string
{
    /** Between the two banks. */
    case Banks = 'banks';
    /** Between what was claimed and what was found. */
    case Claim = 'claim';
    /** Between some and the others of a kind of valve. */
    case Kind = 'kind';
    /** Between two groups that a person chose. */
    case Groups = 'groups';
}
