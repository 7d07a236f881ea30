<?php

declare(strict_types=1);

namespace MuteTapper\App\Calculation;

use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Assessment\Calculations;
use MuteTapper\Core\Assessment\TypedInputs;
use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Contradiction;
use MuteTapper\Core\Quantity\UnitSystem;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Every calculation of the bench without a case. */
#[Route('/api/calculations')]
final class CalculationController
{
    #[Route('', methods: ['GET'])]
    #[OA\Get(path: '/api/calculations', operationId: 'listCalculations', responses: [
        new OA\Response(
            response: 200, description: 'all declarations',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: CalculationView::class)),
        ),
    ])]
    public function list(): JsonResponse
    {
        return new JsonResponse(CalculationView::all());
    }

    #[Route('/{name}', methods: ['POST'])]
    #[OA\Post(
        path: '/api/calculations/{name}', operationId: 'runCalculation',
        parameters: [new OA\QueryParameter(name: 'units', schema: new OA\Schema(type: 'string', enum: ['inch', 'metric']))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(type: 'object')), responses: [
            new OA\Response(response: 200, description: 'the result with its reasoning', content: new OA\JsonContent(
                ref: TraceView::class,
            )),
        ])]
    public function run(string $name, Request $request): JsonResponse
    {
        $calculation = Calculations::named($name) ?? throw Problem::notFound(sprintf('There is no calculation “%s”.', $name));
        try {
            $trace = Calculations::run($calculation, JsonBody::of($request));
        } catch (\DomainException $contradiction) {
            throw Problem::invalid($contradiction->getMessage());
        }

        return new JsonResponse(TraceView::of($trace, UnitSystem::tryFrom($request->query->getString('units')) ?? UnitSystem::Inch));
    }

    #[Route('/{name}/typed', methods: ['POST'])]
    #[OA\Post(
        path: '/api/calculations/{name}/typed', operationId: 'runTypedCalculation',
        parameters: [new OA\QueryParameter(name: 'units', schema: new OA\Schema(type: 'string', enum: ['inch', 'metric']))],
        requestBody: new OA\RequestBody(
            required: true, description: 'by input, its figure as typed: “1.842”, “45 thou ± 1 thou”; of a list one a line',
            content: new OA\JsonContent(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')),
        ),
        responses: [
            new OA\Response(response: 200, description: 'the result with its reasoning', content: new OA\JsonContent(
                ref: TraceView::class,
            )),
        ])]
    public function typed(string $name, Request $request): JsonResponse
    {
        $calculation = Calculations::named($name) ?? throw Problem::notFound(sprintf('There is no calculation “%s”.', $name));
        $units = UnitSystem::tryFrom($request->query->getString('units')) ?? UnitSystem::Inch;
        try {
            $trace = (new TypedInputs($units))->run($calculation, JsonBody::of($request));
        } catch (Contradiction $contradiction) {
            throw Problem::invalid($contradiction->getMessage());
        }

        return new JsonResponse(TraceView::of($trace, $units));
    }
}
