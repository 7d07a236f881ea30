<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

/** Which shaft the degrees of a table are counted on. */
enum DegreeWheel: string
{
    case Cam = 'cam';
    case Crank = 'crank';

    /** So many degrees of this shaft, in degrees of the cam. */
    public function inCam(float $degrees): float
    {
        return $this === self::Crank ? $degrees / 2 : $degrees;
    }
}
