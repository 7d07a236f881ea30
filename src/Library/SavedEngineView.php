<?php

declare(strict_types=1);

namespace MuteTapper\App\Library;

use MuteTapper\App\Engine\EngineView;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use OpenApi\Attributes as OA;

/** An engine of the shop's library. */
#[OA\Schema]
final readonly class SavedEngineView
{
    private function __construct(
        public string $id,
        public string $name,
        public EngineView $engine,
        public string $by,
    ) {
    }

    public static function of(ShelvedVersion $saved): self
    {
        return new self($saved->code, $saved->name, EngineView::of(Engine::fromNode(Node::root($saved->content))), $saved->by);
    }
}
