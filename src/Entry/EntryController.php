<?php

declare(strict_types=1);

namespace MuteTapper\App\Entry;

use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\Core\Entry\Entry;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Takes entries, one by one or several together. */
final class EntryController
{
    private const MOST_TOGETHER = 100;

    #[Route('/api/cases/{id}/entries', methods: ['POST'])]
    #[OA\Post(
        path: '/api/cases/{id}/entries', operationId: 'recordEntry',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: EntryInput::class)), responses: [
            new OA\Response(response: 201, description: 'recorded', content: new OA\JsonContent(ref: RecordedEntry::class)),
            new OA\Response(response: 200, description: 'was recorded before', content: new OA\JsonContent(ref: RecordedEntry::class)),
        ])]
    public function record(CaseRecord $case, Request $request, EntryRecorder $recorder): JsonResponse
    {
        [$recorded, $isNew] = $recorder->record($case, Entry::fromNode(JsonBody::of($request)));

        return new JsonResponse($recorded, $isNew ? 201 : 200);
    }

    #[Route('/api/cases/{id}/entries/together', methods: ['POST'])]
    #[OA\Post(
        path: '/api/cases/{id}/entries/together', operationId: 'recordEntries',
        description: 'Several entries in their order, stored all or none. A refusal names the first that is not taken, by its pointer.',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['entries'], properties: [
            new OA\Property('entries', type: 'array', maxItems: self::MOST_TOGETHER, items: new OA\Items(ref: EntryInput::class)),
        ])),
        responses: [new OA\Response(
            response: 200, description: 'each as it stands, in the order sent; what was recorded before stands as it was',
            content: new OA\JsonContent(required: ['recorded'], properties: [
                new OA\Property('recorded', type: 'array', items: new OA\Items(ref: RecordedEntry::class)),
            ], type: 'object'),
        )])]
    public function recordTogether(CaseRecord $case, Request $request, EntryRecorder $recorder): JsonResponse
    {
        $entries = JsonBody::of($request)->get('entries')->items(self::MOST_TOGETHER);
        $recorded = $recorder->recordTogether($case, array_map(Entry::fromNode(...), $entries));

        return new JsonResponse(['recorded' => $recorded]);
    }
}
