<?php

declare(strict_types=1);

namespace MuteTapper\Core\Verdict;

use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Quantity\Uncertain;

/** A derived value at a station against its limit, with its reasoning; or what is missing to judge it. */
final readonly class Margin
{
    /** @param list<string> $missing readings without which nothing can be said */
    private function __construct(
        public string $place,
        public ?string $coil,
        public Limit $limit,
        public ?Trace $trace,
        public Verdict $verdict,
        public ?float $probabilityGood,
        public array $missing,
    ) {
    }

    public static function judged(string $place, ?string $coil, Limit $limit, Trace $trace): self
    {
        return new self($place, $coil, $limit, $trace, $limit->verdict($trace->result), $limit->probabilityGood($trace->result), []);
    }

    /** @param list<string> $missing */
    public static function notMeasured(string $place, ?string $coil, Limit $limit, array $missing): self
    {
        return new self($place, $coil, $limit, null, Verdict::NotMeasured, null, $missing);
    }

    public function value(): ?Uncertain
    {
        return $this->trace?->result;
    }

    public function scale(): MarginScale
    {
        return MarginScale::of($this->limit, $this->value());
    }

    /** The value lies so far past the limit that it deserves a note, not a verdict. */
    public function isNoted(): bool
    {
        return $this->limit->noteAbove !== null && $this->value() !== null && $this->value()->base > $this->limit->noteAbove->base;
    }
}
