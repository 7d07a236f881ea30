<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The floor plan as rules of the static analysis: one a room. */
final class Floors
{
    /** @return iterable<string, Rule> */
    #[TestRule]
    public function arrowsPointDown(): iterable
    {
        foreach (FloorPlan::FLOORS as $house => $floors) {
            foreach (array_merge(...$floors) as $room) {
                $outOfReach = FloorPlan::outOfReach($house, $room);
                if ($outOfReach !== []) {
                    yield $house.'\\'.$room => PHPat::rule()
                        ->classes(Selector::inNamespace($house.'\\'.$room))
                        ->shouldNotDependOn()
                        ->classes(
                            ...array_map(
                                static fn (string $other): SelectorInterface => Selector::inNamespace($house.'\\'.$other), $outOfReach,
                            ),
                        )
                        ->because('a room uses the floors below it only (tests/architecture/FloorPlan.php)');
                }
            }
        }
    }

    #[TestRule]
    public function theCoreStandsAlone(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace(FloorPlan::CORE))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace(FloorPlan::APP), Selector::inNamespace('Symfony'), Selector::inNamespace('Doctrine'))
            ->because('the rules of the trade know no framework and no database');
    }
}
