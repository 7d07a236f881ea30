<?php

declare(strict_types=1);

namespace MuteTapper\App\Reassembly;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** How an engine goes back together, and how it comes back. */
#[Route('/api/cases/{id}')]
final readonly class ReassemblyController
{
    #[Route('/reassembly', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/reassembly', operationId: 'getReassembly', responses: [
        new OA\Response(
            response: 200, description: 'the plan of this engine and its remedies, line by line',
            content: new OA\JsonContent(ref: PlanView::class),
        ),
    ])]
    public function plan(CaseRecord $case, PlanPresenter $plans): JsonResponse
    {
        return new JsonResponse($plans->of($case));
    }

    #[Route('/afterwards', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/afterwards', operationId: 'getAfterwards', responses: [
        new OA\Response(
            response: 200, description: 'each return with lash and pulls against the rebuild, and the shop’s record of calls',
            content: new OA\JsonContent(ref: AfterwardsView::class),
        ),
    ])]
    public function afterwards(CaseRecord $case, Assessments $assessments, Returns $returns, CallRecord $record): JsonResponse
    {
        return new JsonResponse(new AfterwardsView($returns->of($assessments->of($case)), $record->ofShop()));
    }
}
