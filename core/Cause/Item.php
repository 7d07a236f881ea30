<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/**
 * All that is known of one sign over the engine: one item per sign, however many stations show it. For findings `sites`
 * holds the confidence that the sign is there; for bench items the probability of the physical state.
 */
final readonly class Item
{
    private const CERTAIN = 0.99;

    /**
     * @param array<string, float> $sites by site; at most one half means looked and absent
     * @param list<string> $entries ids of the findings and looks behind it
     * @param list<string> $places places where the sign is present, strongest first
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
    ) {
    }

    /**
     * @param non-empty-array<string, float> $sites
     * @param list<string> $entries
     */
    public static function of(string $sign, ItemKind $kind, array $sites, int $siteCount, float $leak, array $entries): self
    {
        if ($kind === ItemKind::Bench) {
            $sites = array_map(static fn (float $p): float => max(1 - self::CERTAIN, min(self::CERTAIN, $p)), $sites);
        }
        arsort($sites);
        $places = array_keys(array_filter($sites, static fn (float $c): bool => $c > 0.5));
        $present = $places !== [];

        return new self($sign, $kind, $sites, $siteCount, $leak, $entries, $places, $present, self::ratioOf($kind, $sites, $siteCount, $leak, $present));
    }

    /**
     * Evidence ratio ρ over the whole engine: how many times likelier the record is when the sign was brought about than
     * when it is there by itself.
     *
     * @param non-empty-array<string, float> $sites strongest first
     */
    private static function ratioOf(ItemKind $kind, array $sites, int $siteCount, float $leak, bool $present): float
    {
        $strongest = reset($sites);
        $ratio = $strongest / ($leak * $strongest + (1 - $leak) * (1 - $strongest));
        if ($present) {
            return $ratio;
        }
        if ($kind === ItemKind::Bench) {
            return 1 - (1 - $ratio) * count($sites) / $siteCount;
        }
        if ($kind === ItemKind::Unanswered) {
            return $ratio;
        }

        return 1 - array_sum(array_map(static fn (float $c): float => 1 - $c, $sites)) / $siteCount;
    }

    /** Its size in decibans if the cause were certain to bring it about. */
    public function decibans(): float
    {
        return 10 * log10($this->ratio);
    }
}
