<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Sheet\Change;
use MuteTapper\Core\Sheet\Sheets;

/** The remedies of a case, and which of them are taken. */
final readonly class Remedies
{
    /**
     * @param list<Remedy> $all in the order in which they were thought of
     * @param list<string> $taken ids
     */
    private function __construct(private CaseFile $case, public array $all, private array $taken)
    {
    }

    public static function of(CaseFile $case): self
    {
        $taken = $case->log->headOf(Taken::slot());

        return new self(
            $case, array_map(Remedy::of(...), $case->log->standing(EntryKind::Remedy)),
            $taken === null ? [] : Taken::fromNode($taken->node())->remedies,
        );
    }

    public function isTaken(Remedy $remedy): bool
    {
        return in_array($remedy->id, $this->taken, true);
    }

    /** @return list<Remedy> */
    public function taken(): array
    {
        return array_values(array_filter($this->all, $this->isTaken(...)));
    }

    /** All that is taken, as one change of the bench. */
    public function change(Sheets $sheets): Change
    {
        $changes = array_merge(...array_map(static fn (Remedy $remedy): array => $remedy->change, $this->taken()));

        return Change::fromNode(Node::root($changes), $this->case->engine, $sheets);
    }
}
