<?php

declare(strict_types=1);

namespace MuteTapper\Core\CaseFile;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/**
 * What the analyst says was the cause: one or more causes by their codes, the reasons in words, and how sure in per cent; where it
 * began, what it was not and why, and what stays open.
 */
final readonly class Call
{
    private const MOST_CAUSES = 20;
    private const MOST_WORDS = 8000;
    /** How sure in words, from so many per cent on. [own] */
    public const SURE = [
        95 => 'as good as certain', 80 => 'very likely', 60 => 'likely', 40 => 'even odds', 20 => 'doubtful', 0 => 'a guess',
    ];

    /**
     * @param list<string> $causes codes; a cause that the catalogue of the day does not list keeps its code
     * @param string|null $firstEvent code of a cause or event
     * @param list<RuledOut> $ruledOut
     */
    private function __construct(
        public array $causes,
        public string $words,
        public ?int $confidence,
        public string $by,
        public ?string $firstEvent,
        public array $ruledOut,
        public string $open,
    ) {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        $ruledOut = array_map(
            static fn (Node $one): RuledOut => new RuledOut(self::code($one->get('cause')), trim($one->get('why')->text(self::MOST_WORDS))),
            $node->maybe('ruledOut')?->items(self::MOST_CAUSES) ?? [],
        );
        $causes = array_map(self::code(...), $node->get('causes')->items(self::MOST_CAUSES));
        foreach ($ruledOut as $i => $one) {
            if (in_array($one->cause, $causes, true)) {
                throw BadDocument::at($node->get('ruledOut')->items()[$i]->pointer, sprintf('“%s” is called and ruled out.', $one->cause));
            }
        }

        return new self(
            $causes, trim($node->maybe('words')?->text(self::MOST_WORDS) ?? ''), $node->maybe('confidence')?->whole(0, 100),
            $node->get('by')->word(80), $node->has('firstEvent') ? self::code($node->get('firstEvent')) : null, $ruledOut,
            trim($node->maybe('open')?->text(self::MOST_WORDS) ?? ''),
        );
    }

    public function isComplete(): bool
    {
        return $this->causes !== [] && $this->words !== '' && $this->confidence !== null;
    }

    /** How sure, in words; empty where it was not said. */
    public static function sure(?int $confidence): string
    {
        foreach (self::SURE as $least => $words) {
            if ($confidence !== null && $confidence >= $least) {
                return $words;
            }
        }

        return '';
    }

    /** @return array<string, mixed> in the shape that fromNode reads */
    public function toArray(): array
    {
        return ['causes' => $this->causes, 'words' => $this->words, 'confidence' => $this->confidence, 'by' => $this->by]
            + array_filter([
                'firstEvent' => $this->firstEvent,
                'ruledOut' => array_map(static fn (RuledOut $one): array => $one->toArray(), $this->ruledOut), 'open' => $this->open,
            ], static fn (mixed $value): bool => $value !== null && $value !== [] && $value !== '');
    }

    /** @throws BadDocument */
    private static function code(Node $node): string
    {
        return preg_match('/^[a-z0-9_-]+$/D', $node->word(80)) === 1
            ? $node->word(80) : throw BadDocument::at($node->pointer, sprintf('“%s” is no code of a cause.', $node->word(80)));
    }
}
