<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Slot;

/** Which remedies are taken: at most one that cures or is tried, beside it what holds meanwhile. */
final readonly class Taken
{
    public const ITEM = 'taken';
    private const MOST = 20;

    /** @param list<string> $remedies ids */
    private function __construct(public array $remedies, public string $words)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        $remedies = $data->get('remedies')->words(self::MOST);
        if ($remedies === []) {
            throw BadDocument::at('/remedies', 'nothing is taken: take the entry back instead.');
        }

        return new self($remedies, trim($data->maybe('words')?->text(2000) ?? ''));
    }

    public static function slot(): Slot
    {
        return new Slot(Place::ENGINE, Remedy::PART, self::ITEM);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['remedies' => $this->remedies] + ($this->words === '' ? [] : ['words' => $this->words]);
    }
}
