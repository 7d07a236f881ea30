<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Site;

/** Something that can be done to learn of one or more signs: how long it takes, what it destroys, and until when it can be done. */
final readonly class Check
{
    /**
     * @param int $minutes of work, at one place of its site [own]
     * @param int $days waited for beside the work
     * @param Site $site where it is done: at each station, each cylinder, or once
     * @param non-empty-list<string> $signs that it answers
     * @param string $reading how its result is read
     * @param list<string> $after steps of which one must be made; none, where it is done on the engine as it came
     * @param list<string> $until steps of the teardown after which it cannot be done any more
     * @param list<string> $destroys in words
     * @param list<string> $requires build flags without which there is nothing to check
     */
    private function __construct(
        public string $code,
        public string $label,
        public int $minutes,
        public int $days,
        public Site $site,
        public array $signs,
        public string $reading,
        public array $after,
        public array $until,
        public array $destroys,
        public array $requires,
        public ?string $caution,
    ) {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        $words = static fn (string $key): array => $node->maybe($key)?->words() ?? [];
        $signs = $words('signs');

        return new self(
            $node->get('code')->word(), $node->get('label')->word(), $node->get('minutes')->whole(1, 1000),
            $node->maybe('days')?->whole(1, 100) ?? 0, $node->get('site')->choice(Site::class),
            $signs === [] ? throw BadDocument::at($node->pointer.'/signs', 'a check answers at least one sign.') : $signs,
            $node->get('reading')->word(1000), $words('after'), $words('until'), $words('destroys'), $words('requires'),
            $node->maybe('caution')?->word(1000),
        );
    }

    public function belongsTo(Engine $engine): bool
    {
        return $engine->lacks($this->requires) === null;
    }

    /** @param list<string> $made steps of the teardown that are made */
    public function canBeDone(array $made): bool
    {
        return array_intersect($this->until, $made) === [] && ($this->after === [] || array_intersect($this->after, $made) !== []);
    }
}
