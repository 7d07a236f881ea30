<?php

declare(strict_types=1);

namespace MuteTapper\App\Reassembly;

use MuteTapper\Core\Reassembly\BoltUse;
use MuteTapper\Core\Reassembly\Joint;
use MuteTapper\Core\Reassembly\Tightening;
use OpenApi\Attributes as OA;

/** What is tightened by the maker's figures, and those that were entered. */
#[OA\Schema]
final readonly class JointView
{
    /**
     * @param list<string> $passes in words; none before they are entered
     * @param string $words bolts, threads, order and source in one line
     */
    private function __construct(
        public Joint $joint,
        public string $label,
        public array $passes,
        public ?BoltUse $bolts,
        public string $threads,
        public string $order,
        public string $source,
        public string $words,
    ) {
    }

    public static function of(Joint $joint, ?Tightening $tightening): self
    {
        return new self(
            $joint, $joint->label(),
            array_map(static fn (array $pass): string => $pass['figure'].' '.$pass['unit']->value, $tightening->passes ?? []),
            $tightening?->bolts, $tightening->threads ?? '', $tightening->order ?? '', $tightening->source ?? '',
            $tightening === null ? '' : implode('; ', array_filter([
                $tightening->bolts->words(), $tightening->threads, $tightening->order, 'from '.$tightening->source,
            ], static fn (string $one): bool => $one !== '')),
        );
    }
}
