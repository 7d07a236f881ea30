<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

/** A physical state that a value can be in, as against the verdict of a school. */
enum ValueState: string
{
    /** Nothing is left of a clearance, with what running takes of it. */
    case Contact = 'contact';
    /** Below minus the limit, above the limit, or outside it either way. */
    case Low = 'low';
    case High = 'high';
    case Off = 'off';
    /** Below the least, or above the most, of an interval. */
    case Tight = 'tight';
    case Loose = 'loose';
    /** On the good side of the limit. */
    case Good = 'good';
    /** Below the limit itself. */
    case Short = 'short';
    /** Below nought. */
    case Negative = 'negative';
}
