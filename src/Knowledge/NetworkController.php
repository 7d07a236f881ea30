<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use MuteTapper\Core\Knowledge\Cause;
use MuteTapper\Core\Knowledge\Event;
use MuteTapper\Core\Knowledge\Link;
use MuteTapper\Core\Knowledge\Sign;
use MuteTapper\Core\Knowledge\Strength;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Causes, mechanisms and signs with what leads from one to another, to be browsed both ways. */
final readonly class NetworkController
{
    public function __construct(private KnowledgeFiles $files)
    {
    }

    #[Route('/api/network', methods: ['GET'])]
    #[OA\Get(path: '/api/network', operationId: 'getNetwork', responses: [
        new OA\Response(
            response: 200, description: 'causes, mechanisms, signs, links', content: new OA\JsonContent(ref: NetworkView::class),
        ),
    ])]
    public function network(Request $request): JsonResponse
    {
        $knowledge = $this->files->current();
        $network = $knowledge->network;
        $shipped = $this->files->shipped()->network->links();
        $nodes = [
            ...array_map(static fn (Cause $cause): NetworkNodeView => new NetworkNodeView(
                $cause->code, 'cause', $cause->label, $cause->explain, $knowledge->families[$cause->family] ?? $cause->family, [],
            ), array_values($network->causes)),
            ...array_map(static fn (Event $event): NetworkNodeView => new NetworkNodeView(
                $event->code, 'mechanism', $event->label, '', '', [],
            ), array_values($network->events)),
            ...array_map(static fn (Sign $sign): NetworkNodeView => new NetworkNodeView(
                $sign->code, 'sign', $sign->name, $sign->lookFor, str_replace('_', ' ', $sign->parts[0]->value), $sign->words,
            ), array_values($knowledge->signs)),
        ];
        $links = [];
        foreach ($network->linksByChild() as $child => $of) {
            foreach ($of as $link) {
                $code = $link->code($child);
                $links[] = new LinkView(
                    $code, $link->parent, $child, self::when($link), $link->strength->value, $link->reason, $link->mark, $link->isShops,
                    $shipped[$code]->strength->value,
                );
            }
        }
        $response = new JsonResponse(new NetworkView($nodes, $links, array_map(
            static fn (Strength $one): StrengthView => new StrengthView($one->value, $one->probability()), Strength::cases(),
        ), array_map(CheckView::of(...), array_values($knowledge->checks))));
        $response->setEtag($this->files->tag());
        $response->isNotModified($request);

        return $response;
    }

    private static function when(Link $link): string
    {
        $words = [
            ...($link->when === null ? [] : [Cause::formWords($link->when)]),
            ...($link->at === null ? [] : ['at '.$link->at->word().'s']),
        ];

        return implode(', ', $words);
    }
}
