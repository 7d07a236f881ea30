<?php

declare(strict_types=1);

namespace MuteTapper\App\Compare;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Compare\Comparison;
use MuteTapper\Core\Compare\Group;
use MuteTapper\Core\Engine\Engine;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;

/** Any two groups of stations held against each other. */
#[Route('/api/cases/{id}')]
final readonly class ComparisonController
{
    #[Route('/groups', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/groups', operationId: 'listGroups', responses: [
        new OA\Response(
            response: 200, description: 'kinds, banks, cylinders, stations',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: GroupView::class)),
        ),
    ])]
    public function groups(CaseRecord $case, Cases $cases): JsonResponse
    {
        return new JsonResponse(array_map(GroupView::of(...), Group::all($cases->engine($case))));
    }

    #[Route('/comparison', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/comparison', operationId: 'getComparison', parameters: [
        new OA\QueryParameter(name: 'one', required: true, description: 'B2-E1, B2, bank-B, kind-E', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'other', required: true, schema: new OA\Schema(type: 'string')),
    ], responses: [
        new OA\Response(response: 200, description: 'what differs', content: new OA\JsonContent(ref: ComparisonView::class)),
    ])]
    public function comparison(
        CaseRecord $case, Assessments $assessments, #[MapQueryParameter] string $one = '', #[MapQueryParameter] string $other = '',
    ): JsonResponse {
        $assessment = $assessments->of($case);
        $engine = $assessment->case->engine;

        $compared = Comparison::of(
            $assessment->bench, $assessment->knowledge, self::group($engine, 'one', $one), self::group($engine, 'other', $other),
        );

        return new JsonResponse(ComparisonView::of($compared, $assessment->bench));
    }

    private static function group(Engine $engine, string $parameter, string $code): Group
    {
        return Group::of($engine, $code) ?? throw Problem::invalid(
            sprintf('“%s” is nothing of this engine that could be compared; accepted: a station, a cylinder, a bank, a kind.', $code),
            ['pointer' => '/'.$parameter],
        );
    }
}
