<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Verdict\Margin;

/** A value held against the limit of its name, at each of its sites and under each of its indexes. Immutable. */
final class Judged
{
    /**
     * Inputs that must rest on a reading: else it is shown as claimed, and is no evidence.
     *
     * @var list<string>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public array $restsOn = [];
    /**
     * A fact of engine or oil: what the build states of it is enough.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public bool $isFact = false;
    /**
     * From the build as claimed, not a clearance.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public bool $isDeparture = false;
    /**
     * Input without which it is not judged at all.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public ?string $onlyIfKnown = null;
    /**
     * One verdict over all indexes of a place: that of the worst.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public bool $isWorstOfAll = false;
    /**
     * Of these indexes only the first that is known.
     *
     * @var list<string>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public array $firstOf = [];
    /**
     * School that does not apply where an inner spring stands.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public ?string $singleSchool = null;
    /**
     * Name of the value that sets the limit, where it is known.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public ?string $limitedBy = null;
    /**
     * It may accuse and never acquits: a comparison within a set, or a bound on one side.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public bool $accusesOnly = false;
    /**
     * Shown in a place of its own, not beside the readings.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public bool $isApart = false;
    /**
     * What a value means, in words.
     *
     * @var (\Closure(At, Margin): string)|null
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public ?\Closure $saying = null;

    /**
     * Why it does not count at a place, where it does not.
     *
     * @var (\Closure(At): ?string)|null
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public ?\Closure $unless = null;

    /**
     * Value that eats into it while the engine runs, where that is known.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public ?string $eatenBy = null;

    /**
     * Why nothing of it is evidence, where nothing is.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public ?string $noEvidence = null;

    /** @param string $head under which the sheet shows its rules */
    private function __construct(public readonly string $value, public readonly string $head)
    {
    }

    public static function of(string $value, string $head): self
    {
        return new self($value, $head);
    }

    /** Against the claim of a column, once it is claimed. */
    public static function departure(Column $column): self
    {
        return self::of($column->code.'_from_claim', $column->short)->with(static function (self $copy) use ($column): void {
            $copy->restsOn = ['found'];
            $copy->isDeparture = true;
            $copy->onlyIfKnown = $column->isNeededInClaim ? null : 'claimed';
            $copy->limitedBy = $column->departureLimit;
        });
    }

    /** Against the middle value of its kind, in a place of its own. */
    public static function againstSet(Column $column): self
    {
        return self::of($column->code.Column::FROM_MIDDLE, $column->short)->accusingOnly()->apart();
    }

    public function restsOn(string ...$inputs): self
    {
        return $this->with(static function (self $copy) use ($inputs): void { $copy->restsOn = array_values($inputs); });
    }

    /** A departure from the claim, judged once this input, the claim, is known. */
    public function asDeparture(string $claim): self
    {
        return $this->with(static function (self $copy) use ($claim): void {
            $copy->isDeparture = true;
            $copy->onlyIfKnown = $claim;
        });
    }

    public function worstOfAll(): self
    {
        return $this->with(static function (self $copy): void { $copy->isWorstOfAll = true; });
    }

    public function firstOf(string ...$keys): self
    {
        return $this->with(static function (self $copy) use ($keys): void { $copy->firstOf = array_values($keys); });
    }

    public function singleSpringsOnly(string $school): self
    {
        return $this->with(static function (self $copy) use ($school): void { $copy->singleSchool = $school; });
    }

    public function limitedBy(string $value): self
    {
        return $this->with(static function (self $copy) use ($value): void { $copy->limitedBy = $value; });
    }

    public function eatenBy(string $value): self
    {
        return $this->with(static function (self $copy) use ($value): void { $copy->eatenBy = $value; });
    }

    public function ofFact(): self
    {
        return $this->with(static function (self $copy): void { $copy->isFact = true; });
    }

    /** It may accuse and never acquits: a comparison within a set, which can be bad alike, or a bound on one side. */
    public function accusingOnly(): self
    {
        return $this->with(static function (self $copy): void { $copy->accusesOnly = true; });
    }

    /** Judged only where this input is known: claimed, or a fact of the engine. */
    public function onlyIfKnown(string $input): self
    {
        return $this->with(static function (self $copy) use ($input): void { $copy->onlyIfKnown = $input; });
    }

    /** It decides what may be done next, and says nothing of what happened. */
    public function noEvidence(string $reason): self
    {
        return $this->with(static function (self $copy) use ($reason): void { $copy->noEvidence = $reason; });
    }

    public function apart(): self
    {
        return $this->with(static function (self $copy): void { $copy->isApart = true; });
    }

    /** @param \Closure(At): ?string $unless why it does not count at a place; null where it does */
    public function unless(\Closure $unless): self
    {
        return $this->with(static function (self $copy) use ($unless): void { $copy->unless = $unless; });
    }

    /** @param \Closure(At, Margin): string $saying */
    public function saying(\Closure $saying): self
    {
        return $this->with(static function (self $copy) use ($saying): void { $copy->saying = $saying; });
    }

    /** @param \Closure(self): void $describe */
    private function with(\Closure $describe): self
    {
        $copy = clone $this;
        $describe($copy);

        return $copy;
    }
}
