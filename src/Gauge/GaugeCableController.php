<?php

declare(strict_types=1);

namespace MuteTapper\App\Gauge;

use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Routing\Attribute\Route;

/** Lines of gauges on a cable: taken in as text, told as a stream of events. */
#[Route('/api/gauges/lines')]
final class GaugeCableController
{
    /** A stream ends after so many seconds and is taken up again, so that no worker is held for ever. */
    private const LASTS = 25.0;
    /** Seconds between two looks: what is read is there before the hand is back on the next part. */
    private const LOOKS_EVERY = 0.1;
    /** A sign of life, so that a listener that went away is noticed. */
    private const SPEAKS_EVERY = 5.0;

    public function __construct(private readonly GaugeCable $cable)
    {
    }

    #[Route('', methods: ['POST'])]
    #[OA\Post(
        path: '/api/gauges/lines', operationId: 'sendGaugeLines',
        requestBody: new OA\RequestBody(
            required: true, description: 'lines as docs/formats/gauge-line.md has them',
            content: new OA\MediaType('application/octet-stream', schema: new OA\Schema(type: 'string')),
        ),
        responses: [new OA\Response(response: 202, description: 'taken', content: new OA\JsonContent(
            required: ['taken'], properties: [new OA\Property('taken', type: 'integer')], type: 'object',
        ))])]
    public function receive(Request $request): JsonResponse
    {
        return new JsonResponse(['taken' => $this->cable->receive($request->getContent())], 202);
    }

    #[Route('/stream', methods: ['GET'])]
    #[OA\Get(
        path: '/api/gauges/lines/stream', operationId: 'listenToGauges',
        parameters: [new OA\HeaderParameter(
            name: 'Last-Event-ID', description: 'number of the last event heard', schema: new OA\Schema(type: 'integer'),
        )],
        responses: [new OA\Response(
            response: 200, description: 'server-sent events “reading”, each a GaugeLineView; ends after 25 s',
            content: new OA\MediaType('text/event-stream', schema: new OA\Schema(ref: GaugeLineView::class)),
        )])]
    public function stream(Request $request): StreamedResponse
    {
        $heard = $request->headers->get('Last-Event-ID');
        $last = $heard !== null && ctype_digit($heard) ? (int) $heard : $this->cable->newest();

        return new StreamedResponse(function () use ($last): void {
            $end = microtime(true) + self::LASTS;
            $spoken = 0.0;
            // A listener is told where it stands: one that is cut off before its first reading misses none.
            self::send(sprintf("retry: 300\nid: %d\nevent: listening\ndata: {}\n\n", $last));
            while (microtime(true) < $end && connection_aborted() === 0) {
                foreach ($this->cable->after($last) as $line) {
                    $last = $line->id;
                    self::send(sprintf("id: %d\nevent: reading\ndata: %s\n\n", $last, json_encode($line, \JSON_THROW_ON_ERROR)));
                }
                if (microtime(true) - $spoken > self::SPEAKS_EVERY) {
                    self::send(": listening\n\n");
                    $spoken = microtime(true);
                }
                usleep((int) (self::LOOKS_EVERY * 1e6));
            }
        }, 200, ['Content-Type' => 'text/event-stream', 'Cache-Control' => 'no-store', 'X-Accel-Buffering' => 'no']);
    }

    private static function send(string $event): void
    {
        echo $event;
        flush();
    }
}
