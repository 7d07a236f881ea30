<?php

declare(strict_types=1);

namespace MuteTapper\Core\CaseFile;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** What the analyst says was the cause: one or more causes by their codes, the reasons in words, and how sure in per cent. */
final readonly class Call
{
    private const MOST_CAUSES = 20;

    /** @param list<string> $causes codes; a cause that the catalogue of the day does not list keeps its code */
    private function __construct(public array $causes, public string $words, public ?int $confidence, public string $by)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        $causes = [];
        foreach ($node->get('causes')->items(self::MOST_CAUSES) as $cause) {
            if (preg_match('/^[a-z0-9_]+$/', $cause->word(80)) !== 1) {
                throw BadDocument::at($cause->pointer, sprintf('“%s” is no code of a cause.', $cause->word(80)));
            }
            $causes[] = $cause->word(80);
        }

        return new self(
            $causes, trim($node->maybe('words')?->text(8000) ?? ''), $node->maybe('confidence')?->whole(0, 100), $node->get('by')->word(80),
        );
    }

    public function isComplete(): bool
    {
        return $this->causes !== [] && $this->words !== '' && $this->confidence !== null;
    }

    /** @return array<string, mixed> in the shape that fromNode reads */
    public function toArray(): array
    {
        return ['causes' => $this->causes, 'words' => $this->words, 'confidence' => $this->confidence, 'by' => $this->by];
    }
}
