<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\BuildFlag;
use MuteTapper\Core\Engine\Engine;

/** A step of taking an engine apart, as the trade knows it: what it destroys and what must be recorded first. */
final readonly class PlannedStep
{
    /**
     * @param list<string> $requires facts of the engine without which there is no such step
     * @param list<string> $families families of causes for whose sake alone the step is made; empty for always
     * @param list<string> $destroys in words
     * @param list<string> $ends codes of readings and answers that cannot be taken any more
     * @param list<string> $after steps that belong before it
     * @param list<Requirement> $recordFirst
     * @param list<string> $opens parts that are looked at once it is made
     */
    private function __construct(
        public string $code,
        public string $label,
        public int $minutes,
        public array $requires,
        public array $families,
        public array $destroys,
        public array $ends,
        public array $after,
        public array $recordFirst,
        public ?string $caution,
        public array $opens,
    ) {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        $words = static fn (string $key): array => $node->maybe($key)?->words() ?? [];

        return new self(
            $node->get('code')->word(), $node->get('label')->word(), $node->get('minutes')->whole(1, 1000),
            $words('requires'), $words('families'), $words('destroys'), $words('ends'), $words('after'),
            array_map(Requirement::fromNode(...), $node->get('record_first')->items()),
            $node->maybe('caution')?->word(1000),
            $words('opens'),
        );
    }

    public function belongsTo(Engine $engine): bool
    {
        foreach ($this->requires as $flag) {
            if ($engine->flag($flag) !== BuildFlag::Yes) {
                return false;
            }
        }

        return true;
    }
}
