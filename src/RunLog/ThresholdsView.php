<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use OpenApi\Attributes as OA;

/** From where on something in a log is an event. Members are those of the case format. */
#[OA\Schema(required: ['over_speed', 'limiter', 'oil_per_thousand', 'oil_temperature'], properties: [
    new OA\Property('over_speed', description: 'turns a minute', type: 'number'),
    new OA\Property('limiter', description: 'turns a minute', type: 'number', nullable: true),
    new OA\Property('oil_per_thousand', description: 'bar per 1000 turns a minute', type: 'number'),
    new OA\Property('oil_temperature', description: '°C', type: 'number'),
])]
final class ThresholdsView
{
}
