<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use OpenApi\Attributes as OA;

/** How a log is written, as recognised or corrected. Members are those of the case format. */
#[OA\Schema(required: ['delimiter', 'decimal', 'header_lines', 'headers', 'columns'], properties: [
    new OA\Property('delimiter', type: 'string', enum: [',', ';', "\t", '|']),
    new OA\Property('decimal', type: 'string', enum: ['.', ',']),
    new OA\Property('header_lines', type: 'integer'),
    new OA\Property('headers', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property('columns', type: 'array', items: new OA\Items(required: ['index', 'channel', 'unit'], properties: [
        new OA\Property('index', type: 'integer'), new OA\Property(
            'channel', type: 'string',
            enum: ['time', 'speed', 'boost', 'exhaust_pressure', 'oil_pressure', 'oil_temperature', 'throttle'],
        ), new OA\Property('unit', type: 'string'),
    ], type: 'object')),
])]
final class LogFormatView
{
}
