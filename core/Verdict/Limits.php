<?php

declare(strict_types=1);

namespace MuteTapper\Core\Verdict;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** All limits by the value they judge, and the schools that set them. */
final readonly class Limits
{
    /**
     * @param array<string, Limit> $limits
     * @param array<string, array{label: string, meaning: string}> $schools
     */
    private function __construct(private array $limits, public array $schools)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        $limits = $schools = [];
        foreach ($node->get('limits')->members() as $quantity => $limit) {
            $limits[$quantity] = Limit::fromNode($quantity, $limit);
        }
        foreach ($node->get('schools')->members() as $code => $school) {
            $schools[$code] = ['label' => $school->get('label')->word(), 'meaning' => $school->get('meaning')->word(1000)];
        }

        return new self($limits, $schools);
    }

    public function has(string $quantity): bool
    {
        return isset($this->limits[$quantity]);
    }

    public function of(string $quantity): Limit
    {
        return $this->limits[$quantity] ?? throw new \LogicException('No limit for '.$quantity);
    }

    /** @return list<string> */
    public function quantities(): array
    {
        return array_keys($this->limits);
    }
}
