<?php

declare(strict_types=1);

namespace MuteTapper\Core\CaseFile;

use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\UnitSystem;

/** How a case is shown and judged. */
final readonly class Settings
{
    /** The limit that the school of the case is about. */
    private const SCHOOL_IS_OF = 'travel_to_bind';

    /**
     * @param string $school by which travel to bind is judged
     * @param array<string, string> $schools by which other limits are judged, where not by their default
     */
    public function __construct(public UnitSystem $units = UnitSystem::Inch, public string $school = 'usual', public array $schools = [])
    {
    }

    public static function fromNode(?Node $node): self
    {
        return new self(
            $node?->maybe('units')?->choice(UnitSystem::class) ?? UnitSystem::Inch,
            $node?->maybe('school')?->word() ?? 'usual',
            array_map(static fn (Node $school): string => $school->word(), $node?->maybe('schools')?->members() ?? []),
        );
    }

    /** The school chosen for a limit, or null for its default. */
    public function schoolOf(string $limit): ?string
    {
        return $limit === self::SCHOOL_IS_OF ? $this->school : $this->schools[$limit] ?? null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['units' => $this->units->value, 'school' => $this->school] + ($this->schools === [] ? [] : ['schools' => $this->schools]);
    }
}
