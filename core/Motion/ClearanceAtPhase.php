<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Calculation\Input;
use MuteTapper\Core\Calculation\LongCalculation;
use MuteTapper\Core\Calculation\Solution;
use MuteTapper\Core\Calculation\Solved;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Quantity\Dimension;

/**
 * How near a valve comes to its piston with the cam as it was found. Where nothing was laid between them its level is as good as what
 * is known of drop and lash; the ± says so. A measured clearance goes before it. [own]: slider and crank are any text’s.
 */
final readonly class ClearanceAtPhase implements LongCalculation
{
    use Solved;

    private const INPUTS = [
        'stroke' => ['stroke', Dimension::Length], 'rod_length' => ['length of the rod', Dimension::Length],
        'pin_offset' => ['offset of the piston pin', Dimension::Length],
        'free_drop' => ['drop from the seat to the piston at top dead centre', Dimension::Length],
        'lean' => ['lean of the valve from the cylinder axis', Dimension::CrankAngle], 'ratio' => ['rocker ratio', Dimension::Ratio],
        'lash' => ['lash, at the valve', Dimension::Length],
        'centre' => ['centre of the lobe, after top dead centre of an intake, before it of an exhaust', Dimension::CrankAngle],
        'early' => ['crank degrees that the cam was found early; late below nothing', Dimension::CrankAngle],
    ];

    /** @param list<Input> $inputs */
    private function __construct(
        private string $name,
        private string $title,
        private Dimension $dimension,
        private string $formula,
        private Source $source,
        private bool $isByTable,
        private ValveKind $kind,
        private array $inputs,
    ) {
    }

    public static function of(ValveKind $kind, bool $isByTable): self
    {
        return new self(
            sprintf('clearance-at-phase-%s%s', $kind->word(), $isByTable ? '-by-table' : ''),
            sprintf('Piston to %s valve at the phase as found%s', $kind->word(), $isByTable ? ', by the measured lift' : ''),
            Dimension::Length, 'least of (piston below TDC + free drop) × cos(lean) − lift, over the crank angles about overlap',
            Source::own('slider and crank are any text’s; between card and lobe the flank is a guess'), $isByTable, $kind,
            [...TrainInputs::ofLobe($isByTable), ...TrainInputs::scalars(self::INPUTS)],
        );
    }

    public function inputs(): array
    {
        return $this->inputs === [] ? throw new \LogicException('A clearance of nothing.') : $this->inputs;
    }

    public function solve(array $figures): Solution
    {
        $single = array_map(static fn (array $list): float => $list[0] ?? 0.0, $figures);
        $measured = $this->isByTable ? LiftTable::curve($figures['degrees'], $figures['lifts']) : null;
        $value = $this->least($measured, $single);
        $slopes = [];
        foreach ($this->inputs as $input) {
            if (!$input->isList) {
                $slopes[$input->name] = Slope::of(fn (float $by): float => $this->least(
                    $measured, array_replace($single, [$input->name => $single[$input->name] + $by]),
                ), self::step($input), $value);
            }
        }

        return Solution::of($value, $slopes, $measured !== null ? [] : ['what a card leaves open of its lobe' => FlankShape::open(
            fn (FlankShape $shape): float => $this->least(null, $single, $shape), $value,
        )]);
    }

    /** How far a figure is moved to see what hangs on it. Base units; the rate of a ramp is far less than a length of the engine. */
    private static function step(Input $input): float
    {
        return match ($input->dimension) {
            Dimension::CrankAngle => 0.5,
            Dimension::Ratio => 0.01,
            default => $input->name === 'ramp_rate' ? 5e-7 : 5e-5,
        };
    }

    /**
     * @param array<string, float> $figures
     *
     * @throws Contradiction
     */
    private function least(?LobeCurve $measured, array $figures, ?FlankShape $shape = null): float
    {
        $centre = $this->kind === ValveKind::Intake ? $figures['centre'] : -$figures['centre'];
        $lobe = $measured ?? TrainInputs::lobe($figures, $shape);

        return PistonRoom::of(
            ValveLift::of($lobe, $figures['ratio'], $figures['lash'], $centre),
            CrankSlider::of($figures['stroke'], $figures['rod_length'], $figures['pin_offset']), $figures['free_drop'], $figures['lean'],
        )->nearest($figures['early'])[1];
    }
}
