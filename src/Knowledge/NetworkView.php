<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use OpenApi\Attributes as OA;

/** What leads to what: everything that the judgement of causes rests on. */
#[OA\Schema]
final readonly class NetworkView
{
    /**
     * @param list<NetworkNodeView> $nodes
     * @param list<LinkView> $links
     * @param list<StrengthView> $strengths strongest first
     * @param list<CheckView> $checks what can be done to learn of signs
     */
    public function __construct(public array $nodes, public array $links, public array $strengths, public array $checks)
    {
    }
}
