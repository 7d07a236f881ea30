<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use MuteTapper\App\Record\CaseRecord;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** The teardown's plan, what is worth a look, and where the parts are. */
#[Route('/api/cases/{id}')]
final class TeardownController
{
    #[Route('/teardown', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/teardown', operationId: 'getTeardown', responses: [
        new OA\Response(response: 200, description: 'the plan', content: new OA\JsonContent(ref: TeardownView::class)),
    ])]
    public function plan(CaseRecord $case, TeardownPresenter $presenter): JsonResponse
    {
        return new JsonResponse($presenter->view($case));
    }

    #[Route('/attention/{place}', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/attention/{place}', operationId: 'getAttention', responses: [
        new OA\Response(
            response: 200, description: 'signs still worth a look there',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: AttentionView::class)),
        ),
    ])]
    public function attention(CaseRecord $case, string $place, TeardownPresenter $presenter): JsonResponse
    {
        return new JsonResponse($presenter->attention($case, $place));
    }

    #[Route('/custody', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/custody', operationId: 'getCustody', responses: [
        new OA\Response(
            response: 200, description: 'every move of every part, newest first',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: CustodyMoveView::class)),
        ),
    ])]
    public function custody(CaseRecord $case, TeardownPresenter $presenter): JsonResponse
    {
        return new JsonResponse($presenter->custody($case));
    }
}
