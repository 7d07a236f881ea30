<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\Before\BeforeAssessor;
use MuteTapper\Core\Before\BeforeSheet;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Cause\Evidence;
use MuteTapper\Core\Cause\Item;
use MuteTapper\Core\Cause\Ledger;
use MuteTapper\Core\Cause\LedgerMaker;
use MuteTapper\Core\Cause\Model;
use MuteTapper\Core\Cause\Ranker;
use MuteTapper\Core\Cause\Ranking;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Spring\SpringAssessor;
use MuteTapper\Core\Spring\SpringSheet;

/** Everything derived from a case: a pure function of the case file and the knowledge. Never stored as truth. */
final readonly class Assessment
{
    /** @param array<string, Item> $items */
    private function __construct(public CaseFile $case, public Knowledge $knowledge, public SpringSheet $springs, public BeforeSheet $before, public array $items)
    {
    }

    public static function of(CaseFile $case, Knowledge $knowledge): self
    {
        $springs = SpringAssessor::assess($case, $knowledge->limits);

        $before = BeforeAssessor::assess($case, $knowledge->limits);

        return new self($case, $knowledge, $springs, $before, Evidence::gather($case, $springs, $before, array_values($knowledge->signs), $knowledge->questions));
    }

    public function model(): Model
    {
        return new Model($this->knowledge->network, $this->case->engine, $this->items);
    }

    public function ranking(): Ranking
    {
        return (new Ranker($this->model()))->rank();
    }

    /** @throws \OutOfBoundsException when the build rules the cause out */
    public function ledger(string $cause): Ledger
    {
        return (new LedgerMaker($this->model()))->of($cause);
    }
}
