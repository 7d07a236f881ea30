<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\BuildFlag;
use MuteTapper\Core\Engine\Engine;

/** A root cause: what was wrong before anything was damaged. */
final readonly class Cause
{
    private const FORMS = [
        'near' => 'toward the piston', 'far' => 'away from the piston', 'much' => 'too much', 'little' => 'too little',
    ];

    /**
     * @param array<string, float> $prior relative weight by engine type; `any` or tokens joined by +, such as `pushrod+hydraulic`
     * @param array<string, float> $scopes shares of the regions it can have: station, several, cylinder, kind, bank, all
     * @param array<string, float> $forms shares of the ways in which it can be wrong, such as near and far; one without a name where
     *                                    there is one way only
     * @param list<string> $requires build flags without which it is excluded
     * @param list<string> $residesIn components that carry it from build to build
     */
    private function __construct(
        public string $code,
        public string $family,
        public string $label,
        public string $explain,
        public array $prior,
        public array $scopes,
        public array $forms,
        public array $requires,
        public array $residesIn,
        public bool $outside,
    ) {
    }

    public static function fromNode(Node $node): self
    {
        $numbers = static fn (Node $map): array => array_map(static fn (Node $n): float => $n->number(), $map->members());

        return new self(
            $node->get('code')->word(),
            $node->get('family')->word(),
            $node->get('label')->word(),
            $node->get('explain')->word(1000),
            $numbers($node->get('prior')),
            $numbers($node->get('scopes')),
            $node->has('forms') ? $numbers($node->get('forms')) : ['' => 1.0],
            $node->maybe('requires')?->words() ?? [],
            $node->maybe('resides_in')?->words() ?? [],
            $node->maybe('outside')?->flag() ?? false,
        );
    }

    /** What a form of a cause is called behind its name. */
    public static function formWords(string $form): string
    {
        return self::FORMS[$form] ?? str_replace('_', ' ', $form);
    }

    /** The build flag that excludes this cause from an engine, or null. */
    public function excludedBy(Engine $engine): ?string
    {
        return $engine->lacks($this->requires);
    }

    /** Relative prior weight for an engine: the most specific match wins. */
    public function weight(Engine $engine): float
    {
        $best = 1.0;
        $most = -1;
        foreach ($this->prior as $type => $weight) {
            $tokens = $type === 'any' ? [] : explode('+', $type);
            $matches = array_filter($tokens, static fn (string $token): bool => $engine->flag($token) === BuildFlag::Yes);
            if (count($matches) === count($tokens) && count($tokens) > $most) {
                $most = count($tokens);
                $best = $weight;
            }
        }

        return $best;
    }
}
