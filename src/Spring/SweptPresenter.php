<?php

declare(strict_types=1);

namespace MuteTapper\App\Spring;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Spring\SweptSpring;
use MuteTapper\Core\Spring\SweptSprings;
use MuteTapper\Core\Spring\ToldApart;
use MuteTapper\Core\Verdict\Limits;
use MuteTapper\Core\Verdict\Verdict;

/** Puts swept springs into the shape in which they are drawn. */
final readonly class SweptPresenter
{
    /** A load or rate that departs by more is judged by these. */
    private const LIMITS = ['load' => 'seat_load_from_claim', 'rate' => 'rate_from_claim'];

    private UnitSystem $units;

    public function __construct(private Bench $bench, private Limits $limits)
    {
        $this->units = $bench->case->settings->units;
    }

    public function of(?SweptSprings $swept): SweptSpringsView
    {
        return new SweptSpringsView(
            $swept === null ? [] : array_map(fn (SweptSpring $one): SweptSpringView => $this->spring($one, $swept), $swept->springs),
            $swept?->against->place,
            $swept === null ? null : $this->figure($swept->installed->base, Dimension::Length),
            $swept === null ? null : $this->figure($swept->open->base, Dimension::Length),
            $swept === null ? '' : $this->units->show($swept->installed->quantity()),
            $swept === null ? '' : $this->units->show($swept->open->quantity()),
            $this->unit(Dimension::Length), $this->unit(Dimension::Force), $this->unit(Dimension::Stiffness),
        );
    }

    private function spring(SweptSpring $one, SweptSprings $set): SweptSpringView
    {
        $other = $one === $set->against ? null : $set->against;
        $load = $other === null ? null : $one->loadFrom($other);
        $rate = $other === null ? null : $one->rateFrom($other);
        $told = $other === null ? null : $one->toldFrom($other);
        $closes = $one->sweep->closesBelow();

        return new SweptSpringView(
            $one->place, $this->label($one->place), $this->pairs($one->sweep->points(), Dimension::Force),
            $this->pairs($one->sweep->rates(), Dimension::Stiffness),
            $one->bindHeight === null ? null : $this->figure($one->bindHeight->base, Dimension::Length),
            $one->bindHeight === null ? null : $this->figure($one->bindHeight->expanded()->base, Dimension::Length),
            $this->shown($one->bindHeight), $closes === null ? null : $this->figure($closes, Dimension::Length),
            $one->sweep->isProgressive(), $this->shown($one->seatLoad), $this->shown($one->openLoad), $this->shown($one->rate),
            $this->shown($load), $this->shown($rate), $this->isOutside($load, self::LIMITS['load']),
            $this->isOutside($rate, self::LIMITS['rate']), $told,
            $told === null || $other === null ? '' : $this->said($told, $one, $other),
        );
    }

    private function said(ToldApart $told, SweptSpring $one, SweptSpring $other): string
    {
        $name = $this->label($one->place);
        $lost = $one->seatLoad === null || $other->seatLoad === null ? 0.0 : $other->seatLoad->base - $one->seatLoad->base;
        $rate = $one->rate === null || $other->rate === null ? 0.0 : 100 * ($one->rate->base / $other->rate->base - 1);
        $load = $this->units->show(Quantity::difference(abs($lost), Dimension::Force));
        $height = $one->rate === null ? '' : $this->units->show(Quantity::difference(abs($lost) / $one->rate->base, Dimension::Length));

        return match ($told) {
            ToldApart::HasSet => sprintf(
                '%s has set: %s less at every height, the same rate: one line moved down, as if it were %s shorter.', $name, $load, $height,
            ),
            ToldApart::GivesWay => sprintf(
                '%s gives way: its rate is %.0f %% lower, so it loses the more the further it is pressed. Set does not do that: '.
                'look for a crack, or another spring.', $name, -$rate,
            ),
            ToldApart::Stiffer => sprintf('%s is another spring: its rate is %.0f %% higher.', $name, $rate),
            ToldApart::Stronger => sprintf(
                '%s presses %s more at every height, at the same rate, as if it were %s taller: it has set less, or stands on something.',
                $name, $load, $height,
            ),
            ToldApart::Alike => sprintf('%s is like %s.', $name, $this->label($other->place)),
        };
    }

    private function isOutside(?Uncertain $departure, string $limit): bool
    {
        $verdict = $departure === null ? null : $this->limits->of($limit)->verdict($departure);

        return $verdict === Verdict::Outside || $verdict === Verdict::OutsideClose;
    }

    private function shown(?Uncertain $value): ?QuantityView
    {
        return $value === null ? null : QuantityView::uncertain($value, $this->units);
    }

    private function label(string $place): string
    {
        return Place::asLoose($place) ?? $this->bench->case->engine->placeLabel($place) ?? $place;
    }

    /**
     * @param list<array{float, float}> $pairs
     *
     * @return list<list<float>>
     */
    private function pairs(array $pairs, Dimension $up): array
    {
        return array_map(
            fn (array $pair): array => [$this->figure($pair[0], Dimension::Length), round($this->figure($pair[1], $up), 2)], $pairs,
        );
    }

    private function figure(float $base, Dimension $dimension): float
    {
        return round(Quantity::base($base, $dimension)->in($this->units->unitOf($dimension)), 5);
    }

    private function unit(Dimension $dimension): string
    {
        return $this->units->unitOf($dimension)->symbol();
    }
}
