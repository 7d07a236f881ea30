<?php

declare(strict_types=1);

namespace MuteTapper\App\Paper;

use MuteTapper\App\Shared\Problem;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** The papers that can be made. */
final readonly class PaperMakers
{
    /** @param iterable<PaperMaker> $makers */
    public function __construct(#[AutowireIterator(PaperMaker::class)] private iterable $makers)
    {
    }

    /** @throws Problem when there is no such kind */
    public function get(string $kind): PaperMaker
    {
        foreach ($this->makers as $maker) {
            if ($maker->kind() === $kind) {
                return $maker;
            }
        }
        throw Problem::notFound(sprintf('There is no paper “%s”.', $kind));
    }
}
