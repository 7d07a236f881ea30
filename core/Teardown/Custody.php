<?php

declare(strict_types=1);

namespace MuteTapper\Core\Teardown;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Slot;

/**
 * Where a part is, and why. Each move supersedes the one before, so that the entries of its slot are the custody record: who handed
 * it over, when, to whom, under which seal, until when.
 */
final readonly class Custody
{
    public const ITEM = 'custody';
    /** Who is invited before a part is destroyed: whoever claims and whoever may have to pay, at the least. */
    private const PARTIES = 2;
    private const MOST_PARTIES = 12;

    /**
     * @param string $seal number of the bag or seal it is under
     * @param \DateTimeImmutable|null $until day on which it is expected back
     * @param bool $isDestroyed what is done there destroys it
     * @param list<string> $invited parties that were invited before, each with its answer
     */
    private function __construct(
        public Whereabouts $where,
        public string $whom,
        public string $seal,
        public string $why,
        public ?\DateTimeImmutable $until,
        public bool $isDestroyed,
        public array $invited,
        public string $note,
    ) {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        $text = static fn (string $key, int $most): string => trim($data->maybe($key)?->text($most) ?? '');
        $custody = new self(
            $data->get('where')->choice(Whereabouts::class), $text('whom', 200), $text('seal', 80), $text('why', 400),
            $data->maybe('until')?->day(), $data->maybe('destroyed')?->flag() ?? false,
            $data->maybe('invited')?->words(self::MOST_PARTIES) ?? [], $text('note', 1000),
        );
        if ($custody->where->isOutside() && $custody->whom === '') {
            throw BadDocument::at('/whom', 'a part that leaves the shop needs the name of who has it.');
        }
        if ($custody->isDestroyed && count($custody->invited) < self::PARTIES) {
            throw BadDocument::at(
                '/invited', 'before a part is destroyed both parties are invited: name each, with what it answered. Who was not '
                .'invited can say that the part would have spoken for him.',
            );
        }

        return $custody;
    }

    public static function slot(string $place, Part $part): Slot
    {
        return new Slot($place, $part->value, self::ITEM);
    }

    /** Where it is, and with whom. */
    public function words(): string
    {
        return $this->where->label().($this->whom === '' ? '' : ', '.$this->whom);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_filter([
            'where' => $this->where->value, 'whom' => $this->whom, 'seal' => $this->seal, 'why' => $this->why,
            'until' => $this->until?->format('Y-m-d') ?? '', 'destroyed' => $this->isDestroyed, 'invited' => $this->invited,
            'note' => $this->note,
        ], static fn (mixed $value): bool => $value !== '' && $value !== false && $value !== []);
    }
}
