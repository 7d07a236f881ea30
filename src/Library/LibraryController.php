<?php

declare(strict_types=1);

namespace MuteTapper\App\Library;

use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Document\Node;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** The shelves of the library: looked at, put on, taken off, and all of them as one file. */
#[Route('/api/library')]
final class LibraryController
{
    public function __construct(private readonly Library $library, private readonly ShelfRules $rules)
    {
    }

    #[Route('/file.json', methods: ['GET'])]
    #[OA\Get(path: '/api/library/file.json', operationId: 'exportLibrary', responses: [
        new OA\Response(response: 200, description: 'all shelves', content: new OA\JsonContent(type: 'object')),
    ])]
    public function export(): JsonResponse
    {
        $response = new JsonResponse($this->library->document());
        $response->setEncodingOptions(
            \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION,
        );
        $response->headers->set('Content-Disposition', 'attachment; filename="library.json"');

        return $response;
    }

    #[Route('/file.json', methods: ['POST'])]
    #[OA\Post(
        path: '/api/library/file.json', operationId: 'importLibrary',
        parameters: [new OA\QueryParameter(name: 'by', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(type: 'object')), responses: [
            new OA\Response(response: 200, description: 'how many things changed', content: new OA\JsonContent(
                required: ['changed'], properties: [new OA\Property('changed', type: 'integer')], type: 'object',
            )),
        ])]
    public function import(Request $request): JsonResponse
    {
        $by = Node::root($request->query->getString('by'))->word(80);

        return new JsonResponse(['changed' => $this->library->import(JsonBody::of($request), $by)]);
    }

    #[Route('/{shelf}', methods: ['GET'])]
    #[OA\Get(path: '/api/library/{shelf}', operationId: 'listShelf', responses: [
        new OA\Response(
            response: 200, description: 'by name',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ShelvedItemView::class)),
        ),
    ])]
    public function list(Shelf $shelf): JsonResponse
    {
        return new JsonResponse(array_map($this->rules->view(...), $this->library->on($shelf)));
    }

    #[Route('/{shelf}/{code}/versions', methods: ['GET'])]
    #[OA\Get(path: '/api/library/{shelf}/{code}/versions', operationId: 'listVersions', responses: [
        new OA\Response(
            response: 200, description: 'newest first',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ShelvedItemView::class)),
        ),
    ])]
    public function versions(Shelf $shelf, string $code): JsonResponse
    {
        return new JsonResponse(array_map($this->rules->view(...), $this->library->history($shelf, $code)));
    }

    #[Route('/{shelf}/{code}', methods: ['PUT'])]
    #[OA\Put(
        path: '/api/library/{shelf}/{code}', operationId: 'putOnShelf',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(
            required: ['name', 'content', 'version', 'by'], properties: [
                new OA\Property('name', type: 'string'),
                new OA\Property('content', description: 'null takes it off the shelf', type: 'object', nullable: true),
                new OA\Property('version', description: 'that was seen; 0 for something new', type: 'integer'),
                new OA\Property('by', type: 'string'),
            ], type: 'object',
        )), responses: [
            new OA\Response(response: 200, description: 'as it stands now', content: new OA\JsonContent(ref: ShelvedItemView::class)),
        ])]
    public function put(Shelf $shelf, string $code, Request $request): JsonResponse
    {
        $body = JsonBody::of($request);
        $content = $body->get('content');
        $version = $body->get('version')->whole(0, \PHP_INT_MAX);
        if ($content->raw() === null && $version === 0) {
            throw Problem::invalid('Nothing of this name stands there: there is nothing to take off.', ['pointer' => '/content']);
        }

        return new JsonResponse($this->rules->view($this->library->put(
            $shelf, $code, trim($body->get('name')->word(120)), $content->raw() === null ? null : $content, $version,
            $body->get('by')->word(80),
        )));
    }
}
