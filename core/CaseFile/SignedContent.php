<?php

declare(strict_types=1);

namespace MuteTapper\Core\CaseFile;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** What is read back of a signed call: the call, what the ranking said then, and the revision it was about. */
final readonly class SignedContent
{
    /** @param list<string> $leading what the ranking named then, or was open between */
    private function __construct(public Call $call, public string $sentence, public array $leading, public int $revision)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $content): self
    {
        return new self(
            Call::fromNode($content->get('call')), $content->get('ranking')->get('sentence')->text(),
            $content->get('ranking')->maybe('leading')?->words() ?? [], $content->get('revision')->whole(0, \PHP_INT_MAX),
        );
    }

    /** Whether the call names something that the ranking did not: both stand. */
    public function departs(): bool
    {
        return $this->leading !== [] && array_diff($this->call->causes, $this->leading) !== [];
    }
}
