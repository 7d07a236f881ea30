<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\Core\Cause\Extent;
use MuteTapper\Core\Cause\Ground;
use MuteTapper\Core\Cause\PlacedCause;
use MuteTapper\Core\Cause\Scope;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Knowledge\Cause;

/** Says where a cause is, as people at the bench do. */
final readonly class PlaceWords
{
    private const MOST_NAMED = 4;

    public function __construct(private Engine $engine, private Ground $ground)
    {
    }

    public function where(Extent $extent): string
    {
        if ($extent->isElsewhere) {
            return $extent->scope === Scope::Cylinder ? 'in a cylinder nobody looked at' : 'at a station nobody looked at';
        }
        $stations = $this->ground->codes($extent->region);

        return match ($extent->scope) {
            Scope::All => 'everywhere',
            Scope::Kind => 'all '.($this->ground->kindOf($extent->region) ?? ValveKind::Exhaust)->word().'s',
            Scope::Bank => 'bank '.$stations[0][0],
            Scope::Cylinder => $this->engine->placeLabel(explode('-', $stations[0])[0]) ?? $stations[0],
            Scope::Station, Scope::Several => $this->labels($stations),
        };
    }

    public function form(PlacedCause $placed): string
    {
        return Cause::formWords($placed->form);
    }

    /** @param list<string> $places */
    public function labels(array $places): string
    {
        $labels = array_map(fn (string $place): string => $this->engine->placeLabel($place) ?? $place, $places);

        return count($labels) > self::MOST_NAMED ? sprintf('%d places', count($labels)) : implode(', ', $labels);
    }

    /** @return list<string> codes of the stations; empty where it is everywhere or nowhere in particular */
    public function stations(Extent $extent): array
    {
        return $extent->isElsewhere || $extent->scope === Scope::All ? [] : $this->ground->codes($extent->region);
    }
}
