<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Entry\Severity;

/**
 * All that is known of one sign over the engine: one item per sign, however many stations show it. For findings `sites`
 * holds the confidence that the sign is there; for bench items the probability of the physical state.
 */
final readonly class Item
{
    private const CERTAIN = 0.99;

    /**
     * @param array<string, float> $sites by site; at most one half means looked and absent
     * @param list<string> $entries ids of the findings, answers and looks behind it
     * @param list<string> $places places where the sign is present, strongest first
     * @param Severity|null $severity the worst that was said of it
     * @param bool $isReport told, not seen
     * @param bool $accusesOnly it may accuse and never acquits
     */
    private function __construct(
        public string $sign,
        public ItemKind $kind,
        public array $sites,
        public int $siteCount,
        public float $leak,
        public array $entries,
        public array $places,
        public bool $isPresent,
        public float $ratio,
        public ?Severity $severity,
        public bool $isReport,
        public bool $accusesOnly,
    ) {
    }

    /**
     * @param non-empty-array<string, float> $sites
     * @param list<string> $entries
     */
    public static function of(
        string $sign, ItemKind $kind, array $sites, int $siteCount, float $leak, array $entries,
        ?Severity $severity = null, bool $isReport = false, bool $accusesOnly = false,
    ): self {
        if ($kind === ItemKind::Bench) {
            $sites = array_map(static fn (float $p): float => max(1 - self::CERTAIN, min(self::CERTAIN, $p)), $sites);
        }
        arsort($sites);
        $places = array_keys(array_filter($sites, static fn (float $c): bool => $c > 0.5));
        $present = $places !== [];
        $ratio = $present || $kind === ItemKind::Unanswered ? self::ratioAt(reset($sites), $leak) : self::absent($sites, $siteCount, $leak);

        return new self($sign, $kind, $sites, $siteCount, $leak, $entries, $places, $present, $ratio, $severity, $isReport, $accusesOnly);
    }

    /**
     * Evidence ratio ρ of a confidence: how many times likelier the record is when the sign was brought about than when it
     * is there by itself. One half weighs nothing.
     */
    public static function ratioAt(float $confidence, float $leak): float
    {
        return $confidence / ($leak * $confidence + (1 - $leak) * (1 - $confidence));
    }

    /**
     * Absence counts by how much of the engine was looked at.
     *
     * @param non-empty-array<string, float> $sites
     */
    private static function absent(array $sites, int $siteCount, float $leak): float
    {
        return 1 - array_sum(array_map(static fn (float $c): float => 1 - self::ratioAt($c, $leak), $sites)) / $siteCount;
    }

    /** Its size in decibans if the cause were certain to bring it about. */
    public function decibans(): float
    {
        return 10 * log10($this->ratio);
    }
}
