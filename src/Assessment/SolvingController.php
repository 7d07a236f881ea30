<?php

declare(strict_types=1);

namespace MuteTapper\App\Assessment;

use MuteTapper\App\Record\CaseRecord;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** What takes long in a case is worked out outside the request: begun, watched, cancelled. */
#[Route('/api/cases/{id}/solving')]
final readonly class SolvingController
{
    public function __construct(private SolvingOfCases $solving)
    {
    }

    #[Route('', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/solving', operationId: 'getSolving', responses: [
        new OA\Response(response: 200, description: 'how far it is', content: new OA\JsonContent(ref: SolvingView::class)),
    ])]
    public function get(CaseRecord $case): JsonResponse
    {
        return new JsonResponse(SolvingView::of($this->solving->of($case)));
    }

    #[Route('', methods: ['POST'])]
    #[OA\Post(path: '/api/cases/{id}/solving', operationId: 'beginSolving', responses: [
        new OA\Response(response: 202, description: 'begun, or under way', content: new OA\JsonContent(ref: SolvingView::class)),
    ])]
    public function begin(CaseRecord $case): JsonResponse
    {
        return new JsonResponse(SolvingView::of($this->solving->begin($case)), 202);
    }

    #[Route('', methods: ['DELETE'])]
    #[OA\Delete(path: '/api/cases/{id}/solving', operationId: 'cancelSolving', responses: [
        new OA\Response(
            response: 200, description: 'cancelled; what was worked out stays', content: new OA\JsonContent(ref: SolvingView::class),
        ),
    ])]
    public function cancel(CaseRecord $case): JsonResponse
    {
        return new JsonResponse(SolvingView::of($this->solving->cancel($case)));
    }
}
