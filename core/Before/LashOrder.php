<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Engine\Cylinder;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Engine\ValveKind;

/**
 * The order in which lash is set and seat loads are pulled: cylinder after cylinder in the firing order, each at firing top
 * dead centre, where both its valves are shut and their followers stand on the base circle. [practice].
 */
final readonly class LashOrder
{
    /**
     * @param list<array{cylinder: Cylinder, overlap: ?Cylinder, stations: list<Station>}> $stops overlap: the cylinder whose valves rock
     * @param bool|null $isEven whether the engine is known to fire evenly; without that the partner is only what even firing would make it
     */
    private function __construct(public array $stops, public bool $fromFiringOrder, public ?bool $isEven)
    {
    }

    public static function of(Engine $engine): self
    {
        $byNumber = [];
        foreach ($engine->cylinders as $cylinder) {
            $byNumber[$cylinder->number] = $cylinder;
        }
        ksort($byNumber);
        $isEven = $engine->firesEvenly();
        $known = $engine->firingOrder !== [];
        $order = $known ? $engine->firingOrder : array_keys($byNumber);
        $count = count($order);
        $stops = [];
        foreach ($order as $i => $number) {
            $stations = array_values(
                array_filter($engine->stations, static fn (Station $station): bool => $station->cylinder->number === $number),
            );
            usort(
                $stations,
                static fn (Station $a, Station $b): int => [$a->kind === ValveKind::Exhaust, $a->ordinal] <=> [
                    $b->kind === ValveKind::Exhaust, $b->ordinal,
                ],
            );
            // One crank turn away stands the cylinder whose valves rock at overlap: it shows which top dead centre this is. Where the
            // distances of firing are not equal, none may stand there.
            $overlap = $known && $count % 2 === 0 && $isEven !== false ? $byNumber[$order[($i + $count / 2) % $count]] : null;
            $stops[] = ['cylinder' => $byNumber[$number], 'overlap' => $overlap, 'stations' => $stations];
        }

        return new self($stops, $known, $isEven);
    }

    /** @return list<Station> */
    public function stations(): array
    {
        return array_merge(...array_map(static fn (array $stop): array => $stop['stations'], $this->stops));
    }
}
