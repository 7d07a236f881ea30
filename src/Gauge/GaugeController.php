<?php

declare(strict_types=1);

namespace MuteTapper\App\Gauge;

use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Assessment\AllSheets;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** What a gauge on its cable shows now. */
final class GaugeController
{
    #[Route('/api/gauges/{gauge}/reading', methods: ['GET'])]
    #[OA\Get(path: '/api/gauges/{gauge}/reading', operationId: 'readGauge', parameters: [
        new OA\QueryParameter(
            name: 'quantity', description: 'column it is read for', required: true, schema: new OA\Schema(type: 'string'),
        ),
    ], responses: [
        new OA\Response(response: 200, description: 'one line of the gauge', content: new OA\JsonContent(ref: GaugeReadingView::class)),
    ])]
    public function read(string $gauge, Request $request, GaugeFeed $feed): JsonResponse
    {
        $quantity = $request->query->getString('quantity');
        if (!$feed->has($gauge) || !isset(AllSheets::get()->columns[$quantity])) {
            throw Problem::notFound('This gauge is not on a cable: type what it shows.');
        }

        return new JsonResponse($feed->read($gauge, $quantity));
    }
}
