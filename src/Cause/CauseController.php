<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\App\CaseFile\CasePresenter;
use MuteTapper\App\CaseFile\Cases;
use MuteTapper\App\CaseFile\CaseView;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Shared\Version;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** The cause board: ranking, ledger, and the analyst's call. */
#[Route('/api/cases/{id}')]
final class CauseController
{
    #[Route('/ranking', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/ranking', operationId: 'getRanking', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'the ranking', content: new OA\JsonContent(ref: RankingView::class)),
    ])]
    public function ranking(string $id, Cases $cases, Assessments $assessments): JsonResponse
    {
        return new JsonResponse($assessments->ranking($cases->get($id)));
    }

    #[Route('/ledger/{cause}', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/ledger/{cause}', operationId: 'getLedger', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')), new OA\PathParameter(name: 'cause', schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'the ledger of a cause', content: new OA\JsonContent(ref: LedgerView::class)),
    ])]
    public function ledger(string $id, string $cause, Cases $cases, Assessments $assessments): JsonResponse
    {
        $assessment = $assessments->of($cases->get($id));
        try {
            return new JsonResponse(LedgerPresenter::view($assessment, $assessment->ledger($cause)));
        } catch (\OutOfBoundsException) {
            throw Problem::notFound(sprintf('“%s” is not among the causes of this engine.', $cause));
        }
    }

    #[Route('/call', methods: ['PUT'])]
    #[OA\Put(path: '/api/cases/{id}/call', operationId: 'writeCall', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')), new OA\HeaderParameter(name: 'If-Match', required: true, schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: CallView::class)), responses: [
        new OA\Response(response: 200, description: 'written', content: new OA\JsonContent(ref: CaseView::class)),
    ])]
    public function write(string $id, Request $request, Cases $cases, Calls $calls, CasePresenter $presenter): JsonResponse
    {
        $case = $cases->get($id);
        $calls->write($case, Version::seen($request), $calls->read(JsonBody::of($request)));

        return new JsonResponse($presenter->view($case));
    }

    #[Route('/call/signature', methods: ['POST'])]
    #[OA\Post(path: '/api/cases/{id}/call/signature', operationId: 'signCall', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')), new OA\HeaderParameter(name: 'If-Match', required: true, schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['by'], properties: [new OA\Property('by', type: 'string')], type: 'object')), responses: [
        new OA\Response(response: 200, description: 'signed', content: new OA\JsonContent(ref: CaseView::class)),
    ])]
    public function sign(string $id, Request $request, Cases $cases, Calls $calls, CasePresenter $presenter): JsonResponse
    {
        $case = $cases->get($id);
        $calls->sign($case, Version::seen($request), JsonBody::of($request)->get('by')->word(80));

        return new JsonResponse($presenter->view($case));
    }
}
