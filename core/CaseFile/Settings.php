<?php

declare(strict_types=1);

namespace MuteTapper\Core\CaseFile;

use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\UnitSystem;

/** How a case is shown and judged. */
final readonly class Settings
{
    public function __construct(public UnitSystem $units = UnitSystem::Inch, public string $school = 'usual')
    {
    }

    public static function fromNode(?Node $node): self
    {
        return new self(
            $node?->maybe('units')?->choice(UnitSystem::class) ?? UnitSystem::Inch,
            $node?->maybe('school')?->word() ?? 'usual',
        );
    }

    /** @return array<string, string> */
    public function toArray(): array
    {
        return ['units' => $this->units->value, 'school' => $this->school];
    }
}
