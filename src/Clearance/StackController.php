<?php

declare(strict_types=1);

namespace MuteTapper\App\Clearance;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Library\Shelf;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Sheet\SheetPresenter;
use MuteTapper\App\Tried\ShelvedParts;
use MuteTapper\App\Tried\Sliders;
use MuteTapper\App\Tried\TriedBench;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Head\Fit;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\EntryParser;
use MuteTapper\Core\Quantity\NotUnderstood;
use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** What a head takes: the stack of one valve, with what is tried in it, and the guides that are to be cut. Nothing here is recorded. */
#[Route('/api/cases/{id}')]
final readonly class StackController
{
    public function __construct(private Assessments $assessments, private ShelvedParts $shelved, private TriedBench $tried)
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
        $tried = $this->tried->written($assessment, $request->query->getString('change'));

        return new JsonResponse((new StackPresenter($assessment->bench, $tried))->stack($place, $this->shelved->choices(Shelf::Springs)));
    }

    #[Route('/fit', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/fit', operationId: 'getFit', parameters: [
        new OA\QueryParameter(
            name: 'spring', description: 'a spring that is tried at every valve, where a change takes it from',
            schema: new OA\Schema(type: 'string'),
        ),
    ], responses: [
        new OA\Response(response: 200, description: 'what fits into what, and how', content: new OA\JsonContent(ref: FitView::class)),
    ])]
    public function fit(CaseRecord $case, Request $request): JsonResponse
    {
        $assessment = $this->assessments->of($case);
        $spring = $request->query->getString('spring');
        $places = array_map(static fn (Station $station): string => $station->code(), $assessment->case->engine->stations);
        $bench = $spring === '' ? $assessment->bench
            : $this->tried->of($assessment, Node::root([['places' => $places, 'part' => Part::Spring->value, 'from' => $spring]]));
        $margins = (new SheetPresenter($bench, $assessment->knowledge->limits))->margins(null, Fit::QUANTITIES);
        $springs = (new Sliders($assessment->bench))->parts($this->shelved->choices(Shelf::Springs));

        return new JsonResponse(new FitView($margins->columns, $margins->margins, $springs));
    }

    #[Route('/guides-to-cut', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/guides-to-cut', operationId: 'listGuidesToCut', parameters: [
        new OA\QueryParameter(
            name: 'more', schema: new OA\Schema(type: 'string'), description: 'lift beyond that of now which they are cut for, as typed',
        ),
    ], responses: [
        new OA\Response(
            response: 200, description: 'of each valve of which the room over guide or seal is known',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: CutTargetView::class)),
        ),
    ])]
    public function guidesToCut(CaseRecord $case, Request $request): JsonResponse
    {
        $bench = $this->assessments->of($case)->bench;
        $typed = trim($request->query->getString('more'));
        try {
            $parser = new EntryParser($bench->case->settings->units);
            $more = $typed === '' ? 0.0 : $parser->parse($typed, self::moreLift())->quantity()->base;
        } catch (NotUnderstood $refusal) {
            throw Problem::invalid(rtrim($refusal->reason.' Accepted: '.$refusal->accepted.'.'), ['pointer' => '/more']);
        }

        return new JsonResponse((new StackPresenter($bench, null))->guidesToCut(Quantity::difference($more, Dimension::Length)));
    }

    private static function moreLift(): PlausibleRange
    {
        return new PlausibleRange(Quantity::of(-0.3, Unit::Inch), Quantity::of(0.4, Unit::Inch));
    }
}
