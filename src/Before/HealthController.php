<?php

declare(strict_types=1);

namespace MuteTapper\App\Before;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\Core\Assessment\Assessment;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** The health of an engine that has not failed. */
final class HealthController
{
    #[Route('/api/cases/{id}/health', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/health', operationId: 'getHealth', responses: [
        new OA\Response(
            response: 200, description: 'lash, pulls and compression together', content: new OA\JsonContent(ref: HealthView::class),
        ),
    ])]
    public function health(CaseRecord $case, Assessments $assessments): JsonResponse
    {
        return new JsonResponse(
            $assessments->kept('health', $case, static fn (Assessment $assessment): HealthView => HealthView::of($assessment->bench)),
        );
    }
}
