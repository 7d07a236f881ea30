<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** @phpstan-import-type Archetype from Archetypes */
final class ArchetypesTest extends TestCase
{
    /** @return iterable<string, array{Archetype}> */
    public static function archetypes(): iterable
    {
        foreach (Archetypes::all() as $name => $archetype) {
            yield $name => [$archetype];
        }
    }

    /** @param Archetype $archetype */
    #[DataProvider('archetypes')]
    public function testItIsJudgedAsAPractitionerWould(array $archetype): void
    {
        $archetype['is']->check(Assessment::of($archetype['case']->case(), Example::knowledge())->ranking());
    }

    /** @param Archetype $archetype */
    #[DataProvider('archetypes')]
    public function testOneFactTurnedChangesTheAnswer(array $archetype): void
    {
        self::assertNotSame($archetype['is'], $archetype['becomes']);
        $archetype['becomes']->check(Assessment::of($archetype['twin']->case(), Example::knowledge())->ranking());
    }

    public function testEveryFamilyHasSome(): void
    {
        $families = array_unique(array_column(Archetypes::all(), 'family'));
        self::assertSame([], array_diff(array_keys(Example::knowledge()->families), $families));
        self::assertGreaterThanOrEqual(60, count(Archetypes::all()));
    }
}
