<?php

declare(strict_types=1);

namespace MuteTapper\App\Tried;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Slider;
use MuteTapper\Core\Sheet\Value;

/** What may be tried, in the shape in which it stands on sliders. */
final readonly class Sliders
{
    public function __construct(private Bench $bench)
    {
    }

    public function of(Value $value, Given $found, ?string $label = null): SliderView
    {
        $slider = $value->column->slider ?? throw new \LogicException(sprintf('Nothing says how “%s” is tried.', $value->name));
        $units = $this->bench->case->settings->units;
        $unit = $units->unitOf($value->dimension);
        $in = static fn (float $base): float => round($base / $unit->baseFactor(), 6);

        return new SliderView(
            $value->name, $label ?? $value->column->short, $unit->value,
            $in($slider->from($found->value->base)), $in($slider->to($found->value->base)),
            $this->step($slider, $value->dimension), $units->decimalsOf($value->dimension), $in($found->value->base), $found->origin,
        );
    }

    /**
     * @param list<PartChoiceView> $shelved
     *
     * @return list<PartChoiceView> what can be tried: springs off the engine, then parts of the library
     */
    public function parts(array $shelved): array
    {
        return [...array_map(
            static fn (string $place): PartChoiceView => new PartChoiceView(
                Part::Spring->value, $place, (string) Place::asLoose($place), false,
            ),
            $this->bench->loosePlaces(),
        ), ...$shelved];
    }

    /** Lengths of a metric case are tried in hundredths of a millimetre where the other tries in thou. */
    private function step(Slider $slider, Dimension $dimension): float
    {
        $step = $slider->step->in($this->bench->case->settings->units->unitOf($dimension));

        return $dimension === Dimension::Length ? 10 ** floor(log10($step) + 1e-9) : round($step, 6);
    }
}
