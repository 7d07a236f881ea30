<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\Problem;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;

/** The cause board: ranking, ledger, next checks, signed calls. */
#[Route('/api/cases/{id}')]
final class CauseController
{
    #[Route('/ranking', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/ranking', operationId: 'getRanking', responses: [
        new OA\Response(response: 200, description: 'the ranking', content: new OA\JsonContent(ref: RankingView::class)),
    ])]
    public function ranking(CaseRecord $case, Rankings $rankings): JsonResponse
    {
        return new JsonResponse($rankings->of($case));
    }

    #[Route('/calls', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/calls', operationId: 'listCalls', responses: [
        new OA\Response(
            response: 200, description: 'signed calls, the last first',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: SignedCallView::class)),
        ),
    ])]
    public function calls(CaseRecord $case, Calls $calls): JsonResponse
    {
        return new JsonResponse($calls->allSigned($case));
    }

    #[Route('/next-checks', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/next-checks', operationId: 'getNextChecks', responses: [
        new OA\Response(response: 200, description: 'what would tell most', content: new OA\JsonContent(ref: NextChecksView::class)),
    ])]
    public function nextChecks(CaseRecord $case, Assessments $assessments): JsonResponse
    {
        return new JsonResponse($assessments->kept('next-checks', $case, NextChecksView::of(...)));
    }

    #[Route('/ledger/{cause}', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/ledger/{cause}', operationId: 'getLedger', parameters: [
        new OA\QueryParameter(
            name: 'against', required: false, description: 'another cause it is held against', schema: new OA\Schema(type: 'string'),
        ),
    ], responses: [
        new OA\Response(response: 200, description: 'the ledger of a cause', content: new OA\JsonContent(ref: LedgerView::class)),
    ])]
    public function ledger(
        CaseRecord $case,
        string $cause,
        Assessments $assessments,
        #[MapQueryParameter] ?string $against = null,
    ): JsonResponse {
        $assessment = $assessments->of($case);
        try {
            return new JsonResponse(LedgerPresenter::view($assessment, $assessment->ledger($cause, $against)));
        } catch (\OutOfBoundsException) {
            throw Problem::notFound(sprintf('“%s” is not among the causes of this engine.', $against ?? $cause));
        }
    }
}
