<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;

/** All that one valve's motion follows from, seen from the valve. SI units; damping as shares of the critical. */
final readonly class ValveTrain
{
    /** Damping of the train, and of the spring. [own] */
    public const DAMPING = 0.07;
    public const SPRING_DAMPING = 0.02;
    /** Between these the damping of a spring that surges is not known. [own] */
    public const SURGE_DAMPING_RANGE = [0.02, 0.05];
    /** Stiffness of the seat in N/m, and its damping: how much of a blow it takes up. [own] */
    public const SEAT_STIFFNESS = 40e6;
    public const SEAT_DAMPING = 0.30;
    /** Between these the damping of a seat is not known. [own] */
    public const SEAT_DAMPING_RANGE = [0.15, 0.50];

    /** What the lobe asks of the valve. */
    public LobeCurve $asked;

    /**
     * @param float $mass effective mass at the valve, kg
     * @param float $ratio of the rocker
     * @param float $lash at the valve, m
     * @param float $stiffness of everything between lobe and valve, seen from the valve, N/m
     * @param float $springMass of all springs, kg; a third of it is in the effective mass
     *
     * @throws Contradiction
     */
    private function __construct(
        public LobeCurve $lobe,
        public float $mass,
        public float $ratio,
        public float $lash,
        public float $stiffness,
        public SpringLine $spring,
        public float $springMass = 0.0,
        public float $damping = self::DAMPING,
        public float $springDamping = self::SPRING_DAMPING,
        public float $seatStiffness = self::SEAT_STIFFNESS,
        public float $seatDamping = self::SEAT_DAMPING,
        public float $surgeDamping = self::SURGE_DAMPING_RANGE[0],
    ) {
        if ($mass <= 0.0 || $stiffness <= 0.0 || $ratio <= 0.0) {
            throw Contradiction::because('Mass, stiffness and ratio of a valve train are more than nothing.');
        }
        if ($spring->seatLoad() <= 0.0) {
            throw Contradiction::because('No load is left on the seat: the valve stands open by itself.');
        }
        if ($lobe->peak() * $ratio <= $lash) {
            throw Contradiction::because('The lash takes up all of the lift: the valve is never opened.');
        }
        $this->asked = $lobe->overRocker($ratio, $lash);
    }

    public static function of(
        LobeCurve $lobe,
        float $mass,
        float $ratio,
        float $lash,
        float $stiffness,
        SpringLine $spring,
        float $springMass = 0.0,
    ): self {
        return new self($lobe, $mass, $ratio, $lash, $stiffness, $spring, $springMass);
    }

    /** Full lift of the valve as the lobe asks for it, in metres. */
    public function fullLift(): float
    {
        return $this->ratio * $this->lobe->peak() - $this->lash;
    }

    public function withLobe(LobeCurve $lobe): self
    {
        return $this->with(['lobe' => $lobe]);
    }

    public function withStiffness(float $stiffness): self
    {
        return $this->with(['stiffness' => $stiffness]);
    }

    public function withMass(float $mass): self
    {
        return $this->with(['mass' => $mass]);
    }

    public function withSpring(SpringLine $spring): self
    {
        return $this->with(['spring' => $spring]);
    }

    public function withLash(float $lash): self
    {
        return $this->with(['lash' => $lash]);
    }

    public function withSeatDamping(float $damping): self
    {
        return $this->with(['seatDamping' => $damping]);
    }

    public function withSurgeDamping(float $damping): self
    {
        return $this->with(['surgeDamping' => $damping]);
    }

    public function undamped(): self
    {
        return $this->with(['damping' => 0.0, 'springDamping' => 0.0, 'seatDamping' => 0.0]);
    }

    /** @param array<string, mixed> $changed */
    private function with(array $changed): self
    {
        $all = [...get_object_vars($this), ...$changed];
        unset($all['asked']);

        return new self(...$all); // @phpstan-ignore argument.type (its own properties, by name)
    }
}
