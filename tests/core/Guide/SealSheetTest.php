<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Guide;

use MuteTapper\Core\Verdict\Verdict;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Guides in the head and the seals on them. */
final class SealSheetTest extends TestCase
{
    public function testInterferenceOfAGuide(): void
    {
        $bench = Example::bucketFour()->tests('A1-E1', 'guide_outside', '0.5025')->tests('A1-E1', 'guide_hole', '0.5008')
            ->tests('A1-I1', 'guide_outside', '0.5025')->tests('A1-I1', 'guide_hole', '0.5022')->bench();
        self::assertSame(Verdict::Inside, $bench->margin('A1-E1', 'guide_interference')?->verdict);
        self::assertSame(Verdict::Outside, $bench->margin('A1-I1', 'guide_interference')?->verdict, 'It is loose.');
    }

    /** 1.900 − 0.990 − 0.285 − 0.570 leaves 0.055; the seal above the guide has less, and is judged by itself. */
    public function testRetainerToGuideIsJudgedApartFromTheSeal(): void
    {
        $bench = Example::pushrodEight()->tests('A1-E1', 'installed_height', '1.900')->tests('A1-E1', 'guide_height', '0.990')
            ->tests('A1-E1', 'seal_height', '1.040')->tests('A1-E1', 'retainer_depth', '0.285')->tests('A1-E1', 'net_lift', '0.570')
            ->bench();
        $guide = $bench->margin('A1-E1', 'retainer_to_guide');
        self::assertEqualsWithDelta(0.055, ($guide?->value()->base ?? 0) / 0.0254, 1e-9);
        self::assertSame(Verdict::InsideClose, $guide?->verdict);
        self::assertSame(Verdict::Outside, $bench->margin('A1-E1', 'retainer_to_seal')?->verdict);
    }

    public function testTheInnermostSpringIsTheOneThatTheSealMeets(): void
    {
        $example = Example::pushrodEight()->tests('A1-E1', 'seal_outside', '0.660')->measures('A1-E1', 'inside_diameter', '1.120');
        self::assertSame(Verdict::Inside, $example->bench()->margin('A1-E1', 'seal_in_spring')?->verdict);
        $dual = $example->measures('A1-E1', 'inside_diameter', '0.675', coil: 'inner');
        self::assertSame(Verdict::Outside, $dual->bench()->margin('A1-E1', 'seal_in_spring')?->verdict);
    }
}
