<?php

declare(strict_types=1);

namespace MuteTapper\App\Clearance;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\App\Sheet\MarginView;
use MuteTapper\App\Tried\PartChoiceView;
use MuteTapper\App\Tried\Sliders;
use MuteTapper\App\Tried\SliderView;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Guide\CutTarget;
use MuteTapper\Core\Head\HighestLift;
use MuteTapper\Core\Head\Stack;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Verdict\Margin;

/** Puts a stack, as found and as tried, into the shape in which it is drawn. */
final readonly class StackPresenter
{
    private const ROUNDING = 1e-9;

    private UnitSystem $units;

    /** @param Bench|null $tried the same bench with what is tried */
    public function __construct(private Bench $bench, private ?Bench $tried)
    {
        $this->units = $bench->case->settings->units;
    }

    /** @param list<PartChoiceView> $shelved */
    public function stack(string $place, array $shelved): StackView
    {
        $found = new Stack($place, $this->bench);
        $sliders = new Sliders($this->bench);
        $tried = $this->tried === null ? null : new Stack($place, $this->tried);

        return new StackView(
            $place, $this->label($place), $this->sizes($found, $this->bench),
            $tried === null || $this->tried === null ? null : $this->sizes($tried, $this->tried),
            $this->gaps($found, $tried), $this->loads($found, $tried), $this->ladder($place, $found),
            array_map(static fn (array $one): SliderView => $sliders->of(...$one), $found->tried()), $sliders->parts($shelved),
        );
    }

    /** @return list<CutTargetView> */
    public function guidesToCut(Quantity $more): array
    {
        $view = fn (Margin $margin): MarginView => MarginView::of($margin, $this->bench);

        return array_map(fn (CutTarget $one): CutTargetView => new CutTargetView(
            $one->place, $this->label($one->place), QuantityView::uncertain($one->top, $this->units),
            $one->cut->base > 0.0 ? QuantityView::exact($one->cut, $this->units) : null,
            QuantityView::uncertain($one->topAfter, $this->units),
            array_map($view, $one->before), array_map($view, $one->after), $this->noLonger($one),
        ), CutTarget::on($this->bench, $more));
    }

    private function noLonger(CutTarget $one): ?string
    {
        return $one->seatedLeft === null || $one->seatedLeft->base >= 0.0 ? null : sprintf(
            'The seal: it wants %s more guide than is left above the head.', $this->show(-$one->seatedLeft->base),
        );
    }

    /** @return array<string, StackSizeView> */
    private function sizes(Stack $stack, Bench $bench): array
    {
        $sizes = [];
        foreach ($stack->sizes() as $key => $given) {
            $parts = explode('.', $key, 2);
            $index = $parts[1] ?? null;
            $value = $bench->sheets->value($parts[0]);
            $claim = $value->column?->isClaimable === true ? $bench->claim($stack->place, $value->column, $index) : null;
            $sizes[$key] = StackSizeView::of($given, $claim, $this->units);
        }

        return $sizes;
    }

    /** @return list<StackGapView> */
    private function gaps(Stack $found, ?Stack $tried): array
    {
        $key = static fn (Margin $margin): string => $margin->quantity().' '.$margin->index;
        $after = [];
        foreach ($tried?->gaps() ?? [] as $margin) {
            $after[$key($margin)] = $margin;
        }

        return array_map(function (Margin $margin) use ($after, $key): StackGapView {
            $changed = $after[$key($margin)] ?? null;

            return new StackGapView(
                $this->nameOf($margin), MarginView::of($margin, $this->bench),
                $changed === null || $this->tried === null || self::isSame($changed->value(), $margin->value())
                    ? null : MarginView::of($changed, $this->tried),
            );
        }, $found->gaps());
    }

    /** @return list<StackLoadView> */
    private function loads(Stack $found, ?Stack $tried): array
    {
        $shown = fn (?Given $given): ?QuantityView => $given === null ? null : QuantityView::uncertain($given->value, $this->units);
        $before = $found->loads();
        $after = $tried?->loads() ?? [];
        $loads = [];
        foreach (array_keys($before + $after) as $name) {
            $isSame = self::isSame(($before[$name] ?? null)?->value, ($after[$name] ?? null)?->value);
            $loads[] = new StackLoadView(
                $name, $this->bench->sheets->value($name)->title, $shown($before[$name] ?? null),
                $isSame ? null : $shown($after[$name] ?? null),
            );
        }

        return $loads;
    }

    private function ladder(string $place, Stack $found): LiftLadderView
    {
        $limits = HighestLift::at($place, $this->bench);
        $lift = $this->bench->value($place, 'net_lift');
        $unit = $this->units->unitOf(Dimension::Length);
        $tried = $this->tried === null ? null : HighestLift::at($place, $this->tried)[0] ?? null;
        $known = $lift instanceof Given ? $lift->value : null;

        return new LiftLadderView(
            $known === null ? null : round($known->quantity()->in($unit), 6),
            $known === null ? null : round($known->expanded()->in($unit), 6),
            $known === null ? null : QuantityView::uncertain($known, $this->units),
            array_map(fn (HighestLift $one): LiftLimitView => LiftLimitView::of($one, self::name($one), $this->units), $limits),
            $tried === null ? null : LiftLimitView::of($tried, self::name($tried), $this->units), $unit->symbol(), $found->missing(),
            $known === null || $limits === [] ? '' : $this->said($known, $limits, $tried),
        );
    }

    /** @param non-empty-list<HighestLift> $limits */
    private function said(Uncertain $lift, array $limits, ?HighestLift $tried): string
    {
        $left = $limits[0]->lift->base - $lift->base;
        $said = [sprintf(
            'It lifts %s: %s.', $this->figure($lift->base),
            $left >= 0.0
                ? sprintf('%s more would be inside every limit', $this->figure($left))
                : sprintf('%s more than it may', $this->figure(-$left)),
        )];
        $next = $limits[1] ?? null;
        if ($next !== null) {
            $said[] = sprintf('After %s comes %s, at %s.', self::name($limits[0]), self::name($next), $this->figure($next->lift->base));
        }
        if ($tried !== null && $tried->lift->base !== $limits[0]->lift->base) {
            $said[] = sprintf('As tried it may lift %s, by %s.', $this->figure($tried->lift->base), self::name($tried));
        }

        return implode(' ', $said);
    }

    /** Apart from the rounding of a computer. */
    private static function isSame(?Uncertain $one, ?Uncertain $other): bool
    {
        return abs(($one->base ?? 0.0) - ($other->base ?? 0.0)) < self::ROUNDING && ($one === null) === ($other === null);
    }

    private function label(string $place): string
    {
        return $this->bench->case->engine->placeLabel($place) ?? $place;
    }

    private function nameOf(Margin $margin): string
    {
        $head = $this->bench->sheets->judged[$margin->quantity()]->head;

        return in_array($margin->index, [null, Coil::Outer->value], true) ? $head : $head.', '.$margin->index;
    }

    private static function name(HighestLift $one): string
    {
        return $one->margin->limit->title.(in_array($one->margin->index, [null, Coil::Outer->value], true) ? '' : ', '.$one->margin->index);
    }

    private function figure(float $base): string
    {
        return $this->units->figure(Quantity::base($base, Dimension::Length));
    }

    private function show(float $base): string
    {
        return $this->units->show(Quantity::difference($base, Dimension::Length));
    }
}
