<?php

declare(strict_types=1);

namespace MuteTapper\Core\Timeline;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Slot;

/** A build, run, service or failure in the life of the engine, with what it had run since it was built. */
final readonly class Event
{
    public const PART = 'timeline';
    public const ITEM = 'event';

    private function __construct(
        public EventKind $what,
        public ?\DateTimeImmutable $date,
        public ?float $amount,
        public RunUnit $unit,
        public bool $sameSymptom,
        public string $words,
        public ?EarlierCase $earlier = null,
    ) {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        $amount = $data->maybe('amount')?->number();
        if ($amount !== null && ($amount < 0 || $amount > 1e6)) {
            throw BadDocument::at('/amount', sprintf('%s is not plausible; accepted is 0 to 1,000,000.', $amount));
        }

        return new self(
            $data->get('what')->choice(EventKind::class), $data->maybe('date')?->day(), $amount,
            $data->maybe('unit')?->choice(RunUnit::class) ?? RunUnit::Hours,
            $data->maybe('sameSymptom')?->flag() ?? false, trim($data->maybe('words')?->text(2000) ?? ''),
            ($earlier = $data->maybe('earlier')) === null ? null : EarlierCase::fromNode($earlier),
        );
    }

    public static function slot(string $id): Slot
    {
        return new Slot(Place::ENGINE, self::PART, self::ITEM, $id);
    }

    /** What happened and when, as it is named in a sentence. */
    public function words(): string
    {
        return $this->what->value.($this->date === null ? '' : ' of '.$this->date->format('Y-m-d'));
    }

    public function with(EarlierCase $earlier): self
    {
        return new self($this->what, $this->date, $this->amount, $this->unit, $this->sameSymptom, $this->words, $earlier);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_filter([
            'what' => $this->what->value, 'date' => $this->date?->format('Y-m-d'), 'amount' => $this->amount, 'unit' => $this->unit->value,
            'sameSymptom' => $this->sameSymptom ? true : null, 'words' => $this->words === '' ? null : $this->words,
            'earlier' => $this->earlier?->toArray(),
        ], static fn (mixed $value): bool => $value !== null);
    }
}
