<?php

declare(strict_types=1);

namespace MuteTapper\App\Timeline;

use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** The life of the engine in order. */
final class TimelineController
{
    #[Route('/api/cases/{id}/timeline', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/timeline', operationId: 'getTimeline', responses: [
        new OA\Response(
            response: 200, description: 'order of the events, and what contradicts itself',
            content: new OA\JsonContent(ref: TimelineView::class),
        ),
    ])]
    public function timeline(CaseRecord $case, Cases $cases): JsonResponse
    {
        return new JsonResponse(TimelineView::of($cases->file($case), $case->revision));
    }
}
