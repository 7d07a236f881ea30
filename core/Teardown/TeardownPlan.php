<?php

declare(strict_types=1);

namespace MuteTapper\Core\Teardown;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\SeenState;
use MuteTapper\Core\Knowledge\PlannedStep;
use MuteTapper\Core\Knowledge\Question;
use MuteTapper\Core\Knowledge\Requirement;
use MuteTapper\Core\Knowledge\RequirementKind;
use MuteTapper\Core\Sheet\Sheets;

/** The teardown of one engine in order: made from what it is, what is suspected, and the order a person gave it. */
final readonly class TeardownPlan
{
    /** A family is suspected from this probability on. [own] */
    private const SUSPECTED_FROM = 0.1;

    /** @param list<StepInPlan> $steps */
    private function __construct(public array $steps)
    {
    }

    /**
     * @param array<string, PlannedStep> $steps in their usual order
     * @param array<string, Question> $questions
     * @param array<string, float> $suspicions probability by family of causes
     * @param list<string> $failed stations reported failed: their parts must be photographed whatever was found
     */
    public static function of(CaseFile $case, Sheets $sheets, array $steps, array $questions, array $suspicions, array $failed): self
    {
        $chosen = [];
        foreach ($steps as $code => $step) {
            $wantedFor = array_values(
                array_filter($step->families, static fn (string $family): bool => ($suspicions[$family] ?? 0.0) >= self::SUSPECTED_FROM),
            );
            if ($step->belongsTo($case->engine) && ($step->families === [] || $wantedFor !== [])) {
                $chosen[$code] = [$step, $wantedFor];
            }
        }
        $ordered = self::order($case)->apply(array_map(static fn (array $one): PlannedStep => $one[0], $chosen));
        $records = array_map(static fn (PlannedStep $step): ?StepRecord => self::record($case, $step->code), $ordered);
        $planned = $before = [];
        foreach ($ordered as $code => $step) {
            $before[$code] = true;
            $state = $records[$code]->state ?? StepState::Open;
            $tooEarly = array_filter(
                $step->after,
                static fn (string $other): bool => isset(
                    $ordered[$other],
                ) && !isset($before[$other]) && ($records[$other]->state ?? StepState::Open) === StepState::Open,
            );
            $planned[] = new StepInPlan(
                $step, $state, $records[$code]->reason ?? '',
                array_map(
                    static fn (Requirement $requirement): Missing => self::missing($requirement, $case, $sheets, $questions, $failed),
                    $step->recordFirst,
                ),
                array_map(static fn (string $other): string => $ordered[$other]->label, array_values($tooEarly)),
                $chosen[$code][1],
            );
        }

        return new self($planned);
    }

    public function next(): ?StepInPlan
    {
        foreach ($this->steps as $step) {
            if ($step->state === StepState::Open) {
                return $step;
            }
        }

        return null;
    }

    private static function order(CaseFile $case): StepOrder
    {
        $entry = $case->log->headOf(StepOrder::slot());

        return $entry === null ? StepOrder::fromNode(Node::root(['codes' => []])) : StepOrder::fromNode($entry->node());
    }

    private static function record(CaseFile $case, string $code): ?StepRecord
    {
        $entry = $case->log->headOf(StepRecord::slot($code));

        return $entry === null ? null : StepRecord::fromNode($entry->node());
    }

    /**
     * @param array<string, Question> $questions
     * @param list<string> $failed
     *
     * @throws BadDocument when the knowledge names something that does not exist
     */
    private static function missing(Requirement $requirement, CaseFile $case, Sheets $sheets, array $questions, array $failed): Missing
    {
        $code = $requirement->code;
        $engine = $case->engine;
        [$sites, $has] = match ($requirement->kind) {
            RequirementKind::Reading => self::readings($case, $sheets, $code),
            RequirementKind::Answer => self::answers(
                $case,
                $questions[$code] ?? throw BadDocument::at('/record_first', 'there is no question '.$code.'.'),
            ),
            RequirementKind::Look => [
                $engine->sites(self::part($code)->site()), self::places($case, [EntryKind::Look, EntryKind::Finding], $code),
            ],
            RequirementKind::Photograph => [
                self::toBePhotographed($case, self::part($code), $failed), self::places($case, [EntryKind::Photograph], $code),
            ],
            RequirementKind::Confirm => [
                [Place::ENGINE],
                $case->log->headOf(StepRecord::confirmation($code)) === null ? [] : [Place::ENGINE => true],
            ],
        };

        return new Missing(
            $requirement,
            array_values(array_filter($sites, static fn (string $site): bool => !isset($has[$site]))), count($sites),
        );
    }

    /** @return array{list<string>, array<string, true>} sites that have the reading, and those at which one stands */
    private static function readings(CaseFile $case, Sheets $sheets, string $code): array
    {
        $column = $sheets->columns[$code] ?? throw BadDocument::at('/record_first', 'there is no reading '.$code.'.');
        $has = [];
        foreach ($case->log->standing(EntryKind::Reading) as $entry) {
            if ($entry->slot->item === $code) {
                $has[$entry->slot->place] = true;
            }
        }
        // One reading will do for what belongs to the engine or a bank.
        $sites = $case->engine->sites($column->site);

        return [$sites, count($sites) === 1 && $has !== [] ? [$sites[0] => true] : $has];
    }

    /** @return array{list<string>, array<string, true>} */
    private static function answers(CaseFile $case, Question $question): array
    {
        $has = [];
        foreach ($case->log->standing(EntryKind::Answer) as $entry) {
            if ($entry->slot->item === $question->code) {
                $has[$entry->slot->place] = true;
            }
        }

        return [$case->engine->sites($question->site), $has];
    }

    /**
     * @param list<EntryKind> $kinds
     *
     * @return array<string, true> places at which the part was recorded
     */
    private static function places(CaseFile $case, array $kinds, string $part): array
    {
        $places = [];
        foreach ($kinds as $kind) {
            foreach ($case->log->standing($kind) as $entry) {
                if ($entry->slot->part === $part) {
                    $places[$entry->slot->place] = true;
                }
            }
        }

        return $places;
    }

    /**
     * Where a part must be photographed: at the stations reported failed, and wherever a sign stands on it as found.
     *
     * @param list<string> $failed
     *
     * @return list<string>
     */
    private static function toBePhotographed(CaseFile $case, Part $part, array $failed): array
    {
        $places = [];
        foreach ($failed as $station) {
            $places[$case->engine->siteOf($station, $part->site()) ?? $station] = true;
        }
        foreach ($case->findings() as $finding) {
            if ($finding->part === $part->value && $finding->isPresent() && $finding->state === SeenState::AsFound) {
                $places[$finding->place] = true;
            }
        }

        return array_keys($places);
    }

    /**
     * What to photograph before the next steps destroy it: part and place, in the order of the plan.
     *
     * @return list<array{part: Part, place: string, before: string}>
     */
    public function shotList(): array
    {
        $shots = [];
        foreach ($this->steps as $planned) {
            if ($planned->state !== StepState::Open) {
                continue;
            }
            foreach ($planned->missing() as $missing) {
                if ($missing->requirement->kind === RequirementKind::Photograph) {
                    foreach ($missing->places as $place) {
                        $shots[$missing->requirement->code.'/'.$place] ??= [
                            'part' => self::part($missing->requirement->code), 'place' => $place, 'before' => $planned->step->label,
                        ];
                    }
                }
            }
        }

        return array_values($shots);
    }

    private static function part(string $code): Part
    {
        return Part::tryFrom($code) ?? throw BadDocument::at('/record_first', 'there is no part '.$code.'.');
    }
}
