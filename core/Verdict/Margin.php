<?php

declare(strict_types=1);

namespace MuteTapper\Core\Verdict;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Quantity\Uncertain;

/** A value at a place against its limit, with its reasoning; or what is missing to judge it. */
final readonly class Margin
{
    /**
     * @param list<string> $missing names of readings without which nothing can be said
     * @param string|null $because why nothing can be said, or told, in a sentence of its own
     * @param list<Uncertain> $all of several like places of one part the values of all; the margin is that of the worst
     */
    private function __construct(
        public string $place,
        public ?string $index,
        public Limit $limit,
        public ?Trace $trace,
        public Verdict $verdict,
        public ?float $probabilityGood,
        public array $missing,
        public ?string $because,
        public ?Trace $asClaimed,
        public array $all,
    ) {
    }

    /** @param list<Uncertain> $all */
    public static function judged(string $place, ?string $index, Limit $limit, Given $value, array $all = []): self
    {
        $trace = $value->trace ?? Trace::asRead($value);
        $good = $limit->probabilityGood($trace->result);
        $verdict = $value->doubt === null ? $limit->verdict($trace->result) : Verdict::CannotTell;

        return new self($place, $index, $limit, $trace, $verdict, $good, [], $value->doubt, null, $all);
    }

    /**
     * @param list<string> $missing
     * @param Given|null $asClaimed what it would be by the build as claimed: shown, but no evidence
     */
    public static function notMeasured(
        string $place,
        ?string $index,
        Limit $limit,
        array $missing,
        ?string $because = null,
        ?Given $asClaimed = null,
    ): self {
        $trace = $asClaimed === null ? null : $asClaimed->trace ?? Trace::asRead($asClaimed);

        return new self($place, $index, $limit, null, Verdict::NotMeasured, null, $missing, $because, $trace, []);
    }

    public function quantity(): string
    {
        return $this->limit->quantity;
    }

    public function value(): ?Uncertain
    {
        return $this->trace?->result;
    }

    public function isOutside(): bool
    {
        return $this->verdict === Verdict::Outside || $this->verdict === Verdict::OutsideClose;
    }

    public function isInside(): bool
    {
        return $this->verdict === Verdict::Inside || $this->verdict === Verdict::InsideClose;
    }

    public function scale(): MarginScale
    {
        return MarginScale::of($this->limit, $this->value(), $this->all);
    }

    /** The value lies so far past the limit that it deserves a note, not a verdict. */
    public function isNoted(): bool
    {
        return $this->limit->noteAbove !== null && $this->value() !== null && $this->value()->base > $this->limit->noteAbove->base;
    }
}
