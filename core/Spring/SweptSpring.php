<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Quantity\Uncertain;

/** One spring that was swept, with what is told of it at the heights at which all of a set are compared. */
final readonly class SweptSpring
{
    private function __construct(
        public string $place,
        public Sweep $sweep,
        public ?Uncertain $seatLoad,
        public ?Uncertain $openLoad,
        public ?Uncertain $rate,
        public ?Uncertain $bindHeight,
    ) {
    }

    /** What cannot be told of a sweep, since it did not go so far, is left out. */
    public static function of(string $place, Sweep $sweep, Uncertain $installed, Uncertain $open): self
    {
        return new self(
            $place, $sweep, self::told(static fn (): Uncertain => $sweep->loadAt($installed)),
            self::told(static fn (): Uncertain => $sweep->loadAt($open)),
            self::told(static fn (): Uncertain => $sweep->rateBetween($installed, $open)),
            self::told(static fn (): Uncertain => $sweep->bindHeight()),
        );
    }

    /** In per cent of the other. */
    public function loadFrom(self $other): ?Uncertain
    {
        return $this->seatLoad === null || $other->seatLoad === null ? null : ToldApart::departure($this->seatLoad, $other->seatLoad);
    }

    /** In per cent of the other. */
    public function rateFrom(self $other): ?Uncertain
    {
        return $this->rate === null || $other->rate === null ? null : ToldApart::departure($this->rate, $other->rate);
    }

    public function toldFrom(self $other): ?ToldApart
    {
        $rate = $this->rateFrom($other);
        $load = $this->loadFrom($other);

        return $rate === null || $load === null ? null : ToldApart::by($rate, $load);
    }

    /** @param \Closure(): Uncertain $tell */
    private static function told(\Closure $tell): ?Uncertain
    {
        try {
            return $tell();
        } catch (Contradiction) {
            return null;
        }
    }
}
