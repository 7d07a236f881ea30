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

/** Takes entries, one by one. */
final class EntryController
{
    #[Route('/api/cases/{id}/entries', methods: ['POST'])]
    #[OA\Post(
        path: '/api/cases/{id}/entries', operationId: 'recordEntry',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: EntryInput::class)), responses: [
            new OA\Response(response: 201, description: 'recorded', content: new OA\JsonContent(ref: RecordedEntry::class)),
            new OA\Response(response: 200, description: 'was recorded before', content: new OA\JsonContent(ref: RecordedEntry::class)),
        ])]
    public function record(CaseRecord $case, Request $request, EntryRecorder $recorder): JsonResponse
    {
        [$entry, $isNew] = $recorder->record($case, Entry::fromNode(JsonBody::of($request)));

        return new JsonResponse(new RecordedEntry($entry, $case->revision), $isNew ? 201 : 200);
    }
}
