<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/** The load of all springs of a valve over its lift: straight pieces, one where two loads are all that is known. Newtons and metres. */
final readonly class SpringLine
{
    /** @param non-empty-list<array{float, float, float}> $pieces lift from which each holds, load there, rate */
    private function __construct(public array $pieces)
    {
    }

    public static function straight(float $seatLoad, float $rate): self
    {
        return new self([[0.0, $seatLoad, $rate]]);
    }

    /**
     * Through loads at lifts in rising order; beyond the last as before it.
     *
     * @param non-empty-list<array{float, float}> $points at least two, the first at no lift
     */
    public static function through(array $points): self
    {
        $pieces = [];
        for ($i = 1, $n = count($points); $i < $n; ++$i) {
            [[$lift, $load], [$next, $more]] = [$points[$i - 1], $points[$i]];
            $pieces[] = [$lift, $load, ($more - $load) / ($next - $lift)];
        }

        return $pieces === [] ? self::straight($points[0][1], 0.0) : new self($pieces);
    }

    public function seatLoad(): float
    {
        return $this->pieces[0][1];
    }

    public function at(float $lift): float
    {
        $found = $this->pieces[0];
        foreach ($this->pieces as $piece) {
            $found = $lift >= $piece[0] ? $piece : $found;
        }

        return $found[1] + $found[2] * ($lift - $found[0]);
    }

    /** Rate between the seat and a lift. */
    public function rateTo(float $lift): float
    {
        return ($this->at($lift) - $this->seatLoad()) / $lift;
    }

    /** The same with so much load less at every lift: what gas takes, or what another height would. */
    public function less(float $load): self
    {
        return new self(array_map(static fn (array $piece): array => [$piece[0], $piece[1] - $load, $piece[2]], $this->pieces));
    }
}
