<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/**
 * A value with its standard uncertainty, first order [pub: JCGM 100:2008 GUM].
 *
 * Invariant: `contributions` maps the name of an independent source of error to the signed standard uncertainty that
 * this source gives to the value, in the base unit. Two values that share a source are correlated through it, so sums and
 * differences of readings from one gauge come out right without a covariance table.
 */
final readonly class Uncertain
{
    /** Of a value, over which a slope is taken. */
    private const STEP = 1e-5;

    /** @param array<string, float> $contributions */
    private function __construct(
        public float $base,
        public Dimension $dimension,
        public array $contributions,
        private bool $isDifference = false,
    ) {
    }

    public static function exact(Quantity $quantity): self
    {
        return new self($quantity->base, $quantity->dimension, []);
    }

    /**
     * @param array<string, float> $contributions signed standard uncertainty in the base unit by source
     */
    public static function of(Quantity $quantity, array $contributions): self
    {
        foreach ($contributions as $source => $u) {
            if ($u === 0.0) {
                unset($contributions[$source]);
            }
        }

        return new self($quantity->base, $quantity->dimension, $contributions);
    }

    /** Half-width of a rectangular distribution to standard uncertainty: a/√3. */
    public static function fromHalfWidth(float $halfWidth): float
    {
        return $halfWidth / sqrt(3.0);
    }

    public function quantity(): Quantity
    {
        return $this->isDifference ? Quantity::difference($this->base, $this->dimension) : Quantity::base($this->base, $this->dimension);
    }

    /** Standard uncertainty u, in the base unit. */
    public function standard(): float
    {
        $variance = 0.0;
        foreach ($this->contributions as $u) {
            $variance += $u * $u;
        }

        return sqrt($variance);
    }

    /** Expanded uncertainty U = 2u, as shown after ± everywhere. */
    public function expanded(): Quantity
    {
        return Quantity::difference(2 * $this->standard(), $this->dimension);
    }

    public function plus(self $other): self
    {
        return $this->combine(
            $this->base + $other->base, 1.0, $other, 1.0, $this->same($other), $this->isDifference && $other->isDifference,
        );
    }

    public function minus(self $other): self
    {
        return $this->combine(
            $this->base - $other->base, 1.0, $other, -1.0, $this->same($other), $this->isDifference || !$other->isDifference,
        );
    }

    public function times(self $other, Dimension $result): self
    {
        return $this->combine($this->base * $other->base, $other->base, $other, $this->base, $result);
    }

    /** @throws DivisionByNothing */
    public function dividedBy(self $other, Dimension $result): self
    {
        if ($other->base === 0.0) {
            throw new DivisionByNothing();
        }

        return $this->combine($this->base / $other->base, 1 / $other->base, $other, -$this->base / $other->base ** 2, $result);
    }

    /** The value moved by an exact amount. */
    public function shifted(Quantity $by): self
    {
        return new self($this->base + $by->base, $this->dimension, $this->contributions, $this->isDifference);
    }

    public function scaled(float $factor): self
    {
        return new self(
            $this->base * $factor, $this->dimension, array_map(static fn (float $u): float => $u * $factor, $this->contributions),
            $this->isDifference,
        );
    }

    /** The value raised to an exact power. */
    public function toThe(int $power, Dimension $result): self
    {
        $slope = $power * $this->base ** ($power - 1);

        return new self($this->base ** $power, $result, array_map(static fn (float $u): float => $u * $slope, $this->contributions));
    }

    /** The square root of a positive value. */
    public function root(Dimension $result): self
    {
        $root = sqrt($this->base);

        return new self($root, $result, array_map(static fn (float $u): float => $u / (2 * $root), $this->contributions));
    }

    /**
     * A smooth function of values, its slopes taken by central differences [pub: JCGM 100:2008, 5.1.3 note 2].
     *
     * @param \Closure(float ...): float $function of the values in their base units
     */
    public static function ofFunction(\Closure $function, Dimension $result, self ...$inputs): self
    {
        $at = array_map(static fn (self $input): float => $input->base, array_values($inputs));
        $contributions = [];
        foreach (array_values($inputs) as $i => $input) {
            $u = $input->standard();
            if ($u === 0.0) {
                continue;
            }
            // Half of what is not known of it: small against the curve of the function, large against rounding.
            $step = min($u / 2, self::STEP * max(abs($input->base), $u));
            $slope = ($function(...array_replace($at, [$i => $at[$i] + $step])) - $function(...array_replace($at, [$i => $at[$i] - $step])))
                / (2 * $step);
            foreach ($input->contributions as $source => $part) {
                $contributions[$source] = ($contributions[$source] ?? 0.0) + $part * $slope;
            }
        }

        return new self($function(...$at), $result, $contributions);
    }

    /**
     * Median of a list. Its contributions are those of the one or two values in the middle.
     *
     * @param non-empty-list<self> $values
     */
    public static function median(array $values): self
    {
        usort($values, static fn (self $a, self $b): int => $a->base <=> $b->base);
        $middle = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$middle] : $values[$middle - 1]->plus($values[$middle])->scaled(0.5);
    }

    private function same(self $other): Dimension
    {
        if ($other->dimension !== $this->dimension) {
            throw WrongDimension::added($this->dimension, $other->dimension);
        }

        return $this->dimension;
    }

    private function combine(
        float $base,
        float $slope,
        self $other,
        float $otherSlope,
        Dimension $dimension,
        bool $isDifference = false,
    ): self {
        $contributions = array_map(static fn (float $u): float => $u * $slope, $this->contributions);
        foreach ($other->contributions as $source => $u) {
            $contributions[$source] = ($contributions[$source] ?? 0.0) + $u * $otherSlope;
        }

        return new self($base, $dimension, $contributions, $isDifference);
    }
}
