<?php

declare(strict_types=1);

namespace MuteTapper\Core\Head;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Formula;
use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\OfSet;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Quantity\Dimension;

/** Clearances of the head that are sums of heights and diameters. */
final class HeadCalculations
{
    /** What is left between the retainer's underside and the top of seal or guide at full lift. */
    public static function retainerToSeal(): LinearForm
    {
        return LinearForm::of(
            'retainer-to-seal', 'Retainer to seal', Dimension::Length, 'installed height − seal height − retainer depth − net lift',
            Source::practice(),
        )
            ->plus('installed_height', 'installed height, above all shims and locator')
            ->minus('seal_height', 'top of seal or guide above the spring seat')
            ->minus('retainer_depth', 'from the spring’s face down to the retainer’s lowest underside')
            ->minus('net_lift', 'net valve lift');
    }

    /** The lift of a lobe that was measured degree by degree. */
    public static function liftOfTable(): OfSet
    {
        return OfSet::greatest(
            'lobe-lift-by-table', 'Lift at the lobe, by the measured lift', 'lifts', 'measured lifts at the lobe', Dimension::Length,
            Source::own('the nose is flat: the greatest lift stands for it'),
        );
    }

    /** A height taken from the bare head, as seen from the face that the spring stands on. */
    public static function heightAboveSpringSeat(): LinearForm
    {
        return LinearForm::of(
            'height-above-spring-seat', 'Height above the spring seat', Dimension::Length, 'height above the head − shims and locator',
            Source::practice(),
        )
            ->plus('height_from_head', 'height above the bare head')
            ->minus('shims', 'all spring shims and locator under the spring');
    }

    /** Everything that lies between head and spring. */
    public static function underSpring(): LinearForm
    {
        return LinearForm::of(
            'shims-and-locator', 'Shims and locator', Dimension::Length, 'shims + locator', Source::practice(),
        )->plus('shim_stack', 'spring shims, all together')->plus('locator_thickness', 'locator under the spring');
    }

    /** Room of a spring in its pocket, diametral. */
    public static function springInPocket(): LinearForm
    {
        return LinearForm::of(
            'spring-in-pocket', 'Spring in pocket', Dimension::Length, 'pocket diameter − outside diameter of the spring',
            Source::practice('it must drop in without pressing'),
        )
            ->plus('pocket_diameter', 'diameter of the pocket')
            ->minus('outside_diameter', 'outside diameter of the outer spring');
    }

    /** Room of a spring that enters its pocket, when it is pressed together and wider by its growth. */
    public static function pressedInPocket(): Formula
    {
        return Formula::of(
            'spring-in-pocket-pressed', 'Spring in pocket, pressed together', Dimension::Length, 'spring in pocket − growth',
            Source::practice('where the spring’s face stands above the rim only the locator must fit the pocket'),
            static fn (float $room, float $growth, float $above): float => $above < 0.0 ? $room - $growth : throw Contradiction::because(
                'The spring stands above the rim of its pocket: only the locator must fit it.',
            ),
        )
            ->input('room', 'room of the spring in its pocket, diametral', Dimension::Length)
            ->input('growth', 'growth of its diameter, pressed together', Dimension::Length)
            ->input('above_rim', 'the spring’s face above the rim of the pocket', Dimension::Length);
    }

    /** What is to be laid under a spring so that it stands at a height; below nothing, to be taken out. */
    public static function shimsNeeded(): LinearForm
    {
        return LinearForm::of(
            'shims-needed', 'Shims to add', Dimension::Length, 'installed height − wanted height', Source::practice(),
        )
            ->plus('installed_height', 'installed height as it is')->minus('wanted_height', 'installed height that is wanted');
    }

    /** What stands between head and retainer when everything that was changed is counted. */
    public static function heightFromParts(): LinearForm
    {
        return LinearForm::of(
            'height-from-parts', 'Installed height by its sources', Dimension::Length,
            'bare height + longer valve + locks + retainer − shims and locator', Source::practice(),
        )
            ->plus('bare_height', 'height with standard parts and nothing under the spring')
            ->plus('longer_valve', 'valve longer than standard, to its groove')
            ->plus('lock_offset', 'what the locks raise the retainer by')
            ->plus('retainer_offset', 'what the retainer raises the spring’s face by')
            ->minus('shims', 'shims and locator under the spring');
    }

    /** What was measured beyond what the parts explain: a part is not what it is taken for, or a seat has sunk. */
    public static function heightUnexplained(): LinearForm
    {
        return LinearForm::of(
            'height-unexplained', 'Installed height unexplained', Dimension::Length, 'installed height − height by its sources',
            Source::own('a sunk seat raises the height; a part that nobody wrote down does either'),
        )
            ->plus('installed_height', 'installed height as measured')->minus('height_from_parts', 'installed height by its sources');
    }

    /** Lift that is left of what a spring allows, over what is laid under it. */
    public static function usableLift(): LinearForm
    {
        return LinearForm::of('usable-lift', 'Usable lift', Dimension::Length, 'rated lift − thickness', Source::practice())
            ->plus('rated_lift', 'lift that the spring allows without it')
            ->minus('thickness', 'thickness of locator and shims');
    }
}
