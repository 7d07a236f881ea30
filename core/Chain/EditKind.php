<?php

declare(strict_types=1);

namespace MuteTapper\Core\Chain;

/** What a person changes on the chain. None of it reaches the ranking. */
enum EditKind: string
{
    /** One event did not lead to the other. */
    case Cut = 'cut';
    /** One event led to the other. */
    case Link = 'link';
    /** One event came before the other. */
    case Order = 'order';
    /** Something happened that the catalogue does not have. */
    case Event = 'event';
    /** It began with this one. */
    case First = 'first';
    /** This is damage from before this failure. */
    case Older = 'older';
    /** All that lead to this one were needed. */
    case Both = 'both';

    public function isOfTwo(): bool
    {
        return $this === self::Cut || $this === self::Link || $this === self::Order;
    }
}
