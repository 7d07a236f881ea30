<?php

declare(strict_types=1);

namespace MuteTapper\App\Motion;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Library\Shelf;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\Csv;
use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Tried\ShelvedParts;
use MuteTapper\App\Tried\TriedBench;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Quantity\Dimension;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What the parts of a valve did at speed, computed; with what is tried in them. Nothing here is recorded. */
#[Route('/api/cases/{id}/motion/{place}')]
final readonly class MotionController
{
    /** Turns of the crank a minute between which a turn is drawn. */
    private const SPEEDS = [300.0, 25000.0];
    /** Crank degrees, early or late. */
    private const PHASE = 12;
    /** Metres. */
    private const DEEPEST = 0.00635;

    public function __construct(private Assessments $assessments, private ShelvedParts $shelved, private TriedBench $tried)
    {
    }

    #[Route('', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/motion/{place}', operationId: 'getMotion', parameters: [
        new OA\QueryParameter(
            name: 'change', schema: new OA\Schema(type: 'string'),
            description: 'what is tried, as JSON: a list of {places, name, index, to | by: {number, unit}} and {places, part, from}',
        ),
    ], responses: [
        new OA\Response(response: 200, description: 'as found, and as tried', content: new OA\JsonContent(ref: MotionView::class)),
    ])]
    public function motion(CaseRecord $case, string $place, Request $request): JsonResponse
    {
        $assessment = $this->assessment($case, $place);
        $tried = $this->tried->written($assessment, $request->query->getString('change'));

        $shelved = $this->shelved->choices(Shelf::Springs, Shelf::Lobes);

        return new JsonResponse((new MotionPresenter($assessment->bench, $tried))->motion($place, $shelved));
    }

    #[Route('/turn', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/motion/{place}/turn', operationId: 'getTurn', parameters: [
        new OA\QueryParameter(
            name: 'speed', required: true, schema: new OA\Schema(type: 'number'), description: 'turns of the crank a minute',
        ),
        new OA\QueryParameter(name: 'change', schema: new OA\Schema(type: 'string'), description: 'what is tried, as JSON'),
    ], responses: [
        new OA\Response(response: 200, description: 'degree by degree', content: new OA\JsonContent(ref: TurnView::class)),
    ])]
    public function turn(CaseRecord $case, string $place, Request $request): JsonResponse
    {
        return new JsonResponse($this->turned($case, $place, $request));
    }

    #[Route('/log', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/motion/{place}/log', operationId: 'getMotionLog', responses: [
        new OA\Response(
            response: 200, description: 'what the logs asked of the valves', content: new OA\JsonContent(ref: MotionLogView::class),
        ),
    ])]
    public function log(CaseRecord $case, string $place, MotionLog $logs): JsonResponse
    {
        $assessment = $this->assessment($case, $place);

        return new JsonResponse($logs->of($assessment->bench, self::station($assessment, $place)));
    }

    #[Route('/piston', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/motion/{place}/piston', operationId: 'getPiston', parameters: [
        new OA\QueryParameter(
            name: 'phase', schema: new OA\Schema(type: 'number'),
            description: 'crank degrees that the cams stand early, as tried; 0 on the marks',
        ),
        new OA\QueryParameter(
            name: 'deeper', schema: new OA\Schema(type: 'number'),
            description: 'how much deeper the reliefs are cut along the cylinder, as tried, in the case’s unit of length',
        ),
        new OA\QueryParameter(name: 'change', schema: new OA\Schema(type: 'string'), description: 'what else is tried, as JSON'),
    ], responses: [
        new OA\Response(
            response: 200, description: 'the valves of the cylinder over its piston', content: new OA\JsonContent(ref: PistonView::class),
        ),
    ])]
    public function piston(CaseRecord $case, string $place, Request $request): JsonResponse
    {
        return new JsonResponse($this->overPiston($case, $place, $request)->view());
    }

    #[Route('/piston.csv', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/motion/{place}/piston.csv', operationId: 'exportPiston', parameters: [
        new OA\QueryParameter(name: 'phase', schema: new OA\Schema(type: 'number'), description: 'as for the drawing'),
        new OA\QueryParameter(name: 'deeper', schema: new OA\Schema(type: 'number'), description: 'as for the drawing'),
        new OA\QueryParameter(name: 'change', schema: new OA\Schema(type: 'string'), description: 'as for the drawing'),
    ], responses: [
        new OA\Response(response: 200, description: 'clearance at every degree', content: new OA\MediaType('text/csv')),
    ])]
    public function exportPiston(CaseRecord $case, string $place, Request $request): Response
    {
        return self::csv('piston', $place, $this->overPiston($case, $place, $request)->table());
    }

    #[Route('/turn.csv', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/motion/{place}/turn.csv', operationId: 'exportTurn', parameters: [
        new OA\QueryParameter(
            name: 'speed', required: true, schema: new OA\Schema(type: 'number'), description: 'turns of the crank a minute',
        ),
        new OA\QueryParameter(name: 'change', schema: new OA\Schema(type: 'string'), description: 'what is tried, as JSON'),
    ], responses: [
        new OA\Response(response: 200, description: 'every computed point', content: new OA\MediaType('text/csv')),
    ])]
    public function exportTurn(CaseRecord $case, string $place, Request $request): Response
    {
        $turn = $this->turned($case, $place, $request);
        $lines = [['crank degrees from the nose', 'lift asked', 'lift of the valve', 'force at the valve', 'contact']];
        foreach ($turn->degrees as $i => $degree) {
            $lines[] = [$degree, $turn->asked[$i], $turn->lift[$i], $turn->force[$i], $turn->held[$i] ? 'yes' : 'no'];
        }

        return self::csv('turn', $place, $lines);
    }

    #[Route('/{table}.csv', methods: ['GET'], requirements: ['table' => 'lift|sweep'])]
    #[OA\Get(path: '/api/cases/{id}/motion/{place}/{table}.csv', operationId: 'exportMotion', parameters: [
        new OA\PathParameter(name: 'table', required: true, schema: new OA\Schema(type: 'string', enum: ['lift', 'sweep'])),
        new OA\QueryParameter(name: 'change', schema: new OA\Schema(type: 'string'), description: 'what is tried, as JSON'),
    ], responses: [
        new OA\Response(response: 200, description: 'every computed point', content: new OA\MediaType('text/csv')),
    ])]
    public function export(CaseRecord $case, string $place, string $table, Request $request): Response
    {
        $assessment = $this->assessment($case, $place);
        $tried = $this->tried->written($assessment, $request->query->getString('change'));
        $lines = (new MotionPresenter($assessment->bench, $tried))->table($place, $table);

        return self::csv($table, $place, $lines);
    }

    /** @param list<list<string|float>> $lines */
    private static function csv(string $table, string $place, array $lines): Response
    {
        return new Response(Csv::of($lines), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8; header=present',
            'Content-Disposition' => sprintf('attachment; filename="%s-%s.csv"', $table, $place),
        ]);
    }

    private function overPiston(CaseRecord $case, string $place, Request $request): PistonPresenter
    {
        $phase = (float) $request->query->getString('phase', '0');
        if (abs($phase) > self::PHASE) {
            throw Problem::invalid(sprintf('A phase is tried up to %d crank degrees either way.', self::PHASE), ['pointer' => '/phase']);
        }
        $assessment = $this->assessment($case, $place);
        $unit = $assessment->case->settings->units->unitOf(Dimension::Length);
        $deeper = (float) $request->query->getString('deeper', '0') * $unit->baseFactor();
        if ($deeper < 0.0 || $deeper > self::DEEPEST) {
            throw Problem::invalid('A relief is tried up to 6 mm, a quarter of an inch, deeper.', ['pointer' => '/deeper']);
        }

        return new PistonPresenter(
            $assessment->bench, $assessment->knowledge->limits, self::station($assessment, $place), $phase, $deeper,
            $this->tried->written($assessment, $request->query->getString('change')),
        );
    }

    private function turned(CaseRecord $case, string $place, Request $request): TurnView
    {
        $speed = (float) $request->query->getString('speed');
        if ($speed < self::SPEEDS[0] || $speed > self::SPEEDS[1]) {
            throw Problem::invalid(
                sprintf('A turn is drawn between %d and %d turns of the crank a minute.', ...self::SPEEDS), ['pointer' => '/speed'],
            );
        }
        $assessment = $this->assessment($case, $place);
        $tried = $this->tried->written($assessment, $request->query->getString('change'));

        return (new MotionPresenter($assessment->bench, $tried))->turn($place, $speed)
            ?? throw Problem::notFound('Nothing is known of this train yet that could move.');
    }

    private function assessment(CaseRecord $case, string $place): Assessment
    {
        $assessment = $this->assessments->of($case);
        self::station($assessment, $place);

        return $assessment;
    }

    private static function station(Assessment $assessment, string $place): Station
    {
        return $assessment->case->engine->station($place) ?? throw Problem::notFound(sprintf('This engine has no valve “%s”.', $place));
    }
}
