<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Verdict\Margin;
use MuteTapper\Core\Verdict\Verdict;

/** How a valve changed since an earlier date, and what such a change means. */
final readonly class LashChange
{
    public function __construct(public string $place, public string $since, public Margin $margin)
    {
    }

    /** Whether it is flagged: a drift, not the scatter of the gauge. */
    public function isDrift(): bool
    {
        return in_array($this->margin->verdict, [Verdict::Outside, Verdict::OutsideClose], true);
    }

    /** What the direction means. [practice] */
    public function meaning(): string
    {
        $change = $this->margin->value()->base ?? 0.0;

        return match (true) {
            $this->margin->limit->quantity === 'pull_drift' => $change < 0 ? 'It falls behind the others: this spring loses its load.' : 'It gains on the others: look whether they lose theirs.',
            $change > 0 => 'It grew: lobe, follower, tip, cup or pushrod wears.',
            default => 'It shrank: the seat recedes, or the valve stretches or cups.',
        };
    }
}
