<?php

declare(strict_types=1);

namespace MuteTapper\Core\Chain;

/** How well an event of the chain is known, the best first. */
enum EventStanding: string
{
    /** It left a mark of its own that was seen or measured. */
    case Seen = 'seen';
    /** Its marks were told, not seen. */
    case Told = 'told';
    /** What was seen needs it; nothing shows it. */
    case Implied = 'implied';
    /** It would follow, and nobody looked. */
    case NotLooked = 'not_looked';
    /** It would follow or come before; its marks were looked for and are not there. */
    case Denied = 'denied';

    /** A link is as weak as its weaker end. */
    public function weaker(self $other): self
    {
        $order = self::cases();

        return $order[max(array_search($this, $order, true), array_search($other, $order, true))];
    }

    /** Whether it belongs to the story of what happened. */
    public function isTold(): bool
    {
        return $this === self::Seen || $this === self::Told || $this === self::Implied;
    }
}
