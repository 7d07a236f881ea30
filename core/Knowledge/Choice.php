<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Severity;

/**
 * One answer to a question, what it means, and the sign it amounts to, if any. An answer such as “nowhere” denies the signs of the others.
 */
final readonly class Choice
{
    private function __construct(
        public string $code,
        public string $label,
        public string $meaning,
        public ?string $sign,
        public ?Severity $severity,
        public bool $denies,
        /** How sure it is that what it denies is not so: a part can be changed for one that is wrong alike. */
        public float $sureness,
        /** What is measured so is worth nothing. */
        public bool $spoils,
        /** Why it is kept although it weighs nowhere. */
        public ?string $recordOnly,
    ) {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        return new self(
            $node->get('code')->word(), $node->get('label')->word(), $node->get('meaning')->word(1000),
            $node->maybe('sign')?->word(), $node->maybe('severity')?->choice(Severity::class), $node->maybe('denies')?->flag() ?? false,
            $node->maybe('sureness')?->number() ?? 1.0,
            $node->maybe('spoils')?->flag() ?? false,
            $node->maybe('record_only')?->word(1000),
        );
    }
}
