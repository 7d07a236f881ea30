<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/** A run as it was logged, against what the train of a valve can do. */
final readonly class LoggedRun
{
    /** Below so many per cent a throttle is shut. [own] */
    private const SHUT = 5.0;

    /**
     * @param list<LoggedMoment> $moments in the order of time
     * @param float|null $loss speed at which contact is first lost, turns a minute
     * @param float|null $float speed of float
     */
    public function __construct(
        private array $moments,
        private ?float $loss,
        private ?float $float,
        private ?SeatUnderGas $seat,
    ) {
    }

    /** Newtons left on the seat in a moment; null where the log or the bench does not tell. */
    public function left(LoggedMoment $moment): ?float
    {
        return $this->seat === null || $moment->pressure === null ? null : $this->seat->left($moment->pressure);
    }

    /** @return list<LoggedDemand> in the order of time; a stretch of lost contact goes on while it floats within it */
    public function demands(): array
    {
        $found = [
            ...$this->stretches(Demand::ContactLost, fn (LoggedMoment $one): bool => $this->loss !== null && $one->speed > $this->loss),
            ...$this->stretches(Demand::Float, fn (LoggedMoment $one): bool => $this->float !== null && $one->speed > $this->float),
            ...$this->stretches(Demand::Unseated, fn (LoggedMoment $one): bool => ($this->left($one) ?? 1.0) < 0.0),
        ];
        usort($found, static fn (LoggedDemand $one, LoggedDemand $other): int => $one->from <=> $other->from);

        return $found;
    }

    /**
     * The gravest of each kind: at the highest speed, or with the least left on the seat.
     *
     * @param list<LoggedDemand> $demands
     *
     * @return list<LoggedDemand>
     */
    public static function gravest(array $demands): array
    {
        $gravest = [];
        foreach ($demands as $one) {
            $other = $gravest[$one->demand->value] ?? $one;
            $gravest[$one->demand->value] = $one->demand === Demand::Unseated
                ? ($one->left < $other->left ? $one : $other)
                : ($one->speed > $other->speed ? $one : $other);
        }

        return array_values($gravest);
    }

    /**
     * @param \Closure(LoggedMoment): bool $isAsked
     *
     * @return list<LoggedDemand>
     */
    private function stretches(Demand $demand, \Closure $isAsked): array
    {
        $found = $held = [];
        foreach ([...$this->moments, null] as $moment) {
            if ($moment !== null && $isAsked($moment)) {
                $held[] = $moment;
            } elseif ($held !== []) {
                $found[] = $this->told($demand, $held);
                $held = [];
            }
        }

        return $found;
    }

    /** @param non-empty-list<LoggedMoment> $moments */
    private function told(Demand $demand, array $moments): LoggedDemand
    {
        $pressures = array_filter(array_map(static fn (LoggedMoment $one): ?float => $one->pressure, $moments), is_float(...));
        $left = array_filter(array_map($this->left(...), $moments), is_float(...));
        $open = array_filter($moments, static fn (LoggedMoment $one): bool => ($one->throttle ?? INF) > self::SHUT);

        return new LoggedDemand(
            $demand, $moments[0]->from, $moments[count($moments) - 1]->until,
            max(array_map(static fn (LoggedMoment $one): float => $one->speed, $moments)), $pressures === [] ? null : max($pressures),
            $left === [] ? null : min($left), $open === [],
        );
    }
}
