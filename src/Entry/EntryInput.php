<?php

declare(strict_types=1);

namespace MuteTapper\App\Entry;

use MuteTapper\Core\Entry\EntryKind;
use OpenApi\Attributes as OA;

/** An entry as the screen sends it: figures as typed, to be read on this side. */
#[OA\Schema(required: ['id', 'kind', 'slot', 'supersedes', 'by', 'at', 'data'], properties: [
    new OA\Property('id', description: 'UUIDv7 made by the client; also the idempotency key', type: 'string', format: 'uuid'),
    new OA\Property('kind', type: 'string', enum: EntryKind::class),
    new OA\Property('slot', required: ['place', 'part', 'item', 'index'], properties: [
        new OA\Property('place', type: 'string'), new OA\Property('part', type: 'string'), new OA\Property('item', type: 'string'),
        new OA\Property('index', type: 'string', nullable: true),
    ], type: 'object'),
    new OA\Property('supersedes', type: 'string', nullable: true),
    new OA\Property('reason', type: 'string', enum: ['mistyped', 're-measured', 'seen again', 'undone'], nullable: true),
    new OA\Property('by', type: 'string'),
    new OA\Property('at', type: 'string', format: 'date-time'),
    new OA\Property('data', ref: EntryContentView::class),
])]
final class EntryInput
{
}
