<?php

declare(strict_types=1);

namespace MuteTapper\App\Chain;

use MuteTapper\App\Record\CaseRecord;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** The chain of damage of a case. */
#[Route('/api/cases/{id}')]
final class ChainController
{
    #[Route('/chain', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/chain', operationId: 'getChain', responses: [
        new OA\Response(response: 200, description: 'from the cause to what was found', content: new OA\JsonContent(ref: ChainView::class)),
    ])]
    public function chain(CaseRecord $case, Chains $chains): JsonResponse
    {
        return new JsonResponse($chains->of($case));
    }
}
