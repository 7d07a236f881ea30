<?php

declare(strict_types=1);

namespace MuteTapper\Core\Chain;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\Slot;

/** A change of the chain by a person, with the reason. Taken back like every entry. */
final readonly class ChainEdit
{
    public const PART = 'chain';
    /** Begins the code of an added event, so that it is none of the catalogue. */
    public const OWN = 'own-';
    private const CODE = '/^[a-z0-9_-]{1,36}$/D';

    /**
     * @param string|null $to of cuts, links and orders, the later event
     * @param string $words why; of an added event, what happened
     * @param EventStanding|null $standing of an added event
     * @param string|null $place of an added event, where it has one
     */
    private function __construct(
        public EditKind $what,
        public string $event,
        public ?string $to,
        public string $words,
        public ?EventStanding $standing,
        public ?string $place,
        public string $by,
        public ?\DateTimeImmutable $at,
    ) {
    }

    public static function of(Entry $entry): self
    {
        return self::fromNode($entry->node(), $entry->by, $entry->at);
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data, string $by = '', ?\DateTimeImmutable $at = null): self
    {
        $what = $data->get('edit')->choice(EditKind::class);
        $event = self::code($data->get('event'));
        $to = $what->isOfTwo() ? self::code($data->get('to')) : null;
        if ($to === $event) {
            throw BadDocument::at('/to', 'an event does not lead to itself.');
        }
        $isAdded = $what === EditKind::Event;
        $words = trim($data->maybe('words')?->text(1000) ?? '');
        if ($isAdded && ($words === '' || !str_starts_with($event, self::OWN))) {
            throw BadDocument::at($words === '' ? '/words' : '/event', sprintf(
                'an added event needs words for what happened, and a code that begins with “%s”.', self::OWN,
            ));
        }
        $standing = $isAdded ? $data->get('known')->choice(EventStanding::class) : null;
        if ($standing !== null && !$standing->isTold()) {
            throw BadDocument::at('/known', 'an added event was seen, told, or is implied.');
        }

        return new self($what, $event, $to, $words, $standing, $isAdded ? $data->maybe('place')?->word(20) : null, $by, $at);
    }

    public function slot(): Slot
    {
        $index = match (true) {
            $this->what === EditKind::First => null,
            $this->to === null => $this->event,
            default => $this->event.'.'.$this->to,
        };

        return new Slot(Place::ENGINE, self::PART, $this->what->value, $index);
    }

    /** @return array<string, mixed> in the shape that fromNode reads */
    public function toArray(): array
    {
        return array_filter([
            'edit' => $this->what->value, 'event' => $this->event, 'to' => $this->to, 'words' => $this->words,
            'known' => $this->standing?->value, 'place' => $this->place,
        ], static fn (?string $value): bool => $value !== null && $value !== '');
    }

    /** @throws BadDocument */
    private static function code(Node $node): string
    {
        return preg_match(self::CODE, $node->word(36)) === 1 ? $node->word(36) : throw BadDocument::at(
            $node->pointer, sprintf('“%s” is no code of an event.', $node->word(36)),
        );
    }
}
