<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use MuteTapper\App\Library\Shelf;
use MuteTapper\App\Tried\ShelvedParts;
use MuteTapper\App\Tried\Sliders;
use MuteTapper\App\Tried\TriedBench;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Remedy\Adjustment;
use MuteTapper\Core\Remedy\Adjustments;
use MuteTapper\Core\Remedy\Effect;
use MuteTapper\Core\Remedy\Remedies;
use MuteTapper\Core\Remedy\Remedy;
use MuteTapper\Core\Remedy\RemedyKind;
use MuteTapper\Core\Remedy\SpeedLimit;
use MuteTapper\Core\Remedy\Trial;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Verdict\Margin;

/** Lays every remedy of a case over its bench and tells them side by side. Nothing of it reaches the judgement. */
final readonly class RemedyBoard
{
    private const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

    public function __construct(private TriedBench $tried, private ShelvedParts $shelved)
    {
    }

    /** @param string|null $place a valve whose figures are shown; else the place where each ends worst */
    public function of(Assessment $assessment, ?string $place): RemediesView
    {
        $solutions = $this->tried->watched();
        $found = $this->tried->beside($assessment, $solutions);
        $remedies = Remedies::of($assessment->case);
        $trials = $problems = [];
        foreach ($remedies->all as $remedy) {
            try {
                $trials[$remedy->id] = new Trial($found, $found->with($remedy->change($assessment->case->engine, $found->sheets)));
            } catch (BadDocument $problem) {
                $problems[$remedy->id] = $problem->reason;
            }
        }
        $parts = (new Sliders($found))->parts($this->shelved->choices(Shelf::Springs, Shelf::Lobes));
        $words = new ChangeWords($found, array_column(array_map(static fn ($part): array => [$part->from, $part->name], $parts), 1, 0));
        $taken = $remedies->taken();

        return new RemediesView(
            array_map(
                fn (Remedy $remedy, int $i): RemedyView => $this->remedy(
                    $remedy, $i, $remedies->isTaken($remedy), $trials[$remedy->id] ?? null, $problems[$remedy->id] ?? null, $words,
                ), $remedies->all, array_keys($remedies->all),
            ),
            (new EffectRows($trials, $found, $place))->all(),
            array_map(static fn (Adjustment $one): AdjustmentView => self::adjustment($one, $found),
                Adjustments::of($assessment->case->engine, $found->sheets)),
            $parts,
            $taken !== [] && array_filter($taken, static fn (Remedy $one): bool => $one->kind !== RemedyKind::Containment) === [],
            !$solutions->isLeft(), // asked last: all that is shown was asked for above
        );
    }

    private function remedy(Remedy $remedy, int $i, bool $isTaken, ?Trial $trial, ?string $problem, ChangeWords $words): RemedyView
    {
        $told = $trial === null ? ['better' => [], 'worse' => [], 'outside' => []] : self::told($trial, $words);

        return new RemedyView(
            $remedy->id, self::LETTERS[$i % strlen(self::LETTERS)], $remedy->name, $remedy->words, $remedy->kind, $remedy->kind->words(),
            $remedy->hours, $remedy->waitDays, $remedy->until, $remedy->tellTales, $isTaken,
            array_map(static fn (array $one): ChangeLineView => $words->line(Node::root($one)), $remedy->change),
            $told['better'], [...$told['worse'], ...$problem === null ? self::drawbacks($remedy) : []], $told['outside'],
            array_map(static fn (Column $column): string => $column->label, $trial?->toMeasureAgain() ?? []),
            array_values(array_unique(array_filter(array_map(
                static fn (array $one): string => Adjustments::named(is_string($one['name'] ?? null) ? $one['name'] : '')->lasting ?? '',
                $remedy->change,
            ), static fn (string $lasting): bool => $lasting !== ''))),
            $trial === null ? '' : (string) SpeedLimit::of($trial)?->words($trial->found->case), $problem,
        );
    }

    /** @return list<string> what the ways in which it is done bring with them */
    private static function drawbacks(Remedy $remedy): array
    {
        $drawbacks = array_map(static fn (array $one): string => Remedy::kind(Node::root($one))->drawback ?? '', $remedy->change);

        return array_values(array_unique(array_diff($drawbacks, [''])));
    }

    /** @return array{better: list<string>, worse: list<string>, outside: list<string>} */
    private static function told(Trial $trial, ChangeWords $words): array
    {
        $told = ['better' => [], 'worse' => [], 'outside' => []];
        foreach (Trial::judged($trial->found) as $judged) {
            $effects = $trial->effects($judged->value);
            $those = [
                'better' => array_filter($effects, static fn (Effect $effect): bool => $effect->isBetter()),
                'worse' => array_filter($effects, static fn (Effect $effect): bool => $effect->isWorse()),
                'outside' => array_filter($effects, static fn (Effect $effect): bool => $effect->after->isOutside()),
            ];
            foreach ($those as $way => $some) {
                if ($some !== []) {
                    $told[$way][] = self::sentence($some, $trial->found, $words);
                }
            }
        }

        return $told;
    }

    /**
     * What moved, and where it ends worst.
     *
     * @param non-empty-array<Effect> $effects of one judged value
     */
    private static function sentence(array $effects, Bench $found, ChangeWords $words): string
    {
        $places = array_values(array_unique(array_map(static fn (Effect $effect): string => $effect->after->place, $effects)));
        usort($effects, static fn (Effect $a, Effect $b): int => $a->rank() <=> $b->rank());
        $worst = $effects[0];
        $show = static fn (?Margin $margin): string => EffectRows::figure($margin, $found) ?? '–';
        $engine = $found->case->engine;
        $label = $engine->placeLabel($worst->after->place) ?? '';
        $where = count($effects) === 1 ? $label : $words->where($places).', worst '.$label;
        $from = $worst->before?->value() === null || $worst->isUnchanged() ? '' : $show($worst->before).' → ';

        return sprintf('%s %s%s (%s)', $worst->after->limit->title, $from, $show($worst->after), $where);
    }

    private static function adjustment(Adjustment $one, Bench $found): AdjustmentView
    {
        $value = $found->sheets->value($one->name);

        return new AdjustmentView(
            $one->name, $one->label ?? $value->column->label ?? $value->title, $one->of,
            $found->case->settings->units->unitOf($value->dimension)->value, $value->site,
            array_values(array_filter(array_map($value->index->join(...), $value->index->all($found->case->engine)), is_string(...))),
            $one->lasting, array_map(AdjustmentKindView::of(...), $one->kinds),
        );
    }
}
