<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use MuteTapper\Core\Entry\Gauge;
use MuteTapper\Core\Gauge\RegisteredGauge;

/** What the shop itself knows beside what is shipped. */
interface ShopKnowledge
{
    /** Another figure whenever any of it changed. */
    public function stamp(): int;

    /** @return array<string, array<string, array<string, mixed>>> by file and code, what stands there instead of what is shipped */
    public function own(): array;

    /**
     * @param array<string, Gauge> $kinds by code
     *
     * @return array<string, RegisteredGauge> gauges that the shop owns, by code
     */
    public function gauges(array $kinds): array;
}
