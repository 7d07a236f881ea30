<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\Problem;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** What could be changed on an engine, side by side, and what becomes of its parts. */
#[Route('/api/cases/{id}')]
final readonly class RemedyController
{
    public function __construct(private Assessments $assessments)
    {
    }

    #[Route('/remedies', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/remedies', operationId: 'getRemedies', parameters: [
        new OA\QueryParameter(
            name: 'place', schema: new OA\Schema(type: 'string'),
            description: 'a valve whose figures are shown; without one, each figure is that of the place where it ends worst',
        ),
    ], responses: [
        new OA\Response(
            response: 200, description: 'each with every margin before and after', content: new OA\JsonContent(ref: RemediesView::class),
        ),
    ])]
    public function remedies(CaseRecord $case, Request $request, RemedyBoard $board): JsonResponse
    {
        $assessment = $this->assessments->of($case);
        $place = $request->query->getString('place');
        if ($place !== '' && $assessment->case->engine->station($place) === null) {
            throw Problem::notFound(sprintf('This engine has no valve “%s”.', $place));
        }

        return new JsonResponse($board->of($assessment, $place === '' ? null : $place));
    }

    #[Route('/reuse', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/reuse', operationId: 'getReuse', responses: [
        new OA\Response(
            response: 200, description: 'part by part, and what follows: parts to order, work to give out',
            content: new OA\JsonContent(ref: ReuseView::class),
        ),
    ])]
    public function reuse(CaseRecord $case): JsonResponse
    {
        return new JsonResponse(ReuseView::of($this->assessments->of($case)));
    }
}
