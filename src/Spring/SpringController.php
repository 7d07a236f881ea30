<?php

declare(strict_types=1);

namespace MuteTapper\App\Spring;

use MuteTapper\App\Calculation\TraceView;
use MuteTapper\App\CaseFile\Cases;
use MuteTapper\App\Cause\Assessments;
use MuteTapper\App\Shared\Problem;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** What the spring sheet derives, and the reasoning behind each margin. */
#[Route('/api/cases/{id}/springs')]
final class SpringController
{
    #[Route('', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/springs', operationId: 'getSprings', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'derived values and margins', content: new OA\JsonContent(ref: SpringSheetView::class)),
    ])]
    public function sheet(string $id, Cases $cases, Assessments $assessments): JsonResponse
    {
        $case = $cases->get($id);

        return new JsonResponse(SpringSheetView::of($assessments->of($case), $case->revision));
    }

    #[Route('/trace', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/springs/trace', operationId: 'getSpringTrace', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'place', required: true, schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'quantity', description: 'margin quantity, or name of a derived value', required: true, schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'coil', schema: new OA\Schema(type: 'string')),
    ], responses: [
        new OA\Response(response: 200, description: 'the reasoning', content: new OA\JsonContent(ref: TraceView::class)),
    ])]
    public function trace(string $id, Request $request, Cases $cases, Assessments $assessments): JsonResponse
    {
        $assessment = $assessments->of($cases->get($id));
        $place = $request->query->getString('place');
        $quantity = $request->query->getString('quantity');
        $coil = $request->query->getString('coil');
        $trace = $assessment->springs->margin($place, $quantity, '' === $coil ? null : $coil)->trace ?? $assessment->springs->derived[$place][$quantity] ?? null;
        if ($trace === null) {
            throw Problem::notFound('There is no such value at this station: a reading is missing.');
        }

        return new JsonResponse(TraceView::of($trace, $assessment->case->settings->units));
    }
}
