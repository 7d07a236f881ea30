<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use MuteTapper\App\Cause\Rankings;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\StoredEntries;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Knowledge\RequirementKind;
use MuteTapper\Core\Teardown\Attention;
use MuteTapper\Core\Teardown\Custody;
use MuteTapper\Core\Teardown\Missing;
use MuteTapper\Core\Teardown\PieceCount;
use MuteTapper\Core\Teardown\StepInPlan;
use MuteTapper\Core\Teardown\TeardownPlan;

/** Puts the teardown of a case into the shapes that the screens and the report read. */
final readonly class TeardownPresenter
{
    private const WORTH_A_LOOK = 4;

    public function __construct(
        private Cases $cases,
        private StoredEntries $entries,
        private Rankings $rankings,
        private KnowledgeFiles $knowledge,
    ) {
    }

    public function view(CaseRecord $record): TeardownView
    {
        $case = $this->cases->file($record);
        $plan = $this->plan($record, $case);
        $engine = $case->engine;
        $shots = array_map(
            static fn (array $shot): ShotView => new ShotView(
                $shot['place'], $shot['part']->value, self::at($engine, $shot['place'], $shot['part']), $shot['before'],
            ),
            $plan->shotList(),
        );

        return new TeardownView(
            $record->revision,
            array_map(fn (StepInPlan $step): PlannedStepView => $this->step($step, $engine), $plan->steps),
            $plan->next()?->step->code, $shots, self::missingPieces($case),
        );
    }

    public function plan(CaseRecord $record, CaseFile $case): TeardownPlan
    {
        $suspicions = [];
        foreach ($this->rankings->of($record)->causes as $cause) {
            $suspicions[$cause->family] = max($suspicions[$cause->family] ?? 0.0, $cause->probability);
        }
        $knowledge = $this->knowledge->current();

        return TeardownPlan::of(
            $case, AllSheets::get(), $knowledge->steps, $knowledge->questions, $suspicions, $this->cases->story($record)->failed,
        );
    }

    /** @return list<PieceView> */
    public static function missingPieces(CaseFile $case): array
    {
        return array_map(
            static fn (array $one): PieceView => new PieceView(
                $one['place'], $one['part']->value,
                $one['pieces']->note !== '' ? $one['pieces']->note : self::at($case->engine, $one['place'], $one['part']),
                $one['pieces']->missing(), $one['pieces']->note,
            ),
            PieceCount::of($case)->missing(),
        );
    }

    /** @return list<AttentionView> */
    public function attention(CaseRecord $record, string $place): array
    {
        $case = $this->cases->file($record);
        $knowledge = $this->knowledge->current();
        $causes = [];
        foreach ($this->rankings->of($record)->causes as $cause) {
            $causes[$cause->code] = $cause->probability;
        }

        return array_map(
            static fn (Attention $one): AttentionView => new AttentionView(
                $one->sign, $knowledge->signs[$one->sign]->name, $one->part->value,
                sprintf('%s would leave it', $knowledge->network->causes[$one->cause]->label),
            ),
            Attention::at($case, $knowledge, $causes, $place, self::WORTH_A_LOOK),
        );
    }

    /** @return list<CustodyMoveView> every move of every part, newest first */
    public function custody(CaseRecord $record): array
    {
        $case = $this->cases->file($record);
        $moves = $last = [];
        foreach ($this->entries->ofKind($record, EntryKind::Custody, $case->engine) as $entry) {
            $part = Part::from($entry->slot->part);
            $custody = Custody::fromNode($entry->node());
            $moves[] = new CustodyMoveView(
                $entry->slot->place, $part->value, self::at($case->engine, $entry->slot->place, $part), $custody->where->value,
                $last[$entry->slot->key()] ?? '', $custody->where->label(), $custody->whom, $custody->seal, $custody->why,
                $custody->until?->format('Y-m-d'), $custody->isDestroyed, $custody->invited, $custody->note,
                $entry->by, $entry->at->format(\DATE_ATOM), $case->log->headOf($entry->slot)?->id === $entry->id,
            );
            $last[$entry->slot->key()] = $custody->words();
        }

        return array_reverse($moves);
    }

    private function step(StepInPlan $planned, Engine $engine): PlannedStepView
    {
        $step = $planned->step;
        $families = $this->knowledge->current()->families;
        $because = $planned->families === []
            ? null
            : 'Because '.lcfirst(
                implode(' and ', array_map(static fn (string $family): string => $families[$family], $planned->families)),
            ).' is possible';

        return new PlannedStepView(
            $step->code, $step->label, $step->minutes, $planned->state, $planned->reason, $step->destroys,
            array_map(fn (Missing $missing): RequirementView => $this->requirement($missing, $engine), $planned->recordFirst),
            count($planned->missing()), $planned->tooEarlyFor, $because, $step->caution,
        );
    }

    private function requirement(Missing $missing, Engine $engine): RequirementView
    {
        $requirement = $missing->requirement;
        $code = $requirement->code;
        $label = $requirement->label ?? match ($requirement->kind) {
            RequirementKind::Reading => (AllSheets::get()->columns[$code] ?? null)->label ?? $code,
            RequirementKind::Answer => lcfirst(($this->knowledge->current()->questions[$code] ?? null)->ask ?? $code),
            RequirementKind::Look => 'look at each '.(Part::tryFrom($code)?->label($engine) ?? $code),
            RequirementKind::Photograph => 'photograph of the '.(Part::tryFrom($code)?->label($engine) ?? $code).' as found',
            RequirementKind::Confirm => $code,
        };
        $there = $missing->wanted - count($missing->places);
        $known = match (true) {
            $missing->wanted === 0 => 'nothing asks for it yet',
            $missing->isRecorded() => 'recorded',
            $missing->wanted === 1 => 'missing',
            default => sprintf('%d of %d, missing at %s', $there, $missing->wanted, self::list($engine, $missing->places)),
        };

        return new RequirementView($requirement->kind, $code, $label, $missing->isRecorded(), $known, $missing->places[0] ?? null);
    }

    /** @param list<string> $places */
    private static function list(Engine $engine, array $places): string
    {
        $labels = array_map(
            static fn (string $place): string => str_replace('cylinder ', '', $engine->placeLabel($place) ?? $place),
            array_slice($places, 0, 4),
        );

        return implode(', ', $labels).(count($places) > 4 ? sprintf(' and %d more', count($places) - 4) : '');
    }

    public static function at(Engine $engine, string $place, Part $part): string
    {
        return $place === 'engine' ? $part->label($engine) : ($engine->placeLabel($place) ?? $place).' '.$part->label($engine);
    }
}
