<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** How the marks of a mechanism lie over an engine. */
enum SpreadClass: string
{
    /** At one station. */
    case One = 'one';
    /** At two or more, all in one cylinder. */
    case Cylinder = 'cylinder';
    /** At some, in no pattern. */
    case Few = 'few';
    /** At most of one kind of valve and few of the other. */
    case Kind = 'kind';
    /** At most of one bank and few of the other. */
    case Bank = 'bank';
    /** At most of all. */
    case Most = 'most';

    /** In words, after “a … would have marked”. */
    public function words(): string
    {
        return match ($this) {
            self::One => 'one station',
            self::Cylinder => 'one cylinder',
            self::Few => 'some stations without pattern',
            self::Kind => 'most valves of one kind',
            self::Bank => 'most of one bank',
            self::Most => 'most stations',
        };
    }
}
