<?php

declare(strict_types=1);

namespace MuteTapper\App\Compare;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Compare\Mismatch;
use MuteTapper\Core\Compare\Mismatches;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** What does not match in an engine. */
final readonly class MismatchController
{
    #[Route('/api/cases/{id}/mismatches', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/mismatches', operationId: 'listMismatches', responses: [
        new OA\Response(
            response: 200, description: 'found against claimed, bank against bank, some against the others of their kind',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: MismatchView::class)),
        ),
    ])]
    public function list(CaseRecord $case, Assessments $assessments): JsonResponse
    {
        return new JsonResponse($assessments->kept('mismatches', $case, static fn (Assessment $assessment): array => array_map(
            static fn (Mismatch $one): MismatchView => MismatchView::of($one, $assessment->bench),
            (new Mismatches($assessment->bench, $assessment->knowledge->questions))->all(),
        )));
    }
}
