<?php

declare(strict_types=1);

namespace MuteTapper\App\Engine;

use MuteTapper\Core\Document\Node;
use OpenApi\Attributes as OA;

/** An engine as a person describes it on screen; all but drive, layout and cylinders may be left out. */
#[OA\Schema(required: ['layout', 'drive', 'cylinders'], properties: [
    new OA\Property('layout', type: 'string', enum: ['inline', 'vee', 'flat']),
    new OA\Property('drive', type: 'string', enum: ['pushrod', 'bucket', 'finger']),
    new OA\Property('face', type: 'string', enum: ['flat', 'crowned', 'roller']),
    new OA\Property('lash', type: 'string', enum: ['solid', 'hydraulic']),
    new OA\Property('cylinders', type: 'integer'),
    new OA\Property('intakeValves', type: 'integer'),
    new OA\Property('exhaustValves', type: 'integer'),
    new OA\Property(
        'numbering', type: 'object',
        additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'integer')),
    ),
    new OA\Property('valveOrder', type: 'object', nullable: true, additionalProperties: new OA\AdditionalProperties(type: 'string')),
    new OA\Property('firingOrder', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property('firingAngles', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property('forwardBank', type: 'string'),
    new OA\Property('rockerRatio', type: 'number', nullable: true),
    new OA\Property('intendedSpeed', type: 'number', nullable: true),
    new OA\Property('reachedSpeed', type: 'number', nullable: true),
    new OA\Property('flags', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')),
])]
final class EngineInput
{
    /** The API writes names in camel case, the case format in snake case: the same members otherwise. */
    public static function toDescription(Node $input): Node
    {
        $description = [];
        foreach ($input->map() as $name => $value) {
            $description[strtolower((string) preg_replace('/[A-Z]/', '_$0', $name))] = $value;
        }

        return Node::root($description);
    }
}
