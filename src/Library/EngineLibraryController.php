<?php

declare(strict_types=1);

namespace MuteTapper\App\Library;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Engine\EngineInput;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Engine\Engine;
use OpenApi\Attributes as OA;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Uid\Uuid;

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
    public function list(EntityManagerInterface $entities): JsonResponse
    {
        return new JsonResponse(
            array_map(SavedEngineView::of(...), $entities->getRepository(SavedEngine::class)->findBy([], ['name' => 'ASC'])),
        );
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
    public function save(Request $request, EntityManagerInterface $entities, Writing $writing, ClockInterface $clock): JsonResponse
    {
        $input = JsonBody::of($request);
        $name = trim($input->get('name')->word(120));
        $engine = Engine::fromNode(EngineInput::toDescription($input->get('engine')));
        $by = $input->get('by')->word(80);
        $replace = $input->maybe('replace')?->flag() ?? false;
        $saved = $writing->together(static function () use ($entities, $clock, $name, $engine, $by, $replace): SavedEngine {
            $saved = $entities->getRepository(SavedEngine::class)->findOneBy(['name' => $name]);
            if ($saved !== null && !$replace) {
                throw Problem::conflict(
                    sprintf('The library has an engine “%s” already. Save it under another name, or replace it.', $name),
                );
            }
            $saved ??= new SavedEngine(Uuid::v7()->toRfc4122(), $name, $engine->toArray(), $by, $clock->now());
            $saved->engine = $engine->toArray();
            $saved->by = $by;
            $saved->at = $clock->now();
            $entities->persist($saved);

            return $saved;
        });

        return new JsonResponse(SavedEngineView::of($saved), 201);
    }
}
