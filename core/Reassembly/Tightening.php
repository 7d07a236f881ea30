<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Slot;

/** How bolts are tightened, pass by pass, as a person copied it from the maker's manual. No such figure is known here. */
final readonly class Tightening
{
    public const PART = 'assembly';
    public const ITEM = 'tightening';
    private const MOST_PASSES = 12;

    /**
     * @param non-empty-list<array{figure: float, unit: TighteningUnit}> $passes
     * @param string $threads dry, oiled, with which lubricant
     */
    private function __construct(
        public array $passes,
        public BoltUse $bolts,
        public string $threads,
        public string $order,
        public string $source,
    ) {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        $passes = [];
        foreach ($data->get('passes')->items(self::MOST_PASSES) as $pass) {
            $unit = $pass->get('unit')->choice(TighteningUnit::class);
            $figure = $pass->get('figure')->number();
            if ($figure <= 0 || $figure > $unit->most()) {
                throw BadDocument::at(
                    $pass->pointer.'/figure',
                    sprintf('%s %s is not plausible; accepted is up to %s.', $figure, $unit->value, $unit->most()),
                );
            }
            $passes[] = ['figure' => $figure, 'unit' => $unit];
        }
        $source = trim($data->maybe('source')?->text(200) ?? '');
        if ($passes === [] || $source === '') {
            throw BadDocument::at(
                $passes === [] ? '/passes' : '/source',
                $passes === [] ? 'at least one pass is needed.' : 'say where the figures stand: the maker’s manual, its edition and page.',
            );
        }
        $words = static fn (string $key): string => trim($data->maybe($key)?->text(200) ?? '');

        return new self($passes, $data->get('bolts')->choice(BoltUse::class), $words('threads'), $words('order'), $source);
    }

    public static function slot(Joint $joint): Slot
    {
        return new Slot(Place::ENGINE, self::PART, self::ITEM, $joint->value);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'passes' => array_map(
                static fn (array $pass): array => ['figure' => $pass['figure'], 'unit' => $pass['unit']->value], $this->passes,
            ),
            'bolts' => $this->bolts->value, 'source' => $this->source,
        ] + array_filter(['threads' => $this->threads, 'order' => $this->order], static fn (string $words): bool => $words !== '');
    }
}
