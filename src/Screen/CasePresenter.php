<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Assessment\NextActView;
use MuteTapper\App\Cause\Calls;
use MuteTapper\App\Engine\EngineView;
use MuteTapper\App\Engine\HeadPlanView;
use MuteTapper\App\Entry\EntryView;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Photograph\PhotographView;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\Photograph;
use MuteTapper\App\Record\Writing;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\Progress;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\CaseFile\Story;
use MuteTapper\Core\Engine\BuildPart;
use MuteTapper\Core\Engine\Cams;
use MuteTapper\Core\Engine\HeadPlan;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Knowledge\Sign;
use MuteTapper\Core\Timeline\Component;
use Psr\Clock\ClockInterface;

/** Puts a case into the shapes that the screens read. */
final readonly class CasePresenter
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Cases $cases,
        private Calls $calls,
        private KnowledgeFiles $knowledge,
        private Writing $writing,
        private ClockInterface $clock,
    ) {
    }

    /**
     * What is stored is shown before it is kept: a change that cannot be shown is not made.
     *
     * @param \Closure(): mixed $change
     */
    public function viewAfter(CaseRecord $record, \Closure $change): CaseView
    {
        return $this->writing->together(function () use ($record, $change): CaseView {
            $change();

            return $this->view($record);
        });
    }

    /** @param \Closure(): CaseRecord $make a new case */
    public function viewOf(\Closure $make): CaseView
    {
        return $this->writing->together(fn (): CaseView => $this->view($make()));
    }

    public function view(CaseRecord $record): CaseView
    {
        $heads = $this->cases->heads($record);
        $case = $this->cases->fileOf($record, $heads);
        $story = $this->cases->story($record);
        $engine = $case->engine;
        $progress = $this->progress($record, $case, $story);
        $entries = $case->log->entries; // withdrawals included: the next entry of their slot must name them

        return new CaseView(
            $record->id, $record->number, $record->name, $record->revision, $record->setAside,
            EngineView::of($engine), $record->engineVersion, HeadPlanView::of(HeadPlan::of($engine)),
            new StoryView($story->answers, $story->failed),
            new SettingsView($case->settings->units, $case->settings->school, (object) $case->settings->schools),
            $record->descriptionVersion,
            $this->calls->of($record), $record->callVersion, $this->calls->signed($record),
            array_map(
                static fn (Station $station): StationView => new StationView(
                    $station->code(), $station->label(), $station->kind->value, $station->cylinder->code(),
                    in_array($station->code(), $story->failed, true),
                ),
                $engine->stations,
            ),
            array_map(
                static fn (Part $part): PartView => new PartView(
                    $part->value, $part->label($engine), $part->letter(), $part->site()->value,
                ),
                $engine->parts(),
            ),
            array_map(static fn (Entry $entry): EntryView => EntryView::of($entry, $case->settings->units), $entries),
            array_map(UnreadEntryView::of(...), $heads->unread),
            $this->photographs($entries),
            $this->steps($progress),
            NextActView::of($progress->nextAct()),
            DaysLineView::of($case, $this->clock->now()),
            array_keys(array_filter($this->knowledge->current()->signs, static fn (Sign $sign): bool => $sign->isPossibleOn($engine))),
            array_map(
                static fn (BuildPart $part): BuildPartView => new BuildPartView($part->value, $part->label($engine), $part->isByKind()),
                BuildPart::of($engine),
            ),
            array_map(
                static fn (Component $component): NamedView => new NamedView($component->value, $component->label($engine)),
                Component::of($engine),
            ),
            array_map(
                static fn (string $code, string $label): NamedView => new NamedView($code, $label), array_keys(Cams::of($engine)),
                array_values(Cams::of($engine)),
            ),
        );
    }

    /** @return array{list<StepView>, NextActView, DaysLineView} how far a case is, without the rest of it */
    public function progressOf(CaseRecord $record, CaseFile $case): array
    {
        $progress = $this->progress($record, $case, $this->cases->story($record));

        return [$this->steps($progress), NextActView::of($progress->nextAct()), DaysLineView::of($case, $this->clock->now())];
    }

    private function progress(CaseRecord $record, CaseFile $case, Story $story): Progress
    {
        return Progress::of($case, AllSheets::get(), $story, $record->callDocument !== null, $this->cases->signedCall($record) !== null);
    }

    /**
     * @param list<Entry> $entries
     *
     * @return list<PhotographView>
     */
    private function photographs(array $entries): array
    {
        $hashes = [];
        foreach ($entries as $entry) {
            if ($entry->kind === EntryKind::Photograph) {
                $hashes[] = $entry->node()->get('sha256')->word();
            }
        }

        return array_map(
            PhotographView::of(...),
            array_values($this->entities->getRepository(Photograph::class)->findBy(['sha256' => array_unique($hashes)])),
        );
    }

    /** @return list<StepView> */
    private function steps(Progress $progress): array
    {
        $counted = [];
        foreach ($progress->steps() as $step) {
            $counted[$step->step->value] = $step;
        }

        return array_map(
            static fn (Step $step): StepView => new StepView(
                $step->value, $step->label(), ($counted[$step->value] ?? null)?->done, ($counted[$step->value] ?? null)->left ?? '',
                ($counted[$step->value] ?? null)->isOverdue ?? false,
            ),
            Step::cases(),
        );
    }
}
