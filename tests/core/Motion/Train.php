<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Motion;

use MuteTapper\Tests\Core\Example;

/** A made-up bucket four with all that is needed to tell the loads of one of its valves. */
final class Train
{
    public const MASSES = [
        'valve_mass' => '44.6', 'retainer_mass' => '10.8', 'lock_mass' => '2.1', 'spring_mass' => '58.0', 'follower_mass' => '55.2',
    ];
    private const LOBE = [
        'lobe_lift' => '0.4202', 'lift_before_nose' => '0.4079', 'lift_past_nose' => '0.4078', 'base_circle' => '1.400',
        'track_width' => '0.552',
    ];

    public static function bucketFour(string $face = 'flat'): Example
    {
        return new Example(
            ['layout' => 'inline', 'drive' => 'bucket', 'face' => $face, 'lash' => 'solid', 'cylinders' => 4, 'intended_speed' => 9200.0],
        );
    }

    /**
     * All readings of a valve, with its loads on the seat and at full lift.
     *
     * @param array<string, string> $lobe where its lobe is another
     */
    public static function fill(
        Example $example,
        string $place,
        string $seat = '80',
        string $open = '160',
        array $lobe = [],
    ): Example {
        $example->measures($place, 'load_seat', $seat, '1.440')->measures($place, 'load_open', $open, '1.030')
            ->tests($place, 'installed_height', '1.440')->tests($place, 'net_lift', '0.410')
            ->tests($place, 'contact_outside', '1.500')->tests($place, 'stem_diameter', '0.3100', 'middle.along');
        foreach ($lobe + self::LOBE + self::MASSES as $column => $text) {
            $example->tests($place, $column, $text);
        }

        return $example;
    }
}
