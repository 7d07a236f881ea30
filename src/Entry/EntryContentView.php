<?php

declare(strict_types=1);

namespace MuteTapper\App\Entry;

use OpenApi\Attributes as OA;

/** What an entry holds, by its kind: `docs/formats/case.schema.json` says which kind has what. */
#[OA\Schema(properties: [
    new OA\Property('text', description: 'a figure as typed', type: 'string'), new OA\Property('atText', type: 'string'),
    new OA\Property('gauge', type: 'string'), new OA\Property('received', description: 'sent by the gauge, not typed', type: 'boolean'),
    new OA\Property('kept', description: 'why a figure is kept that is not plausible', type: 'string'),
    new OA\Property(
        'notMeasurable', description: 'why there is no figure', type: 'string', enum: ['worn', 'missing', 'unreachable'],
    ),
    new OA\Property('heightUnit', type: 'string'), new OA\Property('loadUnit', type: 'string'),
    new OA\Property('liftUnit', type: 'string'), new OA\Property('wheel', type: 'string', enum: ['cam', 'crank']),
    new OA\Property('tag', description: 'which part stands there', type: 'string'),
    new OA\Property('standing', type: 'string', enum: ['known', 'said', 'unknown']),
    new OA\Property('words', type: 'string'), new OA\Property('severity', type: 'integer'), new OA\Property(
        'state', type: 'string',
        enum: [
            'as_found', 'after_cleaning', 'open', 'done', 'skipped', 'new', 'carried', 'changed', 'unknown', 'ticked', 'kept', 'left_out',
        ],
    ),
    new OA\Property('sureness', type: 'number'), new OA\Property('fill', type: 'string', enum: ['filled', 'drained']),
    new OA\Property('note', type: 'string'), new OA\Property('sha256', type: 'string'), new OA\Property('caption', type: 'string'),
    new OA\Property('about', description: 'sign that a photograph shows', type: 'string'),
    new OA\Property('choice', type: 'string'),
    new OA\Property('also', description: 'further answers to the same question', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property('what', type: 'string', enum: ['build', 'run', 'service', 'failure']), new OA\Property('date', type: 'string'),
    new OA\Property('amount', type: 'number'), new OA\Property('unit', type: 'string', enum: ['h', 'km', 'mi', 'runs']),
    new OA\Property('sameSymptom', type: 'boolean'), new OA\Property(
        'earlier', description: 'the shop’s case of an event, and the parts that stood in that build', type: 'object',
        required: ['case'], properties: [
            new OA\Property('case', type: 'string', format: 'uuid'), new OA\Property('name', type: 'string'),
            new OA\Property('parts', type: 'array', items: new OA\Items(type: 'object', additionalProperties: true)),
        ],
    ),
    new OA\Property('codes', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property('expected', type: 'integer'), new OA\Property('found', type: 'integer'),
    new OA\Property('where', type: 'string', enum: ['tray', 'sealed', 'machinist', 'laboratory', 'customer']),
    new OA\Property('whom', type: 'string'), new OA\Property('seal', type: 'string'), new OA\Property('why', type: 'string'),
    new OA\Property('destroyed', type: 'boolean'),
    new OA\Property('invited', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property('shape', type: 'string', enum: ['arrow', 'outline', 'mark', 'text', 'scale', 'length', 'diameter', 'angle']),
    new OA\Property(
        'points', description: 'of a drawing, or of a sweep: height and load', type: 'array',
        items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')),
    ),
    new OA\Property('annotation', type: 'object', additionalProperties: true),
    new OA\Property('label', type: 'string'), new OA\Property('kind', type: 'string', enum: ['work', 'laboratory', 'parts', 'customer']),
    new OA\Property('taskState', type: 'string', enum: ['open', 'begun', 'done']), new OA\Property('leastDays', type: 'number'),
    new OA\Property('mostDays', type: 'number'),
    new OA\Property('after', type: 'array', items: new OA\Items(type: 'string')), new OA\Property('due', type: 'string'),
    new OA\Property('begun', type: 'string'), new OA\Property('done', type: 'string'),
    new OA\Property('laboratory', type: 'string'), new OA\Property('simulated', type: 'boolean'), new OA\Property(
        'results', type: 'array',
        items: new OA\Items(
            required: ['name', 'value'],
            properties: [
                new OA\Property('name', type: 'string'), new OA\Property('value', type: 'string'), new OA\Property('unit', type: 'string'),
                new OA\Property('remark', type: 'string'),
            ],
            type: 'object',
        ),
    ),
    new OA\Property('edit', type: 'string', enum: ['cut', 'link', 'order', 'event', 'first', 'older', 'both']),
    new OA\Property('event', type: 'string'), new OA\Property('to', type: 'string'), new OA\Property('place', type: 'string'),
    new OA\Property('known', description: 'how an added event is known', type: 'string', enum: ['seen', 'told', 'implied']),
    new OA\Property('name', description: 'of a remedy', type: 'string'),
    new OA\Property('remedyKind', type: 'string', enum: ['cure', 'trial', 'containment']),
    new OA\Property(
        'change', type: 'array',
        description: 'of a remedy: a list of {places, name, index, to | by: {number, unit}} and {places, part, from}',
        items: new OA\Items(type: 'object', additionalProperties: true),
    ),
    new OA\Property('hours', type: 'number'), new OA\Property('waitDays', type: 'integer'),
    new OA\Property('until', description: 'what ends a containment, or when a part comes back', type: 'string'),
    new OA\Property('tellTales', type: 'string'),
    new OA\Property('remedies', description: 'ids of those taken', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property('decision', type: 'string', enum: ['keep', 'keep_with_limit', 'rework', 'replace']),
    new OA\Property(
        'passes', description: 'of a tightening', type: 'array', items: new OA\Items(
            required: ['figure', 'unit'],
            properties: [
                new OA\Property('figure', type: 'number'),
                new OA\Property('unit', type: 'string', enum: ['N·m', 'lbf·ft', 'lbf·in', '°']),
            ],
            type: 'object',
        ),
    ),
    new OA\Property('bolts', type: 'string', enum: ['once', 'again', 'measured']), new OA\Property('threads', type: 'string'),
    new OA\Property('order', type: 'string'), new OA\Property('source', type: 'string'),
    new OA\Property('symptom', type: 'string', enum: ['gone', 'less', 'same', 'other']),
    new OA\Property('fileName', type: 'string'), new OA\Property('format', type: 'object', additionalProperties: true),
    new OA\Property('thresholds', type: 'object', additionalProperties: true),
])]
final class EntryContentView
{
}
