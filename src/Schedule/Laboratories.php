<?php

declare(strict_types=1);

namespace MuteTapper\App\Schedule;

use MuteTapper\App\Shared\Problem;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** The laboratories this shop can ask. */
final readonly class Laboratories
{
    /** @param iterable<Laboratory> $laboratories */
    public function __construct(#[AutowireIterator(Laboratory::class)] private iterable $laboratories)
    {
    }

    /** @return list<Laboratory> */
    public function all(): array
    {
        return iterator_to_array($this->laboratories, false);
    }

    public function get(string $code): Laboratory
    {
        foreach ($this->laboratories as $laboratory) {
            if ($laboratory->code() === $code) {
                return $laboratory;
            }
        }
        throw Problem::notFound(sprintf('There is no laboratory “%s” to ask.', $code));
    }
}
