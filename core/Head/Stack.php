<?php

declare(strict_types=1);

namespace MuteTapper\Core\Head;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Verdict\Margin;

/** What stands on one valve, from the floor of the pocket to the retainer: its sizes, what remains of it, and what may be tried. */
final readonly class Stack
{
    /** Sizes by which a stack is drawn: name of the value, and index where it has one. */
    private const SIZES = [
        ['installed_height', null], ['net_lift', null], ['shims', null], ['shim_stack', null], ['locator_thickness', null],
        ['locator_outside', null], ['locator_inside', null], ['locator_flange', null], ['pocket_depth', null], ['pocket_diameter', null],
        ['inner_step', null], ['retainer_depth', null], ['register_diameter', null], ['seal_height', null], ['seal_outside', null],
        ['seal_depth', null], ['guide_height', null], ['guide_outside', null], ['stem_diameter', 'middle.along'], ['lock_height', null],
        ['lock_angle', null], ['outside_diameter', Coil::Outer->value], ['inside_diameter', Coil::Outer->value],
        ['wire_diameter', Coil::Outer->value], ['bind_height', Coil::Outer->value], ['outside_diameter', Coil::Inner->value],
        ['inside_diameter', Coil::Inner->value], ['wire_diameter', Coil::Inner->value], ['bind_height', Coil::Inner->value],
    ];
    /** Judged values of a stack, in the order in which they are met. */
    private const GAPS = [
        'retainer_to_seal', 'retainer_to_guide', 'travel_to_bind', 'seal_in_spring', 'locator_in_spring', 'spring_in_pocket',
        'spring_in_pocket_pressed',
    ];
    /** What the springs press with, and what may be asked of it. */
    private const LOADS = ['valve_seat_load', 'valve_open_load'];
    /** What is tried, in the order of use; of two that are the same thing only the first that is known. */
    private const TRIED = [
        ['guide_cut'], ['shim_stack', 'shims'], ['locator_thickness'], ['longer_valve'], ['lock_offset'], ['net_lift'], ['ratio'],
    ];

    public function __construct(public string $place, private Bench $bench)
    {
    }

    /** @return array<string, Given> by name, with its index behind a point */
    public function sizes(): array
    {
        $sizes = [];
        foreach (self::SIZES as [$name, $index]) {
            $given = $this->isThere($index) ? $this->bench->value($this->place, $name, $index) : null;
            if ($given instanceof Given) {
                $sizes[$index === null ? $name : $name.'.'.$index] = $given;
            }
        }

        return $sizes;
    }

    /** @return list<Margin> what remains, as far as anything is known of it */
    public function gaps(): array
    {
        $gaps = [];
        foreach (self::GAPS as $name) {
            foreach ($this->bench->marginsOf($name) as $margin) {
                if ($margin->place === $this->place) {
                    $gaps[] = $margin;
                }
            }
        }

        return $gaps;
    }

    /** @return array<string, Given> by name */
    public function loads(): array
    {
        $loads = [];
        foreach (self::LOADS as $name) {
            $given = $this->bench->value($this->place, $name);
            if ($given instanceof Given) {
                $loads[$name] = $given;
            }
        }

        return $loads;
    }

    /** @return list<array{Value, Given}> what may be tried here, and what was found of it */
    public function tried(): array
    {
        $tried = [];
        foreach (self::TRIED as $names) {
            foreach ($names as $name) {
                $value = $this->bench->sheets->value($name);
                $isFitted = $value->column?->isFittedTo($this->bench->case->engine) ?? true;
                $found = $isFitted && $this->moves($name) ? $this->bench->value($this->place, $name) : null;
                if ($found instanceof Given) {
                    $tried[] = [$value, $found];
                    break;
                }
            }
        }

        return $tried;
    }

    /** @return list<string> what is to be measured before the lift that this stack takes is known */
    public function missing(): array
    {
        $missing = [];
        foreach (HighestLift::ENDED_BY as $name) {
            foreach ($this->bench->marginsOf($name) as $margin) {
                $missing = [...$missing, ...($margin->place === $this->place ? $margin->missing : [])];
            }
        }
        $lift = $this->bench->value($this->place, 'net_lift');

        return array_values(array_unique([...($lift instanceof Missing ? $lift->what : []), ...$missing]));
    }

    /** A ratio moves nothing where the lift of the lobe is not known. */
    private function moves(string $name): bool
    {
        return $name !== 'ratio' || $this->bench->value($this->place, 'lobe_lift') instanceof Given;
    }

    /** Whether the coil of an index stands here: of an inner spring nothing is asked where there is none. */
    private function isThere(?string $index): bool
    {
        return $index !== Coil::Inner->value || $this->bench->isDual($this->place);
    }
}
