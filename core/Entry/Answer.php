<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** What was answered to a question, with more words where there are any. */
final readonly class Answer
{
    /** @param list<string> $also further answers, where several can be true */
    private function __construct(public string $choice, public array $also, public string $note)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        return new self(
            $data->get('choice')->word(80), $data->maybe('also')?->words(20) ?? [], trim($data->maybe('note')?->text(1000) ?? ''),
        );
    }

    /** @return non-empty-list<string> all that was answered */
    public function choices(): array
    {
        return [$this->choice, ...$this->also];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['choice' => $this->choice]
            + ($this->also === [] ? [] : ['also' => $this->also])
            + ($this->note === '' ? [] : ['note' => $this->note]);
    }
}
