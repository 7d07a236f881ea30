<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\App\CaseFile\Documents;
use MuteTapper\App\Cause\Calls;
use MuteTapper\App\Cause\CallView;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Version;
use MuteTapper\Core\CaseFile\Call;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** The analyst's call: written, and signed. */
#[Route('/api/cases/{id}/call')]
final class CallController
{
    #[Route('', methods: ['PUT'])]
    #[OA\Put(
        path: '/api/cases/{id}/call', operationId: 'writeCall',
        parameters: [new OA\HeaderParameter(name: 'If-Match', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: CallView::class)),
        responses: [new OA\Response(response: 200, description: 'written', content: new OA\JsonContent(ref: CaseView::class))],
    )]
    public function write(CaseRecord $case, Request $request, Documents $documents, CasePresenter $presenter): JsonResponse
    {
        $call = Call::fromNode(JsonBody::of($request));
        $view = $presenter->viewAfter($case, static fn () => $documents->call($case, Version::seen($request), $call));

        return new JsonResponse($view);
    }

    #[Route('/signature', methods: ['POST'])]
    #[OA\Post(
        path: '/api/cases/{id}/call/signature', operationId: 'signCall',
        parameters: [new OA\HeaderParameter(name: 'If-Match', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\JsonContent(required: ['by'], properties: [new OA\Property('by', type: 'string')], type: 'object'),
        ),
        responses: [new OA\Response(response: 200, description: 'signed', content: new OA\JsonContent(ref: CaseView::class))],
    )]
    public function sign(CaseRecord $case, Request $request, Calls $calls, CasePresenter $presenter): JsonResponse
    {
        $by = JsonBody::of($request)->get('by')->word(80);
        $view = $presenter->viewAfter($case, static fn () => $calls->sign($case, Version::seen($request), $by));

        return new JsonResponse($view);
    }
}
