<?php

declare(strict_types=1);

namespace MuteTapper\App\Library;

use MuteTapper\App\Engine\EngineInput;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Engines that the shop keeps, to begin a case from. */
#[Route('/api/engines')]
final class EngineLibraryController
{
    #[Route('', methods: ['GET'])]
    #[OA\Get(path: '/api/engines', operationId: 'listEngines', responses: [
        new OA\Response(
            response: 200, description: 'by name',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: SavedEngineView::class)),
        ),
    ])]
    public function list(Library $library): JsonResponse
    {
        return new JsonResponse(array_map(SavedEngineView::of(...), $library->on(Shelf::Engines)));
    }

    #[Route('', methods: ['POST'])]
    #[OA\Post(
        path: '/api/engines', operationId: 'saveEngine',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['name', 'engine', 'by'], properties: [
            new OA\Property('name', type: 'string'), new OA\Property('engine', ref: EngineInput::class),
            new OA\Property('by', type: 'string'),
            new OA\Property('replace', type: 'boolean'),
        ], type: 'object')), responses: [
            new OA\Response(response: 201, description: 'saved', content: new OA\JsonContent(ref: SavedEngineView::class)),
        ])]
    public function save(Request $request, Library $library): JsonResponse
    {
        $input = JsonBody::of($request);
        $name = trim($input->get('name')->word(120));
        $content = Node::root(Engine::fromNode(EngineInput::toDescription($input->get('engine')))->toArray());
        $saved = array_values(array_filter($library->on(Shelf::Engines), static fn (ShelvedVersion $one): bool => $one->name === $name))[0]
            ?? null;
        if ($saved !== null && !($input->maybe('replace')?->flag() ?? false)) {
            throw Problem::conflict(sprintf('The library has an engine “%s” already. Save it under another name, or replace it.', $name));
        }
        $kept = $library->put(
            Shelf::Engines, $saved->code ?? self::code($name), $name, $content, $saved->version ?? 0, $input->get('by')->word(80),
        );

        return new JsonResponse(SavedEngineView::of($kept), 201);
    }

    /** The same name has the same code, so that two who save it at once meet. */
    public static function code(string $name): string
    {
        return 'engine-'.hash('xxh64', $name);
    }
}
