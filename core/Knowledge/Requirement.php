<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** What must be recorded before a step: a reading, an answer, a look at a part, a photograph of it, or something a person confirms. */
final readonly class Requirement
{
    private function __construct(public RequirementKind $kind, public string $code, public ?string $label)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        foreach (RequirementKind::cases() as $kind) {
            if ($node->has($kind->value)) {
                return new self($kind, $node->get($kind->value)->word(), $node->maybe('label')?->word());
            }
        }
        throw BadDocument::at($node->pointer, 'a requirement names a reading, an answer, a look, a photograph or a confirmation.');
    }
}
