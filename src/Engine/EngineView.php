<?php

declare(strict_types=1);

namespace MuteTapper\App\Engine;

use MuteTapper\Core\Engine\BuildFlag;
use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\FollowerFace;
use MuteTapper\Core\Engine\LashKind;
use MuteTapper\Core\Engine\Layout;
use OpenApi\Attributes as OA;

/** The engine's description, complete, with what it is called in a line. */
#[OA\Schema]
final readonly class EngineView
{
    /**
     * @param array<string, list<int>> $numbering
     * @param array<string, string>|null $valveOrder
     * @param list<int> $firingOrder
     * @param list<float> $firingAngles crank degrees at which the cylinders of the firing order fire; empty while unknown
     */
    private function __construct(
        public string $summary,
        public Layout $layout,
        public DriveKind $drive,
        public FollowerFace $face,
        public LashKind $lash,
        public int $cylinders,
        public int $intakeValves,
        public int $exhaustValves,
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'integer')),
        )]
        public array $numbering,
        #[OA\Property(type: 'object', nullable: true, additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public ?array $valveOrder,
        public array $firingOrder,
        public array $firingAngles,
        public string $forwardBank,
        public ?float $rockerRatio,
        public ?float $intendedSpeed,
        public ?float $reachedSpeed,
        #[OA\Property(
            type: 'object', description: 'facts of the build that causes ask for: yes, no or unknown, by name',
            additionalProperties: new OA\AdditionalProperties(type: 'string'),
        )]
        public \stdClass $flags,
    ) {
    }

    public static function of(Engine $engine): self
    {
        return new self(
            self::summary($engine),
            $engine->layout, $engine->drive, $engine->face, $engine->lash, count($engine->cylinders), $engine->intakeValves,
            $engine->exhaustValves,
            $engine->numbering, $engine->valveOrder === [] ? null : $engine->valveOrder, $engine->firingOrder, $engine->firingAngles,
            $engine->forwardBank,
            $engine->rockerRatio, $engine->intendedSpeed, $engine->reachedSpeed,
            (object) array_map(static fn (BuildFlag $flag): string => $flag->value, $engine->flags),
        );
    }

    public static function summary(Engine $engine): string
    {
        $count = count($engine->cylinders);
        $layout = match (true) {
            $count === 1 => 'single',
            $engine->layout === Layout::Inline => 'inline '.$count,
            $engine->layout === Layout::Vee => 'V'.$count,
            default => 'flat '.$count,
        };

        return sprintf(
            '%s, %d valves, %s, %s %s', ucfirst($layout), count($engine->stations), $engine->drive->value, $engine->lash->value,
            $engine->face->value,
        );
    }
}
