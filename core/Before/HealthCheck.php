<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Verdict\Margin;
use MuteTapper\Core\Verdict\Verdict;

/** One of the things that must be good before an engine runs again. */
final readonly class HealthCheck
{
    /**
     * @param bool|null $isGood null where nothing was measured of it, or a measurement cannot decide
     * @param list<Margin> $bad outside their limit
     * @param list<Margin> $doubtful that cannot be told
     * @param list<Margin> $near inside, and near their limit
     */
    private function __construct(
        public string $name,
        public ?bool $isGood,
        public array $bad,
        public array $doubtful,
        public array $near,
        public int $measured,
    ) {
    }

    /** @param list<Margin> $margins that were measured */
    public static function of(string $name, array $margins): self
    {
        $those = static fn (\Closure $are): array => array_values(array_filter($margins, $are));
        $bad = $those(static fn (Margin $one): bool => $one->isOutside());
        $doubtful = $those(static fn (Margin $one): bool => $one->verdict === Verdict::CannotTell);

        return new self(
            $name, $bad !== [] ? false : ($margins === [] || $doubtful !== [] ? null : true), $bad, $doubtful,
            $those(static fn (Margin $one): bool => $one->verdict === Verdict::InsideClose), count($margins),
        );
    }
}
