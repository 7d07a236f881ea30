<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\Slot;

/** Something to be told in one of a few words: where it hisses, how the needle moves. Asked at a step of the work, of each site. */
final readonly class Question
{
    /** @param non-empty-array<string, Choice> $choices */
    private function __construct(
        public string $code,
        public string $ask,
        public string $step,
        public Part $part,
        public Site $site,
        public array $choices,
        /** Whether more than one answer can be true. */
        public bool $several,
    ) {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        $choices = [];
        foreach ($node->get('choices')->items() as $choice) {
            $choice = Choice::fromNode($choice);
            $choices[$choice->code] = $choice;
        }

        return new self(
            $node->get('code')->word(), $node->get('ask')->word(), $node->get('step')->word(), $node->get('part')->choice(Part::class),
            $node->get('site')->choice(Site::class),
            $choices === [] ? throw BadDocument::at($node->pointer.'/choices', 'a question needs choices.') : $choices,
            $node->maybe('several')?->flag() ?? false,
        );
    }

    /** @return list<string> signs that its answers speak of */
    public function signs(): array
    {
        $signs = [];
        foreach ($this->choices as $choice) {
            if ($choice->sign !== null) {
                $signs[] = $choice->sign;
            }
        }

        return $signs;
    }

    public function slot(string $place): Slot
    {
        return new Slot($place, $this->part->value, $this->code);
    }
}
