<?php

declare(strict_types=1);

namespace MuteTapper\App\Likeness;

use MuteTapper\App\Record\CaseRecord;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** Past cases like one. */
#[Route('/api/cases/{id}')]
final class LikenessController
{
    #[Route('/past-cases', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/past-cases', operationId: 'listPastCases', responses: [
        new OA\Response(
            response: 200, description: 'signed cases like it, likest first',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: PastCaseView::class)),
        ),
    ])]
    public function pastCases(CaseRecord $case, PastCases $past): JsonResponse
    {
        return new JsonResponse($past->like($case));
    }
}
