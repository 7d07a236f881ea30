<?php

declare(strict_types=1);

namespace MuteTapper\Core\Verdict;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;

/** All limits by quantity, and the schools that set them. */
final readonly class Limits
{
    /**
     * @param array<string, Limit> $limits
     * @param array<string, array{label: string, meaning: string}> $schools
     */
    private function __construct(private array $limits, public array $schools)
    {
    }

    public static function fromNode(Node $node): self
    {
        $limits = $schools = [];
        foreach ($node->get('limits')->members() as $quantity => $limit) {
            $limits[$quantity] = Limit::fromNode($quantity, $limit);
        }
        foreach ($node->get('schools')->members() as $code => $school) {
            $schools[$code] = ['label' => $school->get('label')->word(), 'meaning' => $school->get('meaning')->word(1000)];
        }
        foreach ($limits as $quantity => $limit) {
            if (!isset($limit->schools[$limit->ruling])) {
                throw BadDocument::at('/limits/'.$quantity.'/default', sprintf('no school “%s” sets this limit.', $limit->ruling));
            }
        }

        return new self($limits, $schools);
    }

    /** The limit of a quantity as the chosen school sets it. */
    public function of(string $quantity, string $school): Limit
    {
        return ($this->limits[$quantity] ?? throw new \OutOfBoundsException('No limit for '.$quantity))->ruledBy($school);
    }
}
