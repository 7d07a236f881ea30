<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\App\CaseFile\CaseDocument;
use MuteTapper\App\CaseFile\Documents;
use MuteTapper\App\CaseFile\RawCase;
use MuteTapper\App\Engine\EngineInput;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Shared\Query;
use MuteTapper\App\Shared\Version;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Entry\Entry;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A case and its documents. */
#[Route('/api/cases')]
final class CaseController
{
    private const MOST_BYTES = 64 * 1024 * 1024;

    #[Route('', methods: ['POST'])]
    #[OA\Post(
        path: '/api/cases', operationId: 'createCase',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['id', 'name', 'engine', 'by'], properties: [
            new OA\Property('id', type: 'string', format: 'uuid'), new OA\Property('name', type: 'string'),
            new OA\Property('engine', ref: EngineInput::class), new OA\Property('by', type: 'string'),
        ], type: 'object')), responses: [
            new OA\Response(response: 201, description: 'created', content: new OA\JsonContent(ref: CaseView::class)),
        ])]
    public function create(Request $request, Documents $documents, CasePresenter $presenter): JsonResponse
    {
        $input = JsonBody::of($request);
        $view = $presenter->viewOf(static fn (): CaseRecord => $documents->create(
            Entry::uuid($input->get('id')), $input->get('name')->word(),
            Engine::fromNode(EngineInput::toDescription($input->get('engine'))), $input->get('by')->word(80),
        ));

        return new JsonResponse($view, 201);
    }

    #[Route('/import', methods: ['POST'], priority: 1)]
    #[OA\Post(
        path: '/api/cases/import', operationId: 'importCase',
        parameters: [
            new OA\QueryParameter(name: 'copy', schema: new OA\Schema(type: 'boolean')),
            new OA\QueryParameter(name: 'by', required: true, schema: new OA\Schema(type: 'string')),
            new OA\QueryParameter(name: 'file', schema: new OA\Schema(type: 'string')),
        ],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(type: 'object')), responses: [
            new OA\Response(response: 201, description: 'imported', content: new OA\JsonContent(ref: CaseView::class)),
        ])]
    public function import(Request $request, CaseDocument $document, CasePresenter $presenter): JsonResponse
    {
        if (strlen($request->getContent()) > self::MOST_BYTES) {
            throw Problem::tooLarge('The file has more than 64 MB, which no case document has.');
        }
        $by = Query::word($request, 'by', 'import', 80);
        $checked = $document->check($request->getContent(), Query::word($request, 'file', 'The file'));
        $view = $presenter->viewOf(
            static fn (): CaseRecord => $document->store($checked, $request->query->getBoolean('copy'), $by),
        );

        return new JsonResponse($view, 201);
    }

    #[Route('/{id}', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}', operationId: 'getCase', responses: [
        new OA\Response(response: 200, description: 'the case', content: new OA\JsonContent(ref: CaseView::class)),
    ])]
    public function get(CaseRecord $case, CasePresenter $presenter): JsonResponse
    {
        return new JsonResponse($presenter->view($case));
    }

    #[Route('/{id}/description', methods: ['PUT'])]
    #[OA\Put(
        path: '/api/cases/{id}/description', operationId: 'describeCase',
        parameters: [new OA\HeaderParameter(name: 'If-Match', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(
            required: true, content: new OA\JsonContent(required: ['name', 'story', 'settings', 'by'], properties: [
                new OA\Property('name', type: 'string'),
                new OA\Property(
                    'story', type: 'object',
                    additionalProperties: new OA\AdditionalProperties(
                        oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'array', items: new OA\Items(type: 'string'))],
                    ),
                ),
                new OA\Property('settings', ref: SettingsView::class), new OA\Property('by', type: 'string'),
            ], type: 'object')), responses: [
                new OA\Response(response: 200, description: 'written', content: new OA\JsonContent(ref: CaseView::class)),
            ])]
    public function describe(CaseRecord $case, Request $request, Documents $documents, CasePresenter $presenter): JsonResponse
    {
        $input = JsonBody::of($request);
        $by = $input->get('by')->word(80);

        return new JsonResponse(
            $presenter->viewAfter($case, static fn () => $documents->describe($case, Version::seen($request), $input, $by)),
        );
    }

    #[Route('/{id}/engine', methods: ['PUT'])]
    #[OA\Put(
        path: '/api/cases/{id}/engine', operationId: 'describeEngine',
        parameters: [
            new OA\HeaderParameter(name: 'If-Match', required: true, schema: new OA\Schema(type: 'string')),
            new OA\QueryParameter(name: 'by', required: true, schema: new OA\Schema(type: 'string')),
        ],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: EngineInput::class)), responses: [
            new OA\Response(response: 200, description: 'written', content: new OA\JsonContent(ref: CaseView::class)),
        ])]
    public function describeEngine(CaseRecord $case, Request $request, Documents $documents, CasePresenter $presenter): JsonResponse
    {
        $engine = EngineInput::toDescription(JsonBody::of($request));
        $by = Query::word($request, 'by', 'unknown');

        return new JsonResponse(
            $presenter->viewAfter($case, static fn () => $documents->describeEngine($case, Version::seen($request), $engine, $by)),
        );
    }

    #[Route('/{id}/case.json', methods: ['GET'])]
    public function export(CaseRecord $case, CaseDocument $document): Response
    {
        return new Response(
            $document->export($case), 200,
            [
                'Content-Type' => 'application/json',
                'Content-Disposition' => sprintf('attachment; filename="case-%04d.json"', $case->number),
            ],
        );
    }

    #[Route('/{id}/set-aside', methods: ['PUT'])]
    #[OA\Put(
        path: '/api/cases/{id}/set-aside', operationId: 'setAside',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['aside', 'by'], properties: [
            new OA\Property('aside', type: 'boolean'), new OA\Property('by', type: 'string'),
        ], type: 'object')), responses: [
            new OA\Response(
                response: 200, description: 'out of the way of the queue, or back in it',
                content: new OA\JsonContent(
                    required: ['setAside'], properties: [new OA\Property('setAside', type: 'boolean')], type: 'object',
                ),
            ),
        ])]
    public function setAside(CaseRecord $case, Request $request, Documents $documents): JsonResponse
    {
        $input = JsonBody::of($request);
        $documents->setAside($case, $input->get('aside')->flag(), $input->get('by')->word(80));

        return new JsonResponse(['setAside' => $case->setAside]);
    }

    /** What the database holds of a case as it lies there, for one that cannot be read. */
    #[Route('/{id}/raw.json', methods: ['GET'])]
    public function raw(string $id, RawCase $raw): Response
    {
        return new Response($raw->of($id), 200, [
            'Content-Type' => 'application/json', 'Content-Disposition' => 'attachment; filename="case-raw.json"',
        ]);
    }
}
