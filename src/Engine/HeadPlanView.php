<?php

declare(strict_types=1);

namespace MuteTapper\App\Engine;

use MuteTapper\Core\Engine\HeadPlan;
use OpenApi\Attributes as OA;

/** The head plan's geometry for the screen, in drawing units. */
#[OA\Schema]
final readonly class HeadPlanView
{
    /**
     * @param list<array<string, mixed>> $castings
     * @param list<array<string, mixed>> $bores
     * @param list<array<string, mixed>> $cells
     * @param list<array<string, mixed>> $columns
     */
    private function __construct(
        public float $width,
        public float $height,
        public ?float $crankLine,
        #[OA\Property(items: new OA\Items(required: ['bank', 'left', 'top', 'right', 'bottom'], properties: [
            new OA\Property('bank', type: 'string'), new OA\Property('left', type: 'number'), new OA\Property('top', type: 'number'),
            new OA\Property('right', type: 'number'), new OA\Property('bottom', type: 'number'),
        ], type: 'object'))]
        public array $castings,
        #[OA\Property(items: new OA\Items(required: ['cylinder', 'number', 'x', 'y', 'radius', 'box'], properties: [
            new OA\Property('cylinder', type: 'string'), new OA\Property('number', type: 'integer'), new OA\Property('x', type: 'number'),
            new OA\Property('y', type: 'number'), new OA\Property('radius', type: 'number'),
            new OA\Property(
                'box', required: ['x', 'y'], properties: [new OA\Property('x', type: 'number'), new OA\Property('y', type: 'number')],
                type: 'object',
            ),
        ], type: 'object'))]
        public array $bores,
        #[OA\Property(items: new OA\Items(
            required: ['station', 'label', 'kind', 'name', 'x', 'y', 'radius', 'ports', 'letter'], properties: [
                new OA\Property('station', type: 'string'), new OA\Property('label', type: 'string'),
                new OA\Property('kind', type: 'string', enum: ['I', 'E']), new OA\Property('name', type: 'string'),
                new OA\Property('x', type: 'number'), new OA\Property('y', type: 'number'), new OA\Property('radius', type: 'number'),
                new OA\Property('ports', type: 'array', items: new OA\Items(required: ['x1', 'y1', 'x2', 'y2'], properties: [
                    new OA\Property('x1', type: 'number'), new OA\Property('y1', type: 'number'), new OA\Property('x2', type: 'number'),
                    new OA\Property('y2', type: 'number'),
                ], type: 'object')),
                new OA\Property(
                    'letter', required: ['x', 'y'],
                    properties: [new OA\Property('x', type: 'number'), new OA\Property('y', type: 'number')],
                    type: 'object', nullable: true,
                ),
            ], type: 'object'))]
        public array $cells,
        #[OA\Property(items: new OA\Items(required: ['text', 'x', 'y'], properties: [
            new OA\Property('text', type: 'string'), new OA\Property('x', type: 'number'), new OA\Property('y', type: 'number'),
        ], type: 'object'))]
        public array $columns,
    ) {
    }

    public static function of(HeadPlan $plan): self
    {
        return new self($plan->width, $plan->height, $plan->crankLine, $plan->castings, $plan->bores, $plan->cells, $plan->columns);
    }
}
