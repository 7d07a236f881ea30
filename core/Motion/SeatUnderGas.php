<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;

/** What boost or back pressure leaves of the load on a seat, at any pressure in the port: the bench’s own value, which is linear in it. */
final readonly class SeatUnderGas
{
    /** @param float $shut newtons left without pressure in the port, and what each bar takes off it */
    private function __construct(private float $shut, private float $perBar)
    {
    }

    /** Nothing while the load on the seat or the area under gas is not known. */
    public static function of(Bench $bench, string $place): ?self
    {
        $left = [];
        foreach ([0.0, 1.0] as $bar) {
            $change = Change::none()->setting([$place], 'port_pressure', Quantity::of($bar, Unit::Bar));
            $given = $bench->with($change)->value($place, 'seat_load_left');
            if (!$given instanceof Given) {
                return null;
            }
            $left[] = $given->value->base;
        }

        return new self($left[0], $left[0] - $left[1]);
    }

    /** Newtons. */
    public function left(float $bar): float
    {
        return $this->shut - $this->perBar * $bar;
    }
}
