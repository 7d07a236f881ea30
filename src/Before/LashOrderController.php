<?php

declare(strict_types=1);

namespace MuteTapper\App\Before;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\Core\Assessment\Assessment;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** The order in which lash is set and valves are pulled, and which is next. */
final class LashOrderController
{
    #[Route('/api/cases/{id}/lash-order', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/lash-order', operationId: 'getLashOrder', responses: [
        new OA\Response(
            response: 200, description: 'where the crank stands, and what is pulled next',
            content: new OA\JsonContent(ref: LashOrderView::class),
        ),
    ])]
    public function order(CaseRecord $case, Assessments $assessments): JsonResponse
    {
        return new JsonResponse(
            $assessments->kept(
                'lash-order', $case,
                static fn (Assessment $assessment): LashOrderView => LashOrderView::of($assessment->bench),
            ),
        );
    }
}
