<?php

declare(strict_types=1);

namespace MuteTapper\Core\Spring;

use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Calculation\Values;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Clearance\HeightAboveSpringSeat;
use MuteTapper\Core\Clearance\RetainerToSeal;
use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\LashKind;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Fit\SpringInPocket;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Valve\NetLiftHydraulic;
use MuteTapper\Core\Valve\NetLiftSolid;
use MuteTapper\Core\Verdict\Judge;
use MuteTapper\Core\Verdict\Limits;
use MuteTapper\Core\Verdict\Margin;

/** Derives the spring sheet of a case: every value a reading allows, every margin with its limit. A pure function. */
final class SpringAssessor
{
    /** Heights nearer than this count as one test height. */
    private const SAME_HEIGHT = 0.5e-5;
    private const LEAST_SET = 4;

    /** @var array<string, array<string, Trace>> */
    private array $derived = [];

    private readonly Judge $judge;

    private function __construct(private readonly CaseFile $case, Limits $limits)
    {
        $this->judge = new Judge($limits, $case->settings->school);
    }

    public static function assess(CaseFile $case, Limits $limits): SpringSheet
    {
        return (new self($case, $limits))->sheet();
    }

    private function sheet(): SpringSheet
    {
        $middles = $this->middles();
        $margins = [];
        foreach ($this->case->engine->stations as $station) {
            $place = $station->code();
            $lift = $this->netLift($station);
            $coils = $this->hasInner($place) ? ['outer', 'inner'] : ['outer'];
            foreach ($coils as $coil) {
                $height = $this->installedHeight($place, $coil);
                $this->rate($place, $coil);
                $this->seatLoad($place, $coil, $height);
                $margins[] = $this->travelToBind($place, $coil, $height, $lift, count($coils) > 1);
                $margins[] = $this->loadFromClaim($place, $coil, SheetColumn::SeatLoad, 'load_from_claim');
                if ($this->claimed($place, SheetColumn::OpenLoad, $coil) !== null) {
                    $margins[] = $this->loadFromClaim($place, $coil, SheetColumn::OpenLoad, 'open_load_from_claim');
                }
                $margins[] = $this->loadFromMiddle($station, $coil, $middles);
                $margins = [...$margins, ...$this->departures($place, $coil, [SheetColumn::BindHeight, SheetColumn::FreeHeight, SheetColumn::OutsideDiameter, SheetColumn::InsideDiameter])];
            }
            $margins[] = $this->retainerToSeal($place, $lift);
            $margins[] = $this->judge->margin('spring_in_pocket', $place, null, new SpringInPocket(), [
                'pocket_diameter' => $this->read($place, SheetColumn::PocketDiameter),
                'outside_diameter' => $this->read($place, SheetColumn::OutsideDiameter, 'outer'),
            ]);
            $margins = [...$margins, ...$this->departures($place, null, [SheetColumn::InstalledHeight, SheetColumn::Shims, SheetColumn::LobeLift, SheetColumn::Lash, SheetColumn::PocketDiameter, SheetColumn::SealHeight, SheetColumn::RetainerDepth])];
            $margins = [...$margins, ...$this->liftDeparture($place, $lift)];
        }

        return new SpringSheet($this->derived, $margins, $middles);
    }

    private function read(string $place, SheetColumn $column, ?string $coil = null): ?Given
    {
        return $this->case->reading($column->slot($place, $coil))?->given();
    }

    private function claimed(string $place, SheetColumn $column, ?string $coil = null): ?Given
    {
        return $this->case->claim($column->slot($place, $coil))?->given();
    }

    private function hasInner(string $place): bool
    {
        foreach ([SheetColumn::SeatLoad, SheetColumn::OpenLoad, SheetColumn::BindHeight, SheetColumn::FreeHeight] as $column) {
            if ($this->read($place, $column, 'inner') !== null) {
                return true;
            }
        }

        return false;
    }

    /** Measured at the valve, else from the lobe; what was claimed fills in for what was not measured, and says so. */
    private function netLift(Station $station): ?Given
    {
        $place = $station->code();
        if (($measured = $this->read($place, SheetColumn::NetLift)) !== null) {
            return $measured;
        }
        $lobe = $this->read($place, SheetColumn::LobeLift);
        if ($lobe === null && ($claimedLift = $this->claimed($place, SheetColumn::NetLift)) !== null) {
            return $claimedLift;
        }
        $inputs = ['lobe_lift' => $lobe ?? $this->claimed($place, SheetColumn::LobeLift), 'ratio' => $this->ratio($place)];
        $solid = $this->case->engine->lash === LashKind::Solid;
        if ($solid) {
            $inputs['lash'] = $this->read($place, SheetColumn::Lash) ?? $this->claimed($place, SheetColumn::Lash);
        }

        return $this->derive($place, 'net_lift', $solid ? new NetLiftSolid() : new NetLiftHydraulic(), $inputs);
    }

    private function ratio(string $place): ?Given
    {
        if ($this->case->engine->drive === DriveKind::Bucket) {
            return new Given(Uncertain::exact(Quantity::of(1, Unit::One)), 'direct drive');
        }
        $nominal = $this->case->engine->rockerRatio();

        return $this->read($place, SheetColumn::Ratio) ?? ($nominal === null ? null : new Given(Uncertain::exact($nominal), 'nominal ratio of the engine description'));
    }

    private function installedHeight(string $place, string $coil): ?Given
    {
        $height = $this->read($place, SheetColumn::InstalledHeight);
        if ($coil === 'outer') {
            return $height;
        }

        return $this->derive($place, 'installed_height.inner', new InnerInstalledHeight(), ['installed_height' => $height, 'inner_step' => $this->read($place, SheetColumn::InnerStep)]);
    }

    private function rate(string $place, string $coil): ?Given
    {
        $seat = $this->case->reading(SheetColumn::SeatLoad->slot($place, $coil));
        $open = $this->case->reading(SheetColumn::OpenLoad->slot($place, $coil));

        return $this->derive($place, 'rate.'.$coil, new RateFromTwoLoads(), [
            'load_seat' => $seat?->given(), 'height_seat' => $seat?->height(), 'load_open' => $open?->given(), 'height_open' => $open?->height(),
        ]);
    }

    /** Seat load at the station's own installed height. */
    private function seatLoad(string $place, string $coil, ?Given $height): void
    {
        $seat = $this->case->reading(SheetColumn::SeatLoad->slot($place, $coil));
        $this->derive($place, 'seat_load.'.$coil, new LoadAtHeight(), [
            'load' => $seat?->given(), 'height' => $seat?->height(), 'rate' => ($this->derived[$place]['rate.'.$coil] ?? null)?->asGiven(), 'wanted_height' => $height,
        ]);
    }

    private function travelToBind(string $place, string $coil, ?Given $height, ?Given $lift, bool $dual): Margin
    {
        return $this->judge->margin('travel_to_bind', $place, $coil, new TravelToBind(), [
            'installed_height' => $height,
            'net_lift' => $lift,
            'bind_height' => $this->read($place, SheetColumn::BindHeight, $coil) ?? $this->claimed($place, SheetColumn::BindHeight, $coil),
        ], $dual ? 'production' : null);
    }

    /** Loads are compared at equal heights only: at another height than the claim's, by way of the spring's own rate. */
    private function loadFromClaim(string $place, string $coil, SheetColumn $column, string $quantity): Margin
    {
        $reading = $this->case->reading($column->slot($place, $coil));
        $claim = $this->case->claim($column->slot($place, $coil));
        $found = $reading?->height();
        $wanted = $claim?->height();
        $load = $reading?->given();
        if ($found !== null && $wanted !== null && abs($found->value->base - $wanted->value->base) > self::SAME_HEIGHT) {
            $load = $this->derive($place, $column->value.'_at_claimed_height.'.$coil, new LoadAtHeight(), [
                'load' => $load, 'height' => $found, 'rate' => ($this->derived[$place]['rate.'.$coil] ?? null)?->asGiven(), 'wanted_height' => $wanted,
            ]);
        }

        return $this->judge->margin($quantity, $place, $coil, new LoadDeparture(), ['load' => $load, 'reference' => $wanted === null ? null : $claim->given()]);
    }

    /** @param array<string, MiddleValueOfSet> $middles */
    private function loadFromMiddle(Station $station, string $coil, array $middles): Margin
    {
        $seat = $this->case->reading(SheetColumn::SeatLoad->slot($station->code(), $coil));
        $set = $seat?->at === null ? '' : $this->setOf($station, $coil, $seat->at->quantity());

        return $this->judge->margin('load_from_middle', $station->code(), $coil, new LoadDeparture(), [
            'load' => $seat?->given(),
            'reference' => ($middles[$set] ?? null)?->trace->asGiven(),
        ], null, ['reference' => sprintf('at least %d springs of this kind at one height', self::LEAST_SET)]);
    }

    /** @return array<string, MiddleValueOfSet> */
    private function middles(): array
    {
        $sets = $middles = [];
        foreach ($this->case->engine->stations as $station) {
            foreach (['outer', 'inner'] as $coil) {
                $seat = $this->case->reading(SheetColumn::SeatLoad->slot($station->code(), $coil));
                if ($seat?->at !== null) {
                    $set = $this->setOf($station, $coil, $seat->at->quantity());
                    $sets[$set][] = $seat->given();
                    if (count($sets[$set]) >= self::LEAST_SET) {
                        $middles[$set] = new MiddleValueOfSet($station->kind, $coil, $seat->at->quantity(), Trace::of(new MiddleValue(), Values::of(['loads' => $sets[$set]])));
                    }
                }
            }
        }

        return $middles;
    }

    private function setOf(Station $station, string $coil, Quantity $height): string
    {
        return sprintf('%s.%s at %.2f mm', $station->kind->value, $coil, $height->in(Unit::Millimetre));
    }

    private function retainerToSeal(string $place, ?Given $lift): Margin
    {
        $height = $this->read($place, SheetColumn::SealHeight);
        $fromHead = $this->read($place, SheetColumn::SealHeightFromHead);
        if ($height === null && $fromHead !== null) {
            $none = new Given(Uncertain::exact(Quantity::of(0, Unit::Inch)), 'no shims recorded');
            $height = $this->derive($place, 'seal_height', new HeightAboveSpringSeat(), ['height_from_head' => $fromHead, 'shims' => $this->read($place, SheetColumn::Shims) ?? $none]);
        }

        return $this->judge->margin('retainer_to_seal', $place, null, new RetainerToSeal(), [
            'installed_height' => $this->read($place, SheetColumn::InstalledHeight),
            'seal_height' => $height,
            'retainer_depth' => $this->read($place, SheetColumn::RetainerDepth),
            'net_lift' => $lift,
        ]);
    }

    /**
     * Departures from the claim, for columns that have one.
     *
     * @param list<SheetColumn> $columns
     *
     * @return list<Margin>
     */
    private function departures(string $place, ?string $coil, array $columns): array
    {
        $margins = [];
        foreach ($columns as $column) {
            $claimed = $this->claimed($place, $column, $coil);
            if ($claimed !== null || $column === SheetColumn::InstalledHeight) {
                $margins[] = $this->judge->margin($column->value.'_from_claim', $place, $coil, new Departure(), ['found' => $this->read($place, $column, $coil), 'claimed' => $claimed]);
            }
        }

        return $margins;
    }

    /** @return list<Margin> */
    private function liftDeparture(string $place, ?Given $lift): array
    {
        $claimed = $this->claimed($place, SheetColumn::NetLift);
        $measured = $this->read($place, SheetColumn::NetLift) ?? ($this->read($place, SheetColumn::LobeLift) === null ? null : $lift);

        return $claimed === null ? [] : [$this->judge->margin('net_lift_from_claim', $place, null, new Departure(), ['found' => $measured, 'claimed' => $claimed])];
    }

    /** @param array<string, ?Given> $inputs */
    private function derive(string $place, string $name, Calculation $calculation, array $inputs): ?Given
    {
        $given = array_filter($inputs, static fn (?Given $value): bool => $value !== null);
        if (count($given) < count($inputs)) {
            return null;
        }
        try {
            $this->derived[$place][$name] = $trace = Trace::of($calculation, Values::of($given));
        } catch (\DomainException) {
            return null; // readings that contradict each other: the margin that needs the value names it as missing
        }

        return $trace->asGiven();
    }
}
