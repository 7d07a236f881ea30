<?php

declare(strict_types=1);

namespace MuteTapper\App\Spring;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\Csv;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Spring\SweptSprings;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Springs swept on the tester. */
#[Route('/api/cases/{id}')]
final readonly class SweepController
{
    public function __construct(private Assessments $assessments)
    {
    }

    #[Route('/sweeps', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/sweeps', operationId: 'listSweeps', parameters: [
        new OA\QueryParameter(name: 'coil', schema: new OA\Schema(type: 'string', enum: ['outer', 'inner', 'damper'])),
        new OA\QueryParameter(
            name: 'against', description: 'place of the spring that the others are held against', schema: new OA\Schema(type: 'string'),
        ),
    ], responses: [
        new OA\Response(
            response: 200, description: 'curves, and how they differ', content: new OA\JsonContent(ref: SweptSpringsView::class),
        ),
    ])]
    public function list(CaseRecord $case, Request $request): JsonResponse
    {
        return new JsonResponse($this->view($case, $request));
    }

    #[Route('/sweeps.csv', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/sweeps.csv', operationId: 'exportSweeps', parameters: [
        new OA\QueryParameter(name: 'coil', schema: new OA\Schema(type: 'string', enum: ['outer', 'inner', 'damper'])),
    ], responses: [
        new OA\Response(
            response: 200, description: 'every point', content: new OA\MediaType('text/csv', schema: new OA\Schema(type: 'string')),
        ),
    ])]
    public function export(CaseRecord $case, Request $request): Response
    {
        $view = $this->view($case, $request);
        $lines = [['spring', 'height, '.$view->unitHeight, 'load, '.$view->unitLoad]];
        foreach ($view->springs as $spring) {
            foreach ($spring->points as $point) {
                $lines[] = [$spring->label, ...$point];
            }
        }

        return new Response(Csv::of($lines), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8; header=present',
            'Content-Disposition' => 'attachment; filename="sweeps.csv"',
        ]);
    }

    private function view(CaseRecord $case, Request $request): SweptSpringsView
    {
        $coil = $request->query->getString('coil', Coil::Outer->value);
        if (!in_array($coil, Coil::PAGES, true)) {
            throw Problem::notFound(sprintf('There is no coil “%s”.', $coil));
        }
        $assessment = $this->assessments->of($case);
        $against = $request->query->getString('against');

        return (new SweptPresenter($assessment->bench, $assessment->knowledge->limits))->of(
            SweptSprings::on($assessment->bench, $coil, $against === '' ? null : $against),
        );
    }
}
