<?php

declare(strict_types=1);

namespace MuteTapper\App\Queue;

use MuteTapper\App\Shared\Problem;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** The bench queue. */
final class QueueController
{
    #[Route('/api/cases', methods: ['GET'])]
    #[OA\Get(path: '/api/cases', operationId: 'listCases', parameters: [
        new OA\QueryParameter(name: 'view', schema: new OA\Schema(type: 'string', enum: ShopView::class)),
        new OA\QueryParameter(name: 'person', description: 'whose cases are “mine”', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(
            name: 'find', description: 'words, or beginnings of words, that a case must have', schema: new OA\Schema(type: 'string'),
        ),
        new OA\QueryParameter(name: 'before', description: 'cursor of a page', schema: new OA\Schema(type: 'integer')),
    ], responses: [
        new OA\Response(response: 200, description: 'a page, newest first', content: new OA\JsonContent(ref: QueueView::class)),
    ])]
    public function list(Request $request, Queue $queue): JsonResponse
    {
        $query = $request->query;
        $view = ShopView::tryFrom($query->getString('view', ShopView::All->value)) ?? throw Problem::invalid(sprintf(
            'There is no view “%s” of the queue; accepted is one of %s.', $query->getString('view'),
            implode(', ', array_map(static fn (ShopView $one): string => $one->value, ShopView::cases())),
        ));
        $before = $query->getString('before');
        if ($before !== '' && !ctype_digit($before)) {
            throw Problem::invalid('“before” is the number that a page ended with.');
        }

        return JsonResponse::fromJsonString($queue->page(
            $view, mb_strcut($query->getString('person'), 0, 320), mb_strcut($query->getString('find'), 0, 1000),
            $before === '' ? null : (int) $before,
        )->toJson());
    }
}
