<?php

declare(strict_types=1);

namespace MuteTapper\Core\Head;

/** What must fit into what in a head, by the names of what is judged, whichever trade judges it. */
final class Fit
{
    public const QUANTITIES = [
        'spring_in_pocket', 'spring_in_pocket_pressed', 'locator_in_pocket', 'locator_in_spring', 'locator_over_guide', 'seal_in_spring',
        'guide_in_spring', 'spring_on_register', 'travel_to_bind', 'retainer_to_seal', 'retainer_to_guide', 'lock_in_retainer',
        'lock_in_groove', 'lock_over_taper', 'guide_interference', 'stem_clearance', 'piston_to_valve', 'radial_room', 'rim_of_insert',
    ];
}
