<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Calculation\TraceView;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Sheet\Bench;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Every sheet of a case: how it is laid out, what it tells, and the reasoning behind each of its values. */
#[Route('/api/cases/{id}')]
final class SheetController
{
    #[Route('/sheets', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/sheets', operationId: 'listSheets', responses: [
        new OA\Response(
            response: 200, description: 'the sheets of this engine',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: SheetLayoutView::class)),
        ),
    ])]
    public function list(CaseRecord $case, DerivedSheets $derived): JsonResponse
    {
        return new JsonResponse($derived->layouts($case));
    }

    #[Route('/sheets/{sheet}', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/sheets/{sheet}', operationId: 'getSheet', responses: [
        new OA\Response(response: 200, description: 'margins, values and remarks', content: new OA\JsonContent(ref: SheetView::class)),
    ])]
    public function sheet(CaseRecord $case, string $sheet, DerivedSheets $derived, Assessments $assessments): JsonResponse
    {
        return new JsonResponse($derived->sheet($case, $sheet)->of($assessments->content($case)));
    }

    #[Route('/margins', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/margins', operationId: 'getMargins', parameters: [
        new OA\QueryParameter(name: 'step', description: 'sheets of this step of the work only', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(
            name: 'quantity', description: 'these quantities only, separated by commas', schema: new OA\Schema(type: 'string'),
        ),
    ], responses: [
        new OA\Response(response: 200, description: 'margins of all sheets', content: new OA\JsonContent(ref: MarginsView::class)),
    ])]
    public function margins(CaseRecord $case, Request $request, DerivedSheets $derived, Assessments $assessments): JsonResponse
    {
        $quantities = array_values(
            array_filter(explode(',', $request->query->getString('quantity')), static fn (string $one): bool => $one !== ''),
        );
        $margins = $derived->margins($case, Step::tryFrom($request->query->getString('step')), $quantities);

        return new JsonResponse($margins->of($assessments->content($case)));
    }

    #[Route('/more-or-less', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/more-or-less', operationId: 'getMoreOrLess', responses: [
        new OA\Response(
            response: 200, description: 'what more spring load, or less, would do', content: new OA\JsonContent(ref: MoreOrLessView::class),
        ),
    ])]
    public function moreOrLess(CaseRecord $case, DerivedSheets $derived): JsonResponse
    {
        return new JsonResponse($derived->moreOrLess($case));
    }

    #[Route('/trace/{place}/{value}', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/trace/{place}/{value}', operationId: 'getTrace', parameters: [
        new OA\QueryParameter(name: 'index', schema: new OA\Schema(type: 'string')),
    ], responses: [
        new OA\Response(response: 200, description: 'the reasoning', content: new OA\JsonContent(ref: TraceView::class)),
    ])]
    public function trace(CaseRecord $case, string $place, string $value, Request $request, Assessments $assessments): JsonResponse
    {
        $bench = $assessments->of($case)->bench;
        $declared = $bench->sheets->values[$value] ?? throw Problem::notFound(sprintf('There is no value “%s”.', $value));
        $index = $request->query->getString('index');
        $trace = $bench->case->engine->placeLabel($place) === null
            ? null
            : self::reasoning($bench, $place, $value, $index === '' ? null : $index);
        if ($trace === null) {
            throw Problem::notFound('There is no such value here: a reading is missing.');
        }

        return new JsonResponse(TraceView::of($trace, $bench->case->settings->units, $declared->fineness));
    }

    private static function reasoning(Bench $bench, string $place, string $name, ?string $index): ?Trace
    {
        $margin = isset($bench->sheets->judged[$name]) ? $bench->margin($place, $name, $index) : null;
        if ($margin !== null) {
            return $margin->trace ?? $margin->asClaimed;
        }
        if ($bench->sheets->value($name)->index->split($index, $bench->case->engine) === null) {
            return null;
        }
        $found = $bench->value($place, $name, $index);

        return $found instanceof Given ? $found->trace ?? Trace::asRead($found) : null;
    }
}
