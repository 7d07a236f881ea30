<?php

declare(strict_types=1);

namespace MuteTapper\App\Before;

use MuteTapper\App\CaseFile\Cases;
use MuteTapper\App\Cause\Assessments;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** What the tests on the assembled engine tell. */
final class BeforeController
{
    #[Route('/api/cases/{id}/before', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/before', operationId: 'getBefore', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'margins, remarks, the order of pulls, and changes over dates', content: new OA\JsonContent(ref: BeforeView::class)),
    ])]
    public function sheet(string $id, Cases $cases, Assessments $assessments): JsonResponse
    {
        $case = $cases->get($id);

        return new JsonResponse(BeforeView::of($assessments->of($case), $case->revision));
    }
}
