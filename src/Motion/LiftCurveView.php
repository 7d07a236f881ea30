<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\Core\Motion\LobeCurve;
use OpenApi\Attributes as OA;

/** The lift of a lobe and what follows from it, at every cam degree from the nose. */
#[OA\Schema]
final readonly class LiftCurveView
{
    private const DECIMALS = 6;

    /**
     * @param list<float> $lift at the lobe
     * @param list<float> $velocity in length a degree
     * @param list<float> $acceleration in length a degree squared
     * @param list<float> $jerk in length a degree cubed, from each node to the next
     */
    private function __construct(
        #[OA\Property(description: 'cam degrees from the nose, of the first')]
        public int $first,
        public array $lift,
        public array $velocity,
        public array $acceleration,
        public array $jerk,
    ) {
    }

    /** @param float $unit metres in the unit of length */
    public static function of(LobeCurve $lobe, float $unit): self
    {
        $in = static fn (float $base): float => round($base / $unit, self::DECIMALS + 2);

        return new self(
            $lobe->first, array_map(static fn (float $base): float => round($base / $unit, self::DECIMALS), $lobe->lift),
            array_map($in, $lobe->slope), array_map($in, $lobe->bend),
            array_map(static fn (int $node): float => $in($lobe->jerk($node)), array_keys($lobe->lift)),
        );
    }
}
