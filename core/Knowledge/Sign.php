<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;

/** An entry of the catalogue of signs: what to look for, how to photograph it, and what it is easily taken for. */
final readonly class Sign
{
    /**
     * @param non-empty-list<Part> $parts parts on which it occurs
     * @param list<string> $severity words for steps 0 to 4
     * @param list<string> $words other words under which people look for it
     * @param list<string> $requires build flags without which it cannot occur
     * @param list<BenchState> $bench states of values that alone answer it, the more particular first
     * @param list<BenchState> $measured states of values that answer it where no person did
     * @param list<string> $yieldsTo more particular signs: where one of them is, this one is silent
     * @param string|null $detailOf the sign whose particulars it tells: absent only where that one is present
     * @param list<string> $compared columns and questions whose difference between the banks answers it
     * @param bool $needsFill a hydraulic element must be said to be filled or drained
     */
    private function __construct(
        public string $code,
        public string $name,
        public array $parts,
        public Site $site,
        public SeenBy $seenBy,
        public string $lookFor,
        public string $photograph,
        public string $lookAlike,
        public array $severity,
        public array $words,
        public float $leak,
        public bool $gross,
        public array $requires,
        public array $bench,
        public array $measured,
        public bool $needsFill,
        public array $yieldsTo,
        public ?string $detailOf,
        public array $compared,
    ) {
    }

    public static function fromNode(Node $node): self
    {
        $parts = array_map(static fn (Node $part): Part => $part->choice(Part::class), $node->get('parts')->items());

        return new self(
            $node->get('code')->word(),
            $node->get('name')->word(),
            $parts === [] ? throw BadDocument::at($node->pointer.'/parts', 'a sign needs a part.') : $parts,
            $node->get('site')->choice(Site::class),
            $node->get('seen_by')->choice(SeenBy::class),
            $node->get('look_for')->word(1000),
            $node->get('photograph')->word(1000),
            $node->get('look_alike')->word(1000),
            $node->get('severity')->words(),
            $node->maybe('words')?->words() ?? [],
            $node->get('leak')->number(),
            $node->maybe('gross')?->flag() ?? false,
            $node->maybe('requires')?->words() ?? [],
            array_map(BenchState::fromNode(...), $node->maybe('bench')?->items() ?? []),
            array_map(BenchState::fromNode(...), $node->maybe('measured')?->items() ?? []),
            $node->maybe('needs_fill')?->flag() ?? false,
            $node->maybe('yields_to')?->words() ?? [],
            $node->maybe('detail_of')?->word(),
            $node->maybe('compared')?->words() ?? [],
        );
    }

    /** Whether only the bench can answer it, and nobody by looking. */
    public function isFromBench(): bool
    {
        return $this->bench !== [] || $this->compared !== [];
    }

    /** Whether this engine can show the sign at all. */
    public function isPossibleOn(Engine $engine): bool
    {
        if ($engine->lacks($this->requires) !== null) {
            return false;
        }
        foreach ($this->parts as $part) {
            if ($part->isFittedTo($engine)) {
                return true;
            }
        }

        return false;
    }
}
