<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use Symfony\Component\HttpFoundation\Request;

/** Words that came in the address or in a header. */
final class Query
{
    /**
     * @param string $else where nothing was said
     *
     * @throws BadDocument when they are too long or not UTF-8
     */
    public static function word(Request $request, string $name, string $else, int $most = 200): string
    {
        $text = $request->query->getString($name);

        return $text === '' ? $else : Node::root([$name => $text])->get($name)->word($most);
    }

    /** The name of a file that is sent, as its header says; what of it is not UTF-8 is replaced. */
    public static function fileName(Request $request, string $else): string
    {
        $name = trim(mb_scrub(rawurldecode($request->headers->get('X-File-Name') ?? ''), 'UTF-8'));

        return $name === '' ? $else : mb_strimwidth($name, 0, 200);
    }
}
