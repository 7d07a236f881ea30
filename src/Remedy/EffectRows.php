<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\App\Sheet\MarginView;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Remedy\Effect;
use MuteTapper\Core\Remedy\Trial;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Verdict\Margin;

/** The rows of the board: each margin and figure over all remedies. */
final readonly class EffectRows
{
    /** Figures that nothing limits by themselves, and that a remedy is judged by. */
    private const FIGURES = ['valve_seat_load', 'valve_open_load', 'net_lift', 'speed_bound', 'float_speed'];

    /**
     * @param array<string, Trial> $trials by remedy
     * @param string|null $place a valve whose figures are shown; else the place where each ends worst
     */
    public function __construct(private array $trials, private Bench $found, private ?string $place)
    {
    }

    /** @return list<EffectRowView> margins that any of them moves or leaves outside, then figures that any of them moves */
    public function all(): array
    {
        $rows = [];
        foreach ($this->trials === [] ? [] : Trial::judged($this->found) as $judged) {
            $effects = [];
            $isWorthARow = false;
            foreach ($this->trials as $id => $trial) {
                $worst = $trial->worst($judged->value, $this->place);
                if ($worst === null) {
                    continue 2;
                }
                $isWorthARow = $isWorthARow || $worst->after->isOutside() || $trial->moves($judged->value);
                $effects[] = $this->effect($id, $worst, $trial, $judged->value);
            }
            if ($isWorthARow && $effects !== []) {
                $rows[] = new EffectRowView(
                    $judged->value, $this->found->sheets->value($judged->value)->title, $effects[0]->margin->limitWords ?? '', $effects,
                );
            }
        }
        foreach ($this->trials === [] ? [] : self::FIGURES as $name) {
            $row = $this->figures($name);
            if ($row !== null) {
                $rows[] = $row;
            }
        }

        return $rows;
    }

    private function effect(string $remedy, Effect $worst, Trial $trial, string $quantity): EffectView
    {
        $after = MarginView::of($worst->after, $trial->with);
        $before = $worst->before === null ? null : MarginView::of($worst->before, $trial->found);
        $value = $worst->before?->value();

        return new EffectView(
            $remedy, $worst->after->place, $trial->found->case->engine->placeLabel($worst->after->place) ?? '',
            $before?->value?->figure, $after->value?->figure, $after,
            $value === null || $before === null ? null : $before->at,
            match (true) {
                $worst->isUnchanged() => 'unchanged',
                $worst->gained() === null => 'not_known',
                $worst->isWorse() => 'worse',
                $worst->isBetter() => 'better',
                default => 'moved',
            },
            $after->value === null ? $after->sentence : '',
            array_map(static fn (Effect $one): StationEffectView => new StationEffectView(
                $one->after->place, self::figure($one->after, $trial->with) ?? '', $one->after->verdict,
            ), $trial->effects($quantity)),
        );
    }

    private function figures(string $name): ?EffectRowView
    {
        $value = $this->found->sheets->value($name);
        $units = $this->found->case->settings->units;
        $show = static fn (Given $given): string => QuantityView::uncertain($given->value, $units, $value->fineness)->figure;
        $effects = [];
        $hasMoved = false;
        foreach ($this->trials as $id => $trial) {
            $least = null;
            $stations = [];
            foreach ($this->found->case->engine->sites(Site::Station) as $station) {
                $after = $trial->with->value($station, $name);
                $before = $this->found->value($station, $name);
                if (!$after instanceof Given) {
                    continue;
                }
                $stations[] = new StationEffectView($station, $show($after), null);
                $isMoved = !$before instanceof Given || $before->value->base !== $after->value->base;
                $hasMoved = $hasMoved || $isMoved;
                // Of those that it moves the least, where it moves any.
                $rank = [$isMoved ? 0 : 1, $after->value->base];
                if (($this->place === null || $this->place === $station) && ($least === null || $rank < $least[3])) {
                    $least = [$station, $before instanceof Given ? $before : null, $after, $rank];
                }
            }
            if ($least === null) {
                continue;
            }
            [$at, $before, $after] = $least;
            $gained = $before === null ? null : $after->value->base - $before->value->base;
            $effects[] = new EffectView(
                $id, $at, $this->found->case->engine->placeLabel($at) ?? '', $before === null ? null : $show($before), $show($after),
                null, null,
                match (true) {
                    $gained === null => 'not_known',
                    $gained === 0.0 => 'unchanged',
                    default => 'moved',
                }, '', $stations,
            );
        }

        return $hasMoved && $effects !== []
            ? new EffectRowView($name, $value->title, $units->unitOf($value->dimension)->symbol(), $effects) : null;
    }

    public static function figure(?Margin $margin, Bench $bench): ?string
    {
        $value = $margin?->value();

        return $margin === null || $value === null ? null : QuantityView::uncertain(
            $value, $bench->case->settings->units, $bench->sheets->value($margin->quantity())->fineness,
        )->figure;
    }
}
