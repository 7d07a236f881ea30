<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\Chain\ChainView;
use MuteTapper\App\Engine\HeadPlanView;
use MuteTapper\App\Motion\LoggedBinView;
use MuteTapper\App\Motion\MotionView;
use MuteTapper\App\Motion\PistonView;
use MuteTapper\App\Photograph\MeasureView;
use MuteTapper\App\Sheet\MarginView;

/** A drawing of the screen, wanted on paper: its kind and the plain numbers that its component takes (`web/src/print`). */
final readonly class Drawing implements \JsonSerializable
{
    /** @param array<string, mixed> $numbers */
    private function __construct(private string $kind, private array $numbers)
    {
    }

    /**
     * @param array<string, int> $worst severity by station; absent means not looked
     * @param list<string> $failed
     */
    public static function plan(HeadPlanView $plan, array $worst, array $failed): self
    {
        return new self('plan', ['plan' => $plan, 'worst' => (object) $worst, 'failed' => $failed, 'label' => 'Head plan']);
    }

    public static function rule(MarginView $margin): self
    {
        return new self('rule', ['margin' => $margin, 'width' => 150, 'height' => 30]);
    }

    public static function chain(ChainView $chain): self
    {
        return new self('chain', ['chain' => $chain]);
    }

    /** @param list<LoggedBinView> $logged */
    public static function speeds(MotionView $motion, array $logged): self
    {
        return new self('speeds', ['motion' => $motion, 'logged' => $logged]);
    }

    /** @param string $label of the valve that is drawn with the other of its cylinder */
    public static function piston(PistonView $piston, string $label): self
    {
        return new self('piston', ['piston' => $piston, 'label' => $label]);
    }

    /** How much a line of evidence weighs. */
    public static function weight(float $decibans): self
    {
        return new self('weight', ['decibans' => $decibans, 'width' => 100, 'height' => 24]);
    }

    /**
     * What was drawn on a picture, in its pixels.
     *
     * @param list<MeasureView> $drawn
     */
    public static function picture(int $width, int $height, array $drawn): self
    {
        return new self('picture', ['width' => $width, 'height' => $height, 'drawn' => $drawn]);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['kind' => $this->kind] + $this->numbers;
    }
}
