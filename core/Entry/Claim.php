<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Quantity\Typed;
use MuteTapper\Core\Quantity\Uncertain;

/** A figure of the build as claimed, for all valves of a kind or for one station. Loads carry the height they are quoted at. */
final readonly class Claim
{
    /** Item of a figure of the build as claimed: this, and the name of the value. */
    public const CLAIMED = 'claimed.';
    /** Item of a maker's own figure or limit. */
    public const MAKER = 'maker.';
    /** Item of a part that is claimed in words. */
    public const WORDS = 'claimed.words';

    private function __construct(
        public string $entryId,
        public ?Typed $typed,
        public ?Typed $at,
        public Standing $standing,
        public bool $isMakers,
    ) {
    }

    /** @throws BadDocument */
    public static function of(Entry $entry): self
    {
        $data = $entry->node();
        $value = $data->maybe('value');
        $at = $data->maybe('at');

        return new self(
            $entry->id,
            $value === null ? null : Reading::typed($value),
            $at === null ? null : Reading::typed($at),
            $data->get('standing')->choice(Standing::class),
            str_starts_with($entry->slot->item, self::MAKER),
        );
    }

    /** The claimed figure, good to half its last digit; null when it is recorded as unknown. */
    public function uncertain(): ?Uncertain
    {
        if ($this->typed === null || $this->standing === Standing::Unknown) {
            return null;
        }

        return Uncertain::of(
            $this->typed->quantity(), ['claim '.$this->entryId => Uncertain::fromHalfWidth($this->typed->halfLastDigit())],
        );
    }

    public function height(): ?Uncertain
    {
        return $this->at === null ? null : Uncertain::exact($this->at->quantity());
    }
}
