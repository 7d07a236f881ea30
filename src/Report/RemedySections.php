<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\Reassembly\PlanLineView;
use MuteTapper\App\Reassembly\PlanPlaceView;
use MuteTapper\App\Reassembly\PlanPresenter;
use MuteTapper\App\Reassembly\Returns;
use MuteTapper\App\Reassembly\ReturnView;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Remedy\PartAdviceView;
use MuteTapper\App\Remedy\RemedyBoard;
use MuteTapper\App\Remedy\RemedyView;
use MuteTapper\App\Remedy\ReuseView;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Reassembly\LineState;

/** What must change, what goes back in, how it went together and how it came back: as far as anything of it is recorded. */
final readonly class RemedySections
{
    public function __construct(private RemedyBoard $board, private PlanPresenter $plans, private Returns $returns)
    {
    }

    /**
     * @return array{
     *     remedies: list<RemedyView>,
     *     removesNothing: bool,
     *     parts: list<PartAdviceView>,
     *     plan: array{done: int, total: int, notes: list<string>, values: list<array{label: string, places: string}>}|null,
     *     returns: list<ReturnView>,
     * }
     */
    public function of(CaseRecord $record, Assessment $assessment): array
    {
        $has = static fn (EntryKind $kind): bool => $assessment->case->log->standing($kind) !== [];
        $board = $has(EntryKind::Remedy) ? $this->board->of($assessment, null) : null;

        return [
            'remedies' => $board->remedies ?? [],
            'removesNothing' => $board->removesNothing ?? false,
            'parts' => !$has(EntryKind::Reuse) ? [] : array_values(array_filter(
                ReuseView::of($assessment)->parts, static fn (PartAdviceView $one): bool => $one->decided !== null,
            )),
            'plan' => $has(EntryKind::Line) ? $this->plan($record) : null,
            'returns' => $this->returns->of($assessment),
        ];
    }

    /** @return array{done: int, total: int, notes: list<string>, values: list<array{label: string, places: string}>} */
    private function plan(CaseRecord $record): array
    {
        $plan = $this->plans->of($record);
        $notes = $values = [];
        foreach ($plan->lines as $line) {
            foreach ($line->places as $place) {
                $note = self::note($line, $place);
                if ($note !== null) {
                    $notes[] = $note;
                }
            }
            $read = array_filter($line->places, static fn (PlanPlaceView $one): bool => $one->built !== null);
            if ($read !== []) {
                $values[] = ['label' => trim($line->label.' '.$line->unit), 'places' => implode(', ', array_map(
                    static fn (PlanPlaceView $one): string => $one->label.' '.$one->built.($one->isOut ? ' (out of range)' : ''), $read,
                ))];
            }
        }

        return ['done' => $plan->done, 'total' => $plan->total, 'notes' => $notes, 'values' => $values];
    }

    /** What is out of the ordinary of a line at a place, in words; null where nothing is. */
    private static function note(PlanLineView $line, PlanPlaceView $place): ?string
    {
        if ($place->state === null) {
            return null;
        }
        $said = match ($place->state) {
            LineState::LeftOut => 'left out: '.$place->note,
            LineState::Kept => 'kept out of range: '.$place->note,
            LineState::Ticked => $place->isOut ? 'ticked, and out of range' : '',
        };
        $order = $place->unmet === [] ? '' : sprintf('before %s: %s', implode(', ', $place->unmet), $line->risk);
        $words = implode('; ', array_filter([$said, $order], static fn (string $one): bool => $one !== ''));

        return $words === '' ? null : sprintf('%s, %s: %s (%s)', $line->label, $place->label, $words, $place->by ?? '');
    }
}
