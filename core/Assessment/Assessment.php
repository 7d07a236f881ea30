<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\Calculation\NoneSolved;
use MuteTapper\Core\Calculation\Solutions;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Cause\CarryOver;
use MuteTapper\Core\Cause\Evidence;
use MuteTapper\Core\Cause\Item;
use MuteTapper\Core\Cause\Ledger;
use MuteTapper\Core\Cause\LedgerMaker;
use MuteTapper\Core\Cause\Model;
use MuteTapper\Core\Cause\NextCheck;
use MuteTapper\Core\Cause\NextChecks;
use MuteTapper\Core\Cause\PlacedCause;
use MuteTapper\Core\Cause\Ranking;
use MuteTapper\Core\Chain\Chain;
use MuteTapper\Core\Chain\ChainEdit;
use MuteTapper\Core\Chain\ChainMaker;
use MuteTapper\Core\Compare\Mismatches;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Teardown\HowFar;
use MuteTapper\Core\Timeline\CarriedCount;
use MuteTapper\Core\Timeline\CarriedParts;
use MuteTapper\Core\Timeline\Timeline;

/**
 * Everything derived from a case: a function of the case file and the knowledge alone, worked out when asked for. Never stored as truth.
 */
final class Assessment
{
    /** How sure a difference of banks is that stands out of scatter and gauges. [own] */
    private const DIFFERS = 0.97;

    /** @var array<string, Item>|null */
    private ?array $items = null;
    private ?Model $model = null;
    private ?Ranking $ranking = null;

    private function __construct(public readonly CaseFile $case, public readonly Knowledge $knowledge, public readonly Bench $bench)
    {
    }

    /** @param Solutions $solutions of what takes long to work out: speeds of float, among others */
    public static function of(CaseFile $case, Knowledge $knowledge, Solutions $solutions = new NoneSolved()): self
    {
        return new self($case, $knowledge, Bench::of($case, AllSheets::get(), $knowledge, $solutions));
    }

    /** @return array<string, Item> what is known of each sign */
    public function items(): array
    {
        return $this->items ??= Evidence::gather($this->bench, $this->knowledge, $this->compared());
    }

    /** @return array<string, array<string, float>> what the judgement hears of a comparison, by sign and site */
    private function compared(): array
    {
        $mismatches = new Mismatches($this->bench, $this->knowledge->questions);
        $heard = [];
        foreach ($this->knowledge->signs as $sign) {
            if ($sign->compared !== [] && $mismatches->doBanksDiffer($sign->compared)) {
                $heard[$sign->code] = [Place::ENGINE => self::DIFFERS];
            }
        }

        return $heard;
    }

    public function model(): Model
    {
        return $this->model ??= new Model(
            $this->knowledge->network, $this->case->engine, $this->items(), $this->case->failed, $this->carryOver(),
        );
    }

    /** What went from failure to failure, counted for the judgement. */
    private function carryOver(): CarryOver
    {
        return new CarryOver(array_map(
            static fn (CarriedCount $count): array => $count->toArray(), CarriedParts::of(Timeline::of($this->case))->counts,
        ));
    }

    public function ranking(): Ranking
    {
        return $this->ranking ??= new Ranking($this->model());
    }

    /** The chain of damage as it follows from the ranking. */
    public function chain(): Chain
    {
        return ChainMaker::of($this->ranking());
    }

    /** @return list<ChainEdit> what people changed on it */
    public function chainEdits(): array
    {
        return array_map(ChainEdit::of(...), $this->case->log->standing(EntryKind::Chain));
    }

    /** @return list<NextCheck> what would change one's mind, worth most first */
    public function nextChecks(): array
    {
        $howFar = HowFar::of($this->case, $this->knowledge);

        return (new NextChecks($this->ranking(), $this->case->engine, $this->knowledge->signs))
            ->of($this->knowledge->checks, $howFar->made, $howFar->next);
    }

    /**
     * @param string|null $against the cause it is held against; nothing wrong, where null
     *
     * @throws \OutOfBoundsException when the build rules a cause out
     */
    public function ledger(string $cause, ?string $against = null): Ledger
    {
        $best = $this->ranking()->weighed->best;
        $of = static fn (string $code): PlacedCause => $best[$code]
            ?? throw new \OutOfBoundsException('Not a cause of this engine: '.$code);

        return (new LedgerMaker($this->model(), $this->ranking()->weighed))->of($of($cause), $against === null ? null : $of($against));
    }
}
