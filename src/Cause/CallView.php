<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\Core\CaseFile\Call;
use OpenApi\Attributes as OA;

/** The analyst’s call as it is being written. */
#[OA\Schema]
final readonly class CallView
{
    /** @param list<string> $causes */
    public function __construct(
        public array $causes,
        public string $words,
        #[OA\Property(description: 'per cent')]
        public ?int $confidence,
        public string $by,
    ) {
    }

    public static function of(Call $call): self
    {
        return new self($call->causes, $call->words, $call->confidence, $call->by);
    }
}
