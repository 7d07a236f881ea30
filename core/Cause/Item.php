<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\Severity;

/**
 * All that is known of one sign over the engine: one item per sign, however many stations show it. For findings `sites`
 * holds the confidence that the sign is there; for bench items the probability of the physical state.
 */
final readonly class Item
{
    private const CERTAIN = 0.99;

    /**
     * @param non-empty-array<string, float> $sites by site, surest first; at most one half means looked and absent
     * @param list<string> $entries ids of the findings, answers and looks behind it
     * @param list<string> $places sites where the sign is present, surest first
     * @param float $confidence that of the surest site
     * @param float $ratio what it weighs there
     * @param Severity|null $severity the worst that was said of it
     * @param bool $isReport told, not seen
     * @param bool $isRelative every site is compared with others of its set: all of them can be bad alike
     * @param bool $isGross nobody overlooks it: a part in two, a sudden stop
     */
    private function __construct(
        public string $sign,
        public ItemKind $kind,
        public Site $site,
        public array $sites,
        public int $siteCount,
        public float $leak,
        public array $entries,
        public array $places,
        public bool $isPresent,
        public float $confidence,
        public float $ratio,
        public ?Severity $severity,
        public bool $isReport,
        public bool $isRelative,
        public bool $isGross,
    ) {
    }

    /**
     * @param non-empty-array<string, float> $sites
     * @param list<string> $entries
     */
    public static function of(
        string $sign, ItemKind $kind, Site $site, array $sites, int $siteCount, float $leak, array $entries,
        ?Severity $severity = null, bool $isReport = false, bool $isRelative = false, bool $isGross = false,
    ): self {
        if ($kind === ItemKind::Bench) {
            $sites = array_map(static fn (float $p): float => max(1 - self::CERTAIN, min(self::CERTAIN, $p)), $sites);
        }
        arsort($sites);
        $places = array_map(strval(...), array_keys(array_filter($sites, static fn (float $c): bool => $c > 0.5)));
        $surest = reset($sites);

        return new self(
            $sign, $kind, $site, $sites, $siteCount, $leak, $entries, $places, $places !== [], $surest, self::ratioAt($surest, $leak),
            $severity, $isReport, $isRelative, $isGross,
        );
    }

    /**
     * The same without some of its sites; null where nothing is left.
     *
     * @param list<string> $sites
     */
    public function without(array $sites): ?self
    {
        $left = array_diff_key($this->sites, array_flip($sites));

        return $left === [] ? null : self::of(
            $this->sign, $this->kind, $this->site, $left, $this->siteCount, $this->leak, $this->entries, $this->severity, $this->isReport,
            $this->isRelative, $this->isGross,
        );
    }

    /**
     * Evidence ratio ρ of a confidence: how many times likelier the record is when the sign was brought about than when it
     * is there by itself. One half weighs nothing.
     */
    public static function ratioAt(float $confidence, float $leak): float
    {
        return $confidence / ($leak * $confidence + (1 - $leak) * (1 - $confidence));
    }

    /** Its size in decibans, where it is surest, if the cause were certain to bring it about. */
    public function decibans(): float
    {
        return 10 * log10($this->ratio);
    }
}
