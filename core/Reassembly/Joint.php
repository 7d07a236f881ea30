<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

/** What is tightened by the maker's figures. */
enum Joint: string
{
    case Head = 'head';
    case HeadSecond = 'head_second';
    case CamCaps = 'cam_caps';
    case Rockers = 'rockers';
    case Timing = 'timing';
    case Cover = 'cover';

    public function label(): string
    {
        return match ($this) {
            self::Head => 'head bolts',
            self::HeadSecond => 'second class of head bolts',
            self::CamCaps => 'cam caps',
            self::Rockers => 'rockers',
            self::Timing => 'timing drive',
            self::Cover => 'cover',
        };
    }
}
