<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\LashKind;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Verdict\Margin;
use MuteTapper\Core\Verdict\Verdict;

/**
 * Whether an engine that has not failed is ready to run: lash good, pulls good, compression good; and how long its parts have run.
 * [practice].
 */
final readonly class Health
{
    private const LASH = 'lash';
    private const PULLS = 'seat-load pulls';
    private const COMPRESSION = 'compression and leak-down';
    /** Judged values by which each is told. */
    private const CHECKS = [
        self::LASH => ['lash_from_claim', 'lash_drift'],
        self::PULLS => ['pull_from_middle', 'pull_drift'],
        self::COMPRESSION => ['compression_share', 'leak_down'],
    ];

    /**
     * @param list<HealthCheck> $checks
     * @param list<Margin> $clocks of which anything is known
     */
    private function __construct(public array $checks, public array $clocks)
    {
    }

    public static function of(Bench $bench): self
    {
        $checks = [];
        foreach (self::CHECKS as $name => $values) {
            if (self::canHave($name, $bench->case->engine)) {
                $margins = array_merge(...array_map($bench->marginsOf(...), $values));
                $checks[] = HealthCheck::of(
                    $name, array_values(array_filter($margins, static fn (Margin $one): bool => $one->verdict !== Verdict::NotMeasured)),
                );
            }
        }
        $sheet = $bench->sheets->named(ClockSheet::CODE);

        return new self($checks, $sheet === null ? [] : array_values(array_filter(
            $bench->marginsOn($sheet), static fn (Margin $one): bool => $one->value() !== null,
        )));
    }

    /** True where every check is good, false where one is not or a clock has run out; null where that cannot be told. */
    public function isReady(): ?bool
    {
        $states = array_map(static fn (HealthCheck $one): ?bool => $one->isGood, $this->checks);
        $hasRunOut = array_filter($this->clocks, static fn (Margin $one): bool => $one->isOutside()) !== [];

        return match (true) {
            $hasRunOut, in_array(false, $states, true) => false,
            in_array(null, $states, true) => null,
            default => true,
        };
    }

    /** Hydraulic elements have no lash; under a bucket there is nothing to hook. */
    private static function canHave(string $check, Engine $engine): bool
    {
        return match ($check) {
            self::LASH => $engine->lash === LashKind::Solid,
            self::PULLS => $engine->drive !== DriveKind::Bucket,
            default => true,
        };
    }
}
