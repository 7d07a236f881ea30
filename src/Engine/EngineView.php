<?php

declare(strict_types=1);

namespace MuteTapper\App\Engine;

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
     */
    private function __construct(
        #[OA\Property]
        public string $summary,
        #[OA\Property(type: 'string', enum: Layout::class)]
        public Layout $layout,
        #[OA\Property(type: 'string', enum: DriveKind::class)]
        public DriveKind $drive,
        #[OA\Property(type: 'string', enum: FollowerFace::class)]
        public FollowerFace $face,
        #[OA\Property(type: 'string', enum: LashKind::class)]
        public LashKind $lash,
        #[OA\Property]
        public int $cylinders,
        #[OA\Property]
        public int $intakeValves,
        #[OA\Property]
        public int $exhaustValves,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'integer')))]
        public array $numbering,
        #[OA\Property(type: 'object', nullable: true, additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public ?array $valveOrder,
        #[OA\Property(items: new OA\Items(type: 'integer'))]
        public array $firingOrder,
        #[OA\Property]
        public string $forwardBank,
        #[OA\Property]
        public ?float $rockerRatio,
        #[OA\Property]
        public ?float $intendedSpeed,
        #[OA\Property]
        public ?float $reachedSpeed,
    ) {
    }

    public static function of(Engine $engine): self
    {
        return new self(
            self::summary($engine),
            $engine->layout, $engine->drive, $engine->face, $engine->lash, count($engine->cylinders), $engine->intakeValves, $engine->exhaustValves,
            $engine->numbering, $engine->valveOrder === [] ? null : $engine->valveOrder, $engine->firingOrder, $engine->forwardBank,
            $engine->rockerRatio, $engine->intendedSpeed, $engine->reachedSpeed,
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

        return sprintf('%s, %d valves, %s, %s %s', ucfirst($layout), count($engine->stations), $engine->drive->value, $engine->lash->value, $engine->face->value);
    }
}
