<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use MuteTapper\Core\Document\Node;
use Symfony\Component\HttpFoundation\Request;

/** Decodes JSON that came from outside, with a message that says where it breaks off. */
final class JsonBody
{
    public static function of(Request $request): Node
    {
        return self::decode($request->getContent(), 'The request');
    }

    public static function decode(string $text, string $what): Node
    {
        try {
            return Node::root(json_decode($text, true, 64, \JSON_THROW_ON_ERROR));
        } catch (\JsonException $error) {
            throw Problem::unreadable(match (true) {
                trim($text) === '' => $what.' is empty.',
                preg_match('/^\s*[\[{]/', $text) !== 1 => sprintf(
                    '%s is not JSON: it begins with “%s”.', $what,
                    mb_strimwidth(trim(mb_convert_encoding($text, 'UTF-8', 'UTF-8')), 0, 30, '…'),
                ),
                preg_match('/[\]}]\s*$/', $text) !== 1 => sprintf(
                    '%s is cut off: it ends after %d bytes in the middle of the document.', $what, strlen($text),
                ),
                default => sprintf('%s is not valid JSON (%s).', $what, lcfirst($error->getMessage())),
            });
        }
    }
}
