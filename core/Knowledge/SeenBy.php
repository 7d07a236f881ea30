<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

/** How a sign is noticed. Only what the eye sees is covered by a clear look. */
enum SeenBy: string
{
    case Eye = 'eye';
    case Touch = 'touch';
    case Measurement = 'measurement';
    case Check = 'check';
    case Report = 'report';
}
