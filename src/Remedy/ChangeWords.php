<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Head\ShimPack;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Remedy\Adjustments;
use MuteTapper\Core\Sheet\Bench;

/** The changes of a remedy in words: what, where, to what. */
final readonly class ChangeWords
{
    private const SHIMS = 'shim_stack';

    /** @param array<string, string> $parts names of parts by where they are taken from */
    public function __construct(private Bench $found, private array $parts = [])
    {
    }

    public function line(Node $one): ChangeLineView
    {
        $where = $this->where($one->get('places')->words());
        if ($one->has('part')) {
            $from = $one->get('from')->word();

            return new ChangeLineView($one->get('part')->word(), $where, $this->parts[$from] ?? $from);
        }
        $name = $one->get('name')->word();
        $value = $this->found->sheets->values[$name] ?? null;
        $isBy = $one->has('by');
        $figure = $one->get($isBy ? 'by' : 'to');
        $number = $figure->get('number')->number();
        $unit = Unit::tryFrom($figure->get('unit')->word());
        $units = $this->found->case->settings->units;
        $shown = match (true) {
            $unit === null || $value === null => (string) $number,
            $isBy => $units->show(Quantity::difference(abs($number) * $unit->baseFactor(), $value->dimension), $value->fineness),
            default => $units->show(Quantity::of($number, $unit), $value->fineness),
        };
        $index = $one->maybe('index')?->word() ?? '';
        $index = $index === '' ? '' : ' '.($this->found->case->engine->placeLabel($index) ?? $index);

        $kind = Adjustments::named($name)?->kind($one->maybe('kind')?->word() ?? '');
        $shown .= $kind === null ? '' : ', '.$kind->label;
        $shown .= $isBy && $name === self::SHIMS && $number > 0 ? $this->pack($number * ($unit?->baseFactor() ?? 0.0)) : '';
        $label = Adjustments::named($name)->label ?? $value->column->label ?? $value->title ?? $name;

        return new ChangeLineView($label.$index, $where, $isBy ? $shown.($number < 0 ? ' less' : ' more') : $shown);
    }

    /** Shims of the stock that come to it, the fewest. */
    private function pack(float $metres): string
    {
        $pack = ShimPack::reaching($metres, $this->found->springShims);
        $figure = fn (float $shim): string => $this->found->case->settings->units->figure(Quantity::difference($shim, Dimension::Length));

        $isExact = $pack !== null && $figure($pack->thickness()) === $figure($metres);
        if ($pack === null || ($isExact && count($pack->shims) < 2)) {
            return '';
        }

        return sprintf(
            ' (%s%s)', implode(' + ', array_map($figure, $pack->shims)),
            $isExact ? '' : ' of the stock come to '.$figure($pack->thickness()),
        );
    }

    /** @param list<string> $places */
    public function where(array $places): string
    {
        $engine = $this->found->case->engine;
        $stations = $engine->sites(Site::Station);
        $label = static fn (string $place): string => $engine->placeLabel($place) ?? $place;
        if (count($places) > 1 && array_diff($stations, $places) === []) {
            return 'all valves';
        }
        foreach ($engine->sites(Site::Bank) as $bank) {
            $own = array_values(array_filter($stations, static fn (string $one): bool => $engine->siteOf($one, Site::Bank) === $bank));
            if (count($own) > 1 && count($own) === count($places) && array_diff($own, $places) === []) {
                return $label($bank);
            }
        }
        foreach (['E' => 'exhausts', 'I' => 'intakes'] as $kind => $words) {
            $own = array_values(array_filter($stations, static fn (string $one): bool => $engine->kindAt($one)?->value === $kind));
            if (count($own) > 1 && count($own) === count($places) && array_diff($own, $places) === []) {
                return 'all '.$words;
            }
        }

        return implode(', ', array_map($label, $places));
    }
}
