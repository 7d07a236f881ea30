<?php

declare(strict_types=1);

namespace MuteTapper\Core\Verdict;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Calculation\Values;

/** Judges derived values by the limits that the chosen school sets; says what is missing where it cannot. */
final readonly class Judge
{
    public function __construct(private Limits $limits, private string $school)
    {
    }

    /**
     * @param array<string, Given|non-empty-list<Given>|null> $inputs null where a reading is missing
     * @param array<string, string> $words names for missing inputs where the input's own name would not be understood
     */
    public function margin(string $quantity, string $place, ?string $coil, Calculation $calculation, array $inputs, ?string $withoutSchool = null, array $words = []): Margin
    {
        $limit = $this->limits->of($quantity, $this->school);
        if ($withoutSchool !== null) {
            $limit = $limit->without($withoutSchool);
        }
        $given = array_filter($inputs, static fn (Given|array|null $value): bool => $value !== null);
        if (count($given) < count($inputs)) {
            return Margin::notMeasured($place, $coil, $limit, array_map(static fn (string $name): string => $words[$name] ?? str_replace('_', ' ', $name), array_keys(array_diff_key($inputs, $given))));
        }
        try {
            return Margin::judged($place, $coil, $limit, Trace::of($calculation, Values::of($given)));
        } catch (\DomainException $contradiction) {
            return Margin::notMeasured($place, $coil, $limit, [$contradiction->getMessage()]);
        }
    }
}
