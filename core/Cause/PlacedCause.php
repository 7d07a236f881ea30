<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** A cause in one of its forms, somewhere. */
final readonly class PlacedCause
{
    /**
     * @param string $form empty where the cause has one form only
     * @param float $share of its cause's weight before any evidence
     * @param float $carried what went from failure to failure weighs for it, as a factor
     * @param int $id its number among all that were placed
     */
    public function __construct(
        public string $cause,
        public string $form,
        public Extent $extent,
        public float $share,
        public Wiring $wiring,
        public float $carried,
        public int $id,
    ) {
    }
}
