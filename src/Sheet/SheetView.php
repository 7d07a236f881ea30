<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use OpenApi\Attributes as OA;

/** What a sheet tells: margins, values that follow, and remarks on the whole. */
#[OA\Schema]
final readonly class SheetView
{
    /**
     * @param list<MarginView> $margins
     * @param list<ValueView> $values
     * @param list<string> $remarks
     * @param list<CurveView> $curves
     */
    public function __construct(
        public string $code,
        public string $title,
        public array $margins,
        public array $values,
        public array $remarks,
        public array $curves,
        #[OA\Property(description: 'names what all of this follows from')]
        public string $content = '',
    ) {
    }

    public function of(string $content): self
    {
        return new self($this->code, $this->title, $this->margins, $this->values, $this->remarks, $this->curves, $content);
    }
}
