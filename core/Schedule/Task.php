<?php

declare(strict_types=1);

namespace MuteTapper\Core\Schedule;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Entry\Slot;

/** Something the case needs done, with how long it takes in days and what must be done before it. */
final readonly class Task
{
    public const PART = 'schedule';
    public const ITEM = 'task';
    private const LONGEST = 400.0;
    private const MOST_BEFORE = 200;

    /** @param list<string> $after ids of tasks that come before it */
    private function __construct(
        public string $label,
        public TaskKind $kind,
        public TaskState $state,
        public float $leastDays,
        public float $mostDays,
        public array $after,
        public ?\DateTimeImmutable $due,
        public ?\DateTimeImmutable $begun,
        public ?\DateTimeImmutable $done,
    ) {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        $least = $data->maybe('leastDays')?->number() ?? 0.0;
        $most = $data->maybe('mostDays')?->number() ?? $least;
        if ($least < 0 || $most > self::LONGEST) {
            throw BadDocument::at('/leastDays', sprintf('a task takes 0 to %d days.', self::LONGEST));
        }
        if ($most < $least) {
            throw BadDocument::at('/mostDays', sprintf('at most %s days is less than at least %s.', $most, $least));
        }
        $begun = $data->maybe('begun')?->day();
        $done = $data->maybe('done')?->day();
        if ($begun !== null && $done !== null && $done < $begun) {
            throw BadDocument::at(
                '/done',
                sprintf('it cannot be done on %s and begun on %s.', $done->format('Y-m-d'), $begun->format('Y-m-d')),
            );
        }

        return new self(
            $data->get('label')->word(200), $data->get('kind')->choice(TaskKind::class),
            $data->maybe('taskState')?->choice(TaskState::class) ?? TaskState::Open,
            $least, $most, $data->maybe('after')?->words(self::MOST_BEFORE) ?? [], $data->maybe('due')?->day(), $begun, $done,
        );
    }

    public static function slot(string $id): Slot
    {
        return new Slot(Place::ENGINE, self::PART, self::ITEM, $id);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_filter([
            'label' => $this->label, 'kind' => $this->kind->value, 'taskState' => $this->state->value, 'leastDays' => $this->leastDays,
            'mostDays' => $this->mostDays,
            'after' => $this->after === [] ? null : $this->after,
            'due' => $this->due?->format('Y-m-d'), 'begun' => $this->begun?->format('Y-m-d'), 'done' => $this->done?->format('Y-m-d'),
        ], static fn (mixed $value): bool => $value !== null);
    }
}
