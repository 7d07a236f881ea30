<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use MuteTapper\Core\Knowledge\Check;
use OpenApi\Attributes as OA;

/** Something that can be done to learn of signs. */
#[OA\Schema]
final readonly class CheckView
{
    /**
     * @param list<string> $signs that it answers
     * @param list<string> $destroys
     */
    private function __construct(
        public string $code,
        public string $label,
        public int $minutes,
        #[OA\Property(description: 'waited for beside the work; nought where none')]
        public int $days,
        #[OA\Property(enum: ['station', 'cylinder', 'engine'])]
        public string $site,
        public array $signs,
        public string $reading,
        public array $destroys,
        public string $caution,
    ) {
    }

    public static function of(Check $check): self
    {
        return new self(
            $check->code, $check->label, $check->minutes, $check->days, $check->site->value, $check->signs, $check->reading,
            $check->destroys, $check->caution ?? '',
        );
    }
}
