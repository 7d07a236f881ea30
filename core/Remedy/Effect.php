<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

use MuteTapper\Core\Verdict\Margin;

/** One margin at one place before and after a remedy. */
final readonly class Effect
{
    /** Less than this share of the span of its rule is no change. [own] */
    private const UNSEEN = 1e-6;

    /** @param Margin|null $before null where nothing was judged there before */
    public function __construct(public ?Margin $before, public Margin $after)
    {
    }

    /** What it gains toward the good side, in the base unit; below nothing where it loses. Null where one of both is not known. */
    public function gained(): ?float
    {
        $before = $this->room($this->before);
        $after = $this->after->because === $this->before?->because ? $this->room($this->after) : null;

        return $before === null || $after === null ? null : $after - $before;
    }

    public function isUnchanged(): bool
    {
        $gained = $this->gained();

        return $gained === null
            ? $this->before?->verdict === $this->after->verdict && $this->before->because === $this->after->because
                && $this->before->value() === null && $this->after->value() === null
            : abs($gained) < self::UNSEEN * $this->after->limit->span->base;
    }

    /** It lost more than is not known of it. */
    public function isWorse(): bool
    {
        return $this->moved(-1);
    }

    /** It gained more than is not known of it. */
    public function isBetter(): bool
    {
        return $this->moved(1);
    }

    /** How near the limit it ends, the worst first: outside before not known before inside. */
    public function rank(): float
    {
        return $this->room($this->after) ?? \INF;
    }

    private function moved(int $way): bool
    {
        $gained = $this->gained();

        return $gained !== null && !$this->isUnchanged() && $way * $gained > ($this->after->value()?->expanded()->base ?? 0.0);
    }

    private function room(?Margin $margin): ?float
    {
        $value = $margin?->value();

        return $margin === null || $value === null ? null : $margin->limit->distanceInside($value->base);
    }
}
