<?php

declare(strict_types=1);

namespace MuteTapper\App\Clearance;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Change;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** What a head takes: the stack of one valve, with what is tried in it, and the guides that are to be cut. Nothing here is recorded. */
#[Route('/api/cases/{id}')]
final readonly class StackController
{
    public function __construct(private Assessments $assessments, private ShelvedSprings $springs)
    {
    }

    #[Route('/stack/{place}', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/stack/{place}', operationId: 'getStack', parameters: [
        new OA\QueryParameter(
            name: 'change', schema: new OA\Schema(type: 'string'),
            description: 'what is tried, as JSON: a list of {places, name, index, to | by: {number, unit}} and {places, part, from}',
        ),
    ], responses: [
        new OA\Response(response: 200, description: 'as found, and as tried', content: new OA\JsonContent(ref: StackView::class)),
    ])]
    public function stack(CaseRecord $case, string $place, Request $request): JsonResponse
    {
        $assessment = $this->assessments->of($case);
        if ($assessment->case->engine->station($place) === null) {
            throw Problem::notFound(sprintf('This engine has no valve “%s”.', $place));
        }
        $written = $request->query->getString('change');
        $tried = $written === '' ? null : $this->tried($assessment, JsonBody::decode($written, 'What is tried'));

        return new JsonResponse((new StackPresenter($assessment->bench, $tried))->stack($place, $this->springs->choices()));
    }

    #[Route('/guides-to-cut', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/guides-to-cut', operationId: 'listGuidesToCut', responses: [
        new OA\Response(
            response: 200, description: 'of each valve of which the room over guide or seal is known',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: CutTargetView::class)),
        ),
    ])]
    public function guidesToCut(CaseRecord $case): JsonResponse
    {
        return new JsonResponse((new StackPresenter($this->assessments->of($case)->bench, null))->guidesToCut());
    }

    private function tried(Assessment $assessment, Node $change): Bench
    {
        $sheets = $assessment->bench->sheets;
        $beside = Bench::of($this->springs->beside($assessment->case, $sheets), $sheets, $assessment->knowledge->limits);

        return $beside->with(Change::fromNode($change, $assessment->case->engine, $sheets));
    }
}
