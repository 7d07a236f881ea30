<?php

declare(strict_types=1);

namespace MuteTapper\App\Reassembly;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\QuantityView;
use MuteTapper\App\Sheet\MarginView;
use MuteTapper\App\Tried\TriedBench;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Engine\Cams;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Head\ShimPack;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Reassembly\AsBuilt;
use MuteTapper\Core\Reassembly\Joint;
use MuteTapper\Core\Reassembly\MadeLines;
use MuteTapper\Core\Reassembly\Plan;
use MuteTapper\Core\Reassembly\PlanLine;
use MuteTapper\Core\Reassembly\PlanPlace;
use MuteTapper\Core\Remedy\Remedies;
use MuteTapper\Core\Remedy\Remedy;
use MuteTapper\Core\Remedy\ReuseAdvice;
use MuteTapper\Core\Remedy\Trial;
use MuteTapper\Core\Sheet\Change;

/** Puts the plan of a case into the shape that wall, phone and report read. */
final readonly class PlanPresenter
{
    /** What is read where shims stand: its own shims would mend it. */
    private const HEIGHT = 'installed_height';

    public function __construct(private Assessments $assessments, private TriedBench $tried)
    {
    }

    public function of(CaseRecord $case): PlanView
    {
        $assessment = $this->assessments->of($case);
        $found = $this->tried->beside($assessment);
        $remedies = Remedies::of($assessment->case);
        try {
            $change = $remedies->change($found->sheets);
        } catch (BadDocument) {
            $change = Change::none(); // the board of remedies says what cannot be laid on this engine
        }
        $plan = new Plan($found, $assessment->knowledge, $change, MadeLines::of(
            $remedies, ReuseAdvice::of($assessment->bench, $assessment->knowledge), new Trial($found, $found->with($change)),
        ));
        [$done, $total] = $plan->count();

        return new PlanView(
            array_map(static fn (Remedy $one): string => $one->name, $remedies->taken()),
            array_map(fn (PlanLine $line): PlanLineView => $this->line($line, $plan), $plan->lines()),
            array_map(static fn (Joint $joint): JointView => JointView::of($joint, $plan->tightening($joint)), $plan->joints()),
            $done, $total,
        );
    }

    private function line(PlanLine $line, Plan $plan): PlanLineView
    {
        $column = $line->line->reads === null ? null : $plan->built->sheets->columns[$line->line->reads];
        $units = $plan->built->case->settings->units;

        return new PlanLineView(
            $line->number, $line->code, $line->line->stage, $line->label(), $line->line->note, $line->line->caution, $line->line->risk,
            $column?->code, $column?->part->value, $column?->gauge,
            $column === null ? '' : $units->shownIn($column->dimension(), $column->fineness)->symbol(), $line->line->choices,
            $line->wanting,
            array_map(fn (PlanPlace $place): PlanPlaceView => $this->place($place, $line, $plan), $line->places),
        );
    }

    private function place(PlanPlace $place, PlanLine $line, Plan $plan): PlanPlaceView
    {
        $engine = $plan->built->case->engine;
        $show = fn (?Given $given): ?string => $given === null ? null : $this->shown($line->line->reads ?? '', $given, $plan);
        $slot = (new Slot($place->place, 'x', 'x', $place->index))->asBuilt(AsBuilt::REBUILD);
        $label = $place->index === null ? null : Cams::of($engine)[$place->index] ?? $place->index;

        return new PlanPlaceView(
            $place->place, $place->code, $label ?? $engine->placeLabel($place->place) ?? $place->place,
            $engine->siteOf($place->place, Site::Cylinder) ?? '',
            $slot->index ?? '', $place->record?->state, $place->record->note ?? '', $place->record->choice ?? '', $place->by,
            $place->at?->format(\DATE_ATOM), $show($place->planned), $show($place->built),
            $place->margin === null ? null : MarginView::of($place->margin, $plan->built), $place->isOut(),
            $this->follows($place, $line, $plan), $this->mend($place, $line, $plan), $place->unmet,
        );
    }

    /** What depends on what was read, and is not as planned. */
    private function follows(PlanPlace $place, PlanLine $line, Plan $plan): string
    {
        if (!$place->isOut() || $place->built === null) {
            return '';
        }
        $told = [];
        foreach ($line->line->follows as $name) {
            $built = $plan->built->value($place->place, $name);
            $planned = $plan->planned->value($place->place, $name);
            if ($built instanceof Given && $planned instanceof Given && $built->value->base !== $planned->value->base) {
                $told[] = sprintf(
                    'the %s is %s, not %s', $plan->built->sheets->value($name)->title, $this->shown($name, $built, $plan),
                    $this->shown($name, $planned, $plan),
                );
            }
        }

        return $told === [] ? '' : sprintf('At %s %s.', $this->shown($line->line->reads ?? '', $place->built, $plan), implode(', ', $told));
    }

    /** Shims of the stock that would bring a height down to what is planned; where it is too low, what to take out. */
    private function mend(PlanPlace $place, PlanLine $line, Plan $plan): string
    {
        if ($line->line->reads !== self::HEIGHT || !$place->isOut() || $place->built === null || $place->planned === null) {
            return '';
        }
        $units = $plan->built->case->settings->units;
        $show = static fn (float $base): string => $units->show(Quantity::difference($base, Dimension::Length));
        $over = $place->built->value->base - $place->planned->value->base;
        if ($over < 0.0) {
            return sprintf('Shims of %s less would bring it.', $show(-$over));
        }
        $pack = ShimPack::reaching($over, $plan->built->springShims);

        return $pack === null || $pack->shims === [] ? '' : sprintf(
            '%s of %s would bring %s.', count($pack->shims) === 1 ? 'A shim' : 'Shims', implode(' and ', array_map($show, $pack->shims)),
            $units->show(Quantity::base($place->built->value->base - $pack->thickness(), Dimension::Length)),
        );
    }

    private function shown(string $name, Given $given, Plan $plan): string
    {
        return QuantityView::uncertain(
            $given->value, $plan->built->case->settings->units, $plan->built->sheets->value($name)->fineness,
        )->figure;
    }
}
