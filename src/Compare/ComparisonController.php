<?php

declare(strict_types=1);

namespace MuteTapper\App\Compare;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Compare\Comparison;
use MuteTapper\Core\Compare\Group;
use MuteTapper\Core\Compare\Sample;
use MuteTapper\Core\Sheet\Bench;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;

/** Any two groups held against each other. */
#[Route('/api/cases/{id}')]
final readonly class ComparisonController
{
    #[Route('/groups', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/groups', operationId: 'listGroups', responses: [
        new OA\Response(
            response: 200, description: 'kinds, banks, cylinders, stations, springs off the engine',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: GroupView::class)),
        ),
    ])]
    public function groups(CaseRecord $case, Assessments $assessments): JsonResponse
    {
        return new JsonResponse(array_map(GroupView::of(...), Group::all($assessments->of($case)->bench)));
    }

    #[Route('/comparable', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/comparable', operationId: 'listComparable', responses: [
        new OA\Response(
            response: 200, description: 'other cases of engines of the same build, the newest first',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ComparableCaseView::class)),
        ),
    ])]
    public function comparable(CaseRecord $case, ComparableCases $comparable): JsonResponse
    {
        return new JsonResponse($comparable->with($case));
    }

    #[Route('/comparison', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/comparison', operationId: 'getComparison', parameters: [
        new OA\QueryParameter(
            name: 'one', required: true, description: 'B2-E1, B2, bank-B, kind-E, off-engine, loose-…, or several joined by +',
            schema: new OA\Schema(type: 'string'),
        ),
        new OA\QueryParameter(name: 'other', required: true, schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(
            name: 'of', required: false, description: 'another case, of which the other side is', schema: new OA\Schema(type: 'string'),
        ),
    ], responses: [
        new OA\Response(response: 200, description: 'what differs', content: new OA\JsonContent(ref: ComparisonView::class)),
    ])]
    public function comparison(
        CaseRecord $case,
        Assessments $assessments,
        Cases $cases,
        #[MapQueryParameter] string $one = '',
        #[MapQueryParameter] string $other = '',
        #[MapQueryParameter] ?string $of = null,
    ): JsonResponse {
        $assessment = $assessments->of($case);
        $of = $of === null ? $assessment : $assessments->of($cases->get($of));

        $compared = Comparison::of(
            $assessment->knowledge, self::sample($assessment->bench, 'one', $one), self::sample($of->bench, 'other', $other),
        );

        return new JsonResponse(ComparisonView::of($compared));
    }

    private static function sample(Bench $bench, string $parameter, string $code): Sample
    {
        $group = Group::of($bench, $code) ?? throw Problem::invalid(
            sprintf(
                '“%s” is nothing of this engine that could be compared; accepted: a station, a cylinder, a bank, a kind, a spring '
                .'off the engine.', $code,
            ),
            ['pointer' => '/'.$parameter],
        );

        return new Sample($bench, $group);
    }
}
