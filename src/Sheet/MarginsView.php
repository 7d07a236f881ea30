<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use OpenApi\Attributes as OA;

/** Margins of all sheets together, as a field of rules or a lens of the plan wants them. */
#[OA\Schema]
final readonly class MarginsView
{
    /**
     * @param list<MarginColumnView> $columns those that anything was measured for, and the clearances of springs and retainers always
     * @param list<MarginView> $margins
     */
    public function __construct(
        public array $columns,
        public array $margins,
        #[OA\Property(description: 'names what all of this follows from')]
        public string $content = '',
    ) {
    }

    public function of(string $content): self
    {
        return new self($this->columns, $this->margins, $content);
    }
}
