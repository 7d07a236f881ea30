<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Sheet\Change;
use MuteTapper\Core\Sheet\Sheets;

/**
 * Something that could be changed on the engine so that it does not fail again: what is done, in words and as a change of the bench,
 * and what it takes.
 */
final readonly class Remedy
{
    public const PART = 'remedy';
    public const ITEM = 'alternative';
    private const MOST_CHANGES = 60;
    private const MOST_WORDS = 2000;

    /**
     * @param list<array<string, mixed>> $change in the one shape of a change
     * @param float|null $hours of work
     * @param int|null $waitDays until the parts are there
     * @param string $until of a containment, what ends it
     * @param string $tellTales what is looked at meanwhile, and when
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $words,
        public RemedyKind $kind,
        public array $change,
        public ?float $hours,
        public ?int $waitDays,
        public string $until,
        public string $tellTales,
    ) {
    }

    public static function of(Entry $entry): self
    {
        return self::fromNode($entry->node(), $entry->slot->index ?? '');
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data, string $id = ''): self
    {
        $words = static fn (string $key): string => trim($data->maybe($key)?->text(self::MOST_WORDS) ?? '');
        $hours = $data->maybe('hours')?->number();
        if ($hours !== null && ($hours < 0 || $hours > 2000)) {
            throw BadDocument::at('/hours', sprintf('%s hours of work is not plausible; accepted is 0 to 2,000.', $hours));
        }
        $kind = $data->get('remedyKind')->choice(RemedyKind::class);
        $until = $words('until');
        if ($kind === RemedyKind::Containment && $until === '') {
            throw BadDocument::at('/until', 'what only holds needs words for what ends it: a part that comes, an hour count, a next look.');
        }

        return new self(
            $id, $data->get('name')->word(80), $words('words'), $kind,
            array_map(static fn (Node $one): array => $one->map(), $data->maybe('change')?->items(self::MOST_CHANGES) ?? []),
            $hours, $data->maybe('waitDays')?->whole(0, 400), $until, $words('tellTales'),
        );
    }

    public static function slot(string $id): Slot
    {
        return new Slot(Place::ENGINE, self::PART, self::ITEM, $id);
    }

    /**
     * What it changes on the bench.
     *
     * @throws BadDocument where a value stands at no such place of this engine
     */
    public function change(Engine $engine, Sheets $sheets): Change
    {
        $node = Node::root($this->change);
        foreach ($node->items() as $one) {
            self::kind($one);
            $site = $one->has('part')
                ? $one->get('part')->choice(Part::class)->site()
                : ($sheets->values[$one->get('name')->word()] ?? null)?->site;
            if ($site === null) {
                continue; // that there is no such value is said below
            }
            foreach ($one->get('places')->words() as $i => $place) {
                if (!in_array($place, $engine->sites($site), true)) {
                    throw BadDocument::at(
                        $one->pointer.'/places/'.$i, sprintf('it is a matter of each %s; “%s” is none.', $site->value, $place),
                    );
                }
            }
        }

        return Change::fromNode($node, $engine, $sheets);
    }

    /**
     * The way in which a change is made, where it has several.
     *
     * @throws BadDocument where there is no such way
     */
    public static function kind(Node $change): ?AdjustmentKind
    {
        $code = $change->maybe('kind')?->word();

        return $code === null ? null : Adjustments::named($change->maybe('name')?->word() ?? '')?->kind($code) ?? throw BadDocument::at(
            $change->pointer.'/kind', sprintf('it is not done in a way that is called “%s”.', $code),
        );
    }

    /** @return array<string, mixed> in the shape that fromNode reads */
    public function toArray(): array
    {
        return array_filter([
            'name' => $this->name, 'remedyKind' => $this->kind->value, 'words' => $this->words, 'change' => $this->change,
            'hours' => $this->hours, 'waitDays' => $this->waitDays, 'until' => $this->until, 'tellTales' => $this->tellTales,
        ], static fn (mixed $value): bool => $value !== null && $value !== '' && $value !== []);
    }
}
