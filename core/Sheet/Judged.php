<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Verdict\Margin;

/** A value held against the limit of its name, at each of its sites and under each of its indexes. */
final readonly class Judged
{
    /**
     * @param string $head under which the sheet shows its rules
     * @param list<string> $restsOn inputs that must rest on a reading: else it is shown as claimed, and is no evidence
     * @param bool $isDeparture from the build as claimed, not a clearance
     * @param string|null $onlyIfKnown input without which it is not judged at all
     * @param bool $isWorstOfAll one verdict over all indexes of a place: that of the worst
     * @param list<string> $firstOf of these indexes only the first that is known
     * @param string|null $singleSchool school that does not apply where an inner spring stands
     * @param string|null $limitedBy name of the value that sets the limit, where it is known
     * @param bool $isRelative a comparison within a set: it may accuse one of the set, and never acquits all of it
     * @param bool $isApart shown in a place of its own, not beside the readings
     * @param (\Closure(At, Margin): string)|null $saying what a value means, in words
     */
    private function __construct(
        public string $value,
        public string $head,
        public array $restsOn = [],
        public bool $isDeparture = false,
        public ?string $onlyIfKnown = null,
        public bool $isWorstOfAll = false,
        public array $firstOf = [],
        public ?string $singleSchool = null,
        public ?string $limitedBy = null,
        public bool $isRelative = false,
        public bool $isApart = false,
        public ?\Closure $saying = null,
    ) {
    }

    public static function of(string $value, string $head): self
    {
        return new self($value, $head);
    }

    /** Against the claim of a column, once it is claimed. */
    public static function departure(Column $column): self
    {
        return new self(
            $column->code.'_from_claim', $column->short, ['found'], true, $column->isNeededInClaim ? null : 'claimed',
            limitedBy: $column->departureLimit,
        );
    }

    public function restsOn(string ...$inputs): self
    {
        return new self(
            $this->value, $this->head, array_values($inputs), $this->isDeparture, $this->onlyIfKnown, $this->isWorstOfAll, $this->firstOf,
            $this->singleSchool, $this->limitedBy, $this->isRelative, $this->isApart, $this->saying,
        );
    }

    /** A departure from the claim, judged once this input, the claim, is known. */
    public function asDeparture(string $claim): self
    {
        return new self(
            $this->value, $this->head, $this->restsOn, true, $claim, $this->isWorstOfAll, $this->firstOf, $this->singleSchool,
            $this->limitedBy, $this->isRelative, $this->isApart, $this->saying,
        );
    }

    public function worstOfAll(): self
    {
        return new self(
            $this->value, $this->head, $this->restsOn, $this->isDeparture, $this->onlyIfKnown, true, $this->firstOf, $this->singleSchool,
            $this->limitedBy, $this->isRelative, $this->isApart, $this->saying,
        );
    }

    public function firstOf(string ...$keys): self
    {
        return new self(
            $this->value, $this->head, $this->restsOn, $this->isDeparture, $this->onlyIfKnown, $this->isWorstOfAll, array_values($keys),
            $this->singleSchool, $this->limitedBy, $this->isRelative, $this->isApart, $this->saying,
        );
    }

    public function singleSpringsOnly(string $school): self
    {
        return new self(
            $this->value, $this->head, $this->restsOn, $this->isDeparture, $this->onlyIfKnown, $this->isWorstOfAll, $this->firstOf, $school,
            $this->limitedBy, $this->isRelative, $this->isApart, $this->saying,
        );
    }

    public function limitedBy(string $value): self
    {
        return new self(
            $this->value, $this->head, $this->restsOn, $this->isDeparture, $this->onlyIfKnown, $this->isWorstOfAll, $this->firstOf,
            $this->singleSchool, $value, $this->isRelative, $this->isApart, $this->saying,
        );
    }

    public function withinSet(): self
    {
        return new self(
            $this->value, $this->head, $this->restsOn, $this->isDeparture, $this->onlyIfKnown, $this->isWorstOfAll, $this->firstOf,
            $this->singleSchool, $this->limitedBy, true, $this->isApart, $this->saying,
        );
    }

    public function apart(): self
    {
        return new self(
            $this->value, $this->head, $this->restsOn, $this->isDeparture, $this->onlyIfKnown, $this->isWorstOfAll, $this->firstOf,
            $this->singleSchool, $this->limitedBy, $this->isRelative, true, $this->saying,
        );
    }

    /** @param \Closure(At, Margin): string $saying */
    public function saying(\Closure $saying): self
    {
        return new self(
            $this->value, $this->head, $this->restsOn, $this->isDeparture, $this->onlyIfKnown, $this->isWorstOfAll, $this->firstOf,
            $this->singleSchool, $this->limitedBy, $this->isRelative, $this->isApart, $saying,
        );
    }
}
