<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

/** What a valve did in one turn of its cam at one speed. SI units; degrees are the cam's. */
final readonly class Turn
{
    /**
     * @param float $speed turns of the crank a minute
     * @param float $loft greatest excess over full lift
     * @param float $gap greatest gap at the cam while the lobe asks for lift
     * @param float $lost cam degrees without contact while the lobe asks for lift
     * @param bool $partsOverNose a gap opened at the cam where the lobe slows the valve down
     * @param float $landing greatest speed at which the valve met its seat past the nose
     * @param int $bounces rises off the seat after the first landing of more than ten micrometres
     * @param float $bounce height of the greatest of them
     * @param float $peakForce greatest force between train and valve
     * @param bool $varies the next turn is another one
     * @param list<array{float, float, float, bool}> $trace cam degree, lift, force and contact at every node, where it was asked for
     */
    public function __construct(
        public float $speed,
        public float $loft,
        public float $gap,
        public float $lost,
        public bool $partsOverNose,
        public float $landing,
        public int $bounces,
        public float $bounce,
        public float $peakForce,
        public bool $varies,
        public array $trace = [],
    ) {
    }
}
