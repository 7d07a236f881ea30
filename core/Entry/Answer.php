<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** What was answered to a question, with more words where there are any. */
final readonly class Answer
{
    private function __construct(public string $choice, public string $note)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        return new self($data->get('choice')->word(80), trim($data->maybe('note')?->text(1000) ?? ''));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['choice' => $this->choice] + ($this->note === '' ? [] : ['note' => $this->note]);
    }
}
