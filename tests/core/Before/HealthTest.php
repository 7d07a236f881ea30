<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Before;

use MuteTapper\Core\Before\Health;
use MuteTapper\Core\Before\HealthCheck;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Lash good, pulls good, compression good: ready to run. */
final class HealthTest extends TestCase
{
    public function testAnEngineIsReadyOnceAllThreeAreGood(): void
    {
        $health = Health::of(self::engine()->bench());
        self::assertSame([true, true, true], array_map(static fn (HealthCheck $one): ?bool => $one->isGood, $health->checks));
        self::assertTrue($health->isReady());
    }

    public function testWhatWasNotMeasuredLeavesItOpen(): void
    {
        $health = Health::of(self::engine(compression: null)->bench());
        self::assertNull($health->isReady());
        self::assertSame(0, $health->checks[2]->measured);
        self::assertNull(Health::of(Example::pushrodEight()->bench())->isReady());
    }

    public function testOneBadValveMakesItNotReady(): void
    {
        $health = Health::of(self::engine(pull: '60')->bench());
        self::assertFalse($health->isReady());
        self::assertSame('A1-E1', $health->checks[1]->bad[0]->place);
        self::assertTrue($health->checks[0]->isGood);
    }

    public function testAClockThatHasRunOutMakesItNotReady(): void
    {
        $within = self::engine()->measures('engine', 'spring_hours', '30')
            ->makers('engine', Part::Spring, 'spring_hours.most', 40, Unit::One)->bench();
        self::assertTrue(Health::of($within)->isReady());
        $over = self::engine()->measures('engine', 'spring_hours', '55')
            ->makers('engine', Part::Spring, 'spring_hours.most', 40, Unit::One)->bench();
        self::assertFalse(Health::of($over)->isReady());
        // Without the maker's hours nothing is decided, and nothing is held against the engine.
        self::assertTrue(Health::of(self::engine()->measures('engine', 'spring_hours', '55')->bench())->isReady());
    }

    /** Hours and runs are clocks of their own: either may run out first. Rollers have them only where there are rollers. */
    public function testRunsRunOutBesideHours(): void
    {
        foreach (['valve' => Part::Valve, 'lock' => Part::Locks] as $what => $part) {
            $example = self::engine()->measures('engine', $what.'_hours', '10')->measures('engine', $what.'_runs', '70')
                ->makers('engine', $part, $what.'_hours.most', 50, Unit::One)->makers('engine', $part, $what.'_runs.most', 60, Unit::One);
            self::assertFalse(Health::of($example->bench())->isReady(), $what);
        }
        $columns = Example::pushrodEight()->bench()->sheets->columns;
        foreach (['roller_hours', 'roller_runs'] as $code) {
            self::assertTrue($columns[$code]->isFittedTo(Example::hydraulicRollerEight()->engine()), $code);
            self::assertFalse($columns[$code]->isFittedTo(Example::bucketFour()->engine()), $code);
        }
    }

    public function testAnEngineIsAskedForWhatItCanHaveAlone(): void
    {
        $names = static fn (Example $example): array => array_map(
            static fn (HealthCheck $one): string => $one->name, Health::of($example->bench())->checks,
        );
        self::assertSame(['lash', 'seat-load pulls', 'compression and leak-down'], $names(Example::pushrodEight()));
        self::assertSame(['seat-load pulls', 'compression and leak-down'], $names(Example::hydraulicRollerEight()));
        self::assertSame(['lash', 'compression and leak-down'], $names(Example::bucketFour()));
    }

    private static function engine(string $pull = '118', ?string $compression = '175'): Example
    {
        $example = Example::pushrodEight()->claims('engine', 'lash', '0.016');
        foreach ($example->engine()->stations as $i => $station) {
            $example = $example->tests($station->code(), 'lash', '0.016');
            foreach (['1', '2', '3', '4'] as $number) {
                $example = $example->tests($station->code(), 'pull', $i === 0 ? $pull : '118', $number);
            }
        }
        foreach ($example->engine()->cylinders as $cylinder) {
            $example = $compression === null ? $example : $example->tests($cylinder->code(), 'compression', $compression);
        }

        return $example;
    }
}
