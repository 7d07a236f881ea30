<?php

declare(strict_types=1);

namespace MuteTapper\Core\Schedule;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Slot;

/** What a laboratory answered: findings as name, value, unit and remark, in the open format of `docs/formats`. */
final readonly class LaboratoryReport
{
    private const MOST_RESULTS = 1000;

    /** @param list<array{name: string, value: string, unit: string, remark: string}> $results */
    private function __construct(public string $laboratory, public bool $simulated, public string $summary, public array $results)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        $results = array_map(static fn (Node $one): array => [
            'name' => $one->get('name')->word(), 'value' => $one->get('value')->text(200), 'unit' => $one->maybe('unit')?->text(40) ?? '',
            'remark' => $one->maybe('remark')?->text(1000) ?? '',
        ], $data->get('results')->items(self::MOST_RESULTS));

        return new self(
            $data->get('laboratory')->word(), $data->maybe('simulated')?->flag() ?? false, $data->get('words')->text(4000), $results,
        );
    }

    public static function slot(string $task): Slot
    {
        return new Slot(Place::ENGINE, Task::PART, 'report', $task);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['laboratory' => $this->laboratory, 'simulated' => $this->simulated, 'words' => $this->summary, 'results' => $this->results];
    }
}
