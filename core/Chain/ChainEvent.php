<?php

declare(strict_types=1);

namespace MuteTapper\Core\Chain;

use MuteTapper\Core\Cause\Extent;

/** A cause or a mechanism as a link of the chain of damage, or an event that a person added. */
final readonly class ChainEvent
{
    /**
     * @param string $code of the cause or mechanism; of an added event its own
     * @param float|null $probability of a mechanism with the leading explanation at work, of a cause in the ranking; null where added
     * @param list<string> $signs its own marks that are there
     * @param list<string> $places where those were seen
     * @param Extent|null $extent where a cause is
     * @param ChainEdit|null $added by whom it was added
     * @param bool $needsAll whether all that lead to it were needed, not one of them
     * @param bool $isOlder whether it is damage from before this failure
     */
    public function __construct(
        public string $code,
        public bool $isCause,
        public EventStanding $standing,
        public ?float $probability,
        public array $signs = [],
        public array $places = [],
        public ?Extent $extent = null,
        public ?ChainEdit $added = null,
        public bool $needsAll = false,
        public bool $isOlder = false,
    ) {
    }

    public static function added(ChainEdit $edit): self
    {
        return new self(
            $edit->event, false, $edit->standing ?? EventStanding::Implied, null, [], $edit->place === null ? [] : [$edit->place], null,
            $edit,
        );
    }

    public function needingAll(): self
    {
        return new self(
            $this->code, $this->isCause, $this->standing, $this->probability, $this->signs, $this->places, $this->extent, $this->added,
            true, $this->isOlder,
        );
    }

    public function older(): self
    {
        return new self(
            $this->code, $this->isCause, $this->standing, $this->probability, $this->signs, $this->places, $this->extent, $this->added,
            $this->needsAll, true,
        );
    }
}
