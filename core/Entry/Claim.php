<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Quantity\Typed;
use MuteTapper\Core\Quantity\Uncertain;

/** A figure of the build as claimed, for all valves of a kind or for one station. Loads carry the height they are quoted at. */
final readonly class Claim
{
    private function __construct(public string $entryId, public ?Typed $typed, public ?Typed $at, public Standing $standing)
    {
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
        );
    }

    /** The claimed figure, good to half its last digit; null when it is recorded as unknown. */
    public function given(): ?Given
    {
        if ($this->typed === null || $this->standing === Standing::Unknown) {
            return null;
        }

        return new Given(
            Uncertain::of($this->typed->quantity(), ['claim '.$this->entryId => Uncertain::fromHalfWidth($this->typed->halfLastDigit())]),
            $this->standing === Standing::Known ? 'as claimed, known' : 'as claimed, said by the customer',
        );
    }

    public function height(): ?Given
    {
        return $this->at === null ? null : new Given(Uncertain::exact($this->at->quantity()), 'as claimed');
    }
}
