<?php

declare(strict_types=1);

namespace MuteTapper\App\RunLog;

use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Shared\Query;
use MuteTapper\Core\RunLog\LogFormat;
use MuteTapper\Core\RunLog\Thresholds;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Receives log files, reads them, and shows what is in them. */
final class LogController
{
    #[Route('/api/cases/{id}/logs', methods: ['POST'])]
    #[OA\Post(
        path: '/api/cases/{id}/logs', operationId: 'keepLog',
        parameters: [new OA\HeaderParameter(name: 'X-File-Name', schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary')),
        ),
        responses: [
            new OA\Response(
                response: 201, description: 'kept, with the format it was recognised to have',
                content: new OA\JsonContent(ref: LogFileView::class),
            ),
        ])]
    public function keep(CaseRecord $case, Request $request, Cases $cases, LogStore $store): JsonResponse
    {
        $name = Query::fileName($request, 'The log');
        if ((int) $request->headers->get('Content-Length', '0') > LogStore::MOST_BYTES) {
            throw Problem::tooLarge($name.' has more than 512 MB.');
        }
        $engine = $cases->engine($case);
        $file = $store->keep($request->getContent(true), $name);

        return new JsonResponse(LogFileView::of($file, $store->head($file), Thresholds::usual($engine)), 201);
    }

    #[Route('/api/logs/{sha256}/analyses', methods: ['POST'], requirements: ['sha256' => '[0-9a-f]{64}'])]
    #[OA\Post(
        path: '/api/logs/{sha256}/analyses', operationId: 'analyseLog',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['format', 'thresholds'], properties: [
            new OA\Property('format', ref: LogFormatView::class), new OA\Property('thresholds', ref: ThresholdsView::class),
        ], type: 'object')), responses: [
            new OA\Response(
                response: 202, description: 'being read, or read already', content: new OA\JsonContent(ref: LogAnalysisView::class),
            ),
        ])]
    public function analyse(string $sha256, Request $request, LogStore $store): JsonResponse
    {
        $input = JsonBody::of($request);
        $analysis = $store->analyse(
            $store->get($sha256), LogFormat::fromNode($input->get('format')), Thresholds::fromNode($input->get('thresholds')),
        );

        return new JsonResponse(self::view($analysis, $store), 202);
    }

    #[Route('/api/log-analyses/{id}', methods: ['GET'])]
    #[OA\Get(path: '/api/log-analyses/{id}', operationId: 'getLogAnalysis', responses: [
        new OA\Response(response: 200, description: 'how far it is', content: new OA\JsonContent(ref: LogAnalysisView::class)),
    ])]
    public function analysis(string $id, LogStore $store): JsonResponse
    {
        return new JsonResponse(self::view($store->analysis($id), $store));
    }

    #[Route('/api/log-analyses/{id}', methods: ['DELETE'])]
    #[OA\Delete(path: '/api/log-analyses/{id}', operationId: 'cancelLogAnalysis', responses: [
        new OA\Response(response: 200, description: 'cancelled', content: new OA\JsonContent(ref: LogAnalysisView::class)),
    ])]
    public function cancel(string $id, LogStore $store): JsonResponse
    {
        $analysis = $store->analysis($id);
        $store->cancel($analysis);

        return new JsonResponse(self::view($analysis, $store));
    }

    /** Start in seconds, and by channel the least and the most until the next start. */
    #[Route('/api/log-analyses/{id}/window', methods: ['GET'])]
    #[OA\Get(path: '/api/log-analyses/{id}/window', operationId: 'getLogWindow', parameters: [
        new OA\QueryParameter(name: 'from', required: true, schema: new OA\Schema(type: 'number')),
        new OA\QueryParameter(name: 'to', required: true, schema: new OA\Schema(type: 'number')),
    ], responses: [
        new OA\Response(
            response: 200, description: 'a stretch of the log',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(required: ['at', 'ranges'], properties: [
                new OA\Property('at', type: 'number'), new OA\Property(
                    'ranges', type: 'object',
                    additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'number')),
                ),
            ], type: 'object'))),
    ])]
    public function window(string $id, Request $request, LogStore $store, LogWindow $window): JsonResponse
    {
        $analysis = $store->analysis($id);
        if ($analysis->state !== AnalysisState::Ready) {
            throw Problem::notFound('This log has not been read to its end.');
        }
        $buckets = $window->of($analysis, (float) $request->query->getString('from'), (float) $request->query->getString('to'), 900);

        return new JsonResponse(
            array_map(static fn (array $bucket): array => ['at' => $bucket[0], 'ranges' => (object) $bucket[1]], $buckets),
        );
    }

    private static function view(LogAnalysis $analysis, LogStore $store): LogAnalysisView
    {
        return new LogAnalysisView(
            $analysis->id, $analysis->state, $analysis->rows,
            $analysis->state === AnalysisState::Ready ? 1.0 : $analysis->bytesRead / max(1, $analysis->file->bytes), $analysis->message,
            $analysis->state === AnalysisState::Ready ? (object) $store->result($analysis)['result'] : null,
        );
    }
}
