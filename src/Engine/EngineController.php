<?php

declare(strict_types=1);

namespace MuteTapper\App\Engine;

use MuteTapper\App\Shared\JsonBody;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\HeadPlan;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Draws the head plan of an engine that is being described, before there is a case. */
final class EngineController
{
    #[Route('/api/engine/plan', methods: ['POST'])]
    #[OA\Post(
        path: '/api/engine/plan', operationId: 'planEngine',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: EngineInput::class)), responses: [
            new OA\Response(
                response: 200, description: 'the engine completed with defaults, and its plan',
                content: new OA\JsonContent(ref: PlannedEngine::class),
            ),
        ])]
    public function plan(Request $request): JsonResponse
    {
        $engine = Engine::fromNode(EngineInput::toDescription(JsonBody::of($request)));

        return new JsonResponse(new PlannedEngine(EngineView::of($engine), HeadPlanView::of(HeadPlan::of($engine))));
    }
}
