<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\Core\CaseFile\Call;
use MuteTapper\Core\CaseFile\RuledOut;
use OpenApi\Attributes as OA;

/** The analyst’s call as it is being written. */
#[OA\Schema]
final readonly class CallView
{
    /**
     * @param list<string> $causes
     * @param list<RuledOutView> $ruledOut
     */
    public function __construct(
        public array $causes,
        public string $words,
        #[OA\Property(description: 'per cent')]
        public ?int $confidence,
        public string $by,
        #[OA\Property(description: 'code of the cause or event that it began with')]
        public ?string $firstEvent,
        public array $ruledOut,
        #[OA\Property(description: 'what stays open')]
        public string $open,
    ) {
    }

    public static function of(Call $call): self
    {
        return new self(
            $call->causes, $call->words, $call->confidence, $call->by, $call->firstEvent,
            array_map(static fn (RuledOut $one): RuledOutView => new RuledOutView($one->cause, $one->why), $call->ruledOut), $call->open,
        );
    }
}
