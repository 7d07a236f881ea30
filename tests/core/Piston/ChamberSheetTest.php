<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Piston;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Sheet\Missing;
use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Chambers and the ratio that follows. */
final class ChamberSheetTest extends TestCase
{
    /** 4.000 × 3.480 in sweep 716.6 cm³; 64 + 5 + 10.3 cm³ are left: 10.04, worked out by hand. */
    public function testCompressionRatio(): void
    {
        $ratio = static fn (string $dish): Given|Missing => Example::pushrodEight()
            ->claims('engine', 'bore', '4.000')->claims('engine', 'stroke', '3.480')
            ->claims('engine', 'deck_clearance', '0.010')->claims('engine', 'gasket_thickness', '0.040')
            ->tests('A1', 'chamber_volume', '64')->tests('A1', 'piston_volume', $dish)->bench()->value('A1', 'compression_ratio');
        $dished = $ratio('5');
        self::assertInstanceOf(Given::class, $dished);
        self::assertEqualsWithDelta(10.04, $dished->value->base, 0.005);
        self::assertInstanceOf(Missing::class, $ratio('-75'), 'A dome that fills the chamber is a contradiction.');
    }

    public function testAChamberThatDiffersFromTheOthers(): void
    {
        $example = Example::pushrodEight();
        foreach (['A1' => '60.5', 'A2' => '64.0', 'A3' => '64.2', 'A4' => '63.9', 'B1' => '64.0'] as $cylinder => $volume) {
            $example->tests($cylinder, 'chamber_volume', $volume);
        }
        self::assertSame(Verdict::Outside, $example->bench()->margin('A1', 'chamber_volume_from_middle')?->verdict);
        self::assertSame(Verdict::Inside, $example->bench()->margin('A2', 'chamber_volume_from_middle')?->verdict);
    }
}
