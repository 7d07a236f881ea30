<?php

declare(strict_types=1);

namespace MuteTapper\App\Photograph;

use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\WorkingCopyState;
use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Shared\Query;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Receives photographs and gives them out. */
final class PhotographController
{
    #[Route('/api/cases/{id}/photographs', methods: ['POST'])]
    #[OA\Post(
        path: '/api/cases/{id}/photographs', operationId: 'keepPhotograph',
        parameters: [new OA\HeaderParameter(name: 'X-File-Name', schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary')),
        ),
        responses: [
            new OA\Response(response: 201, description: 'kept', content: new OA\JsonContent(ref: PhotographView::class)),
        ])]
    public function keep(CaseRecord $case, Request $request, PhotographStore $store): JsonResponse
    {
        $name = Query::fileName($request, 'The picture');
        if ((int) $request->headers->get('Content-Length', '0') > PhotographStore::MOST_BYTES) {
            throw Problem::tooLarge(sprintf('%s has more than 40 MB.', $name));
        }

        return new JsonResponse(PhotographView::of($store->keep($case, $request->getContent(), $name)), 201);
    }

    #[Route('/api/cases/{id}/photographs/{sha256}', methods: ['GET'], requirements: ['sha256' => '[0-9a-f]{64}'])]
    #[OA\Get(path: '/api/cases/{id}/photographs/{sha256}', operationId: 'getPhotograph', responses: [
        new OA\Response(response: 200, description: 'its facts', content: new OA\JsonContent(ref: PhotographView::class)),
    ])]
    public function facts(CaseRecord $case, string $sha256, PhotographStore $store): JsonResponse
    {
        return new JsonResponse(PhotographView::of($store->ofCase($case, $sha256)));
    }

    /** The original byte for byte, or the working copy; the original stands in while the copy is being made. */
    #[Route(
        '/api/cases/{id}/photographs/{sha256}/{which}', methods: ['GET'],
        requirements: ['sha256' => '[0-9a-f]{64}', 'which' => 'original|working'],
    )]
    public function picture(CaseRecord $case, string $sha256, string $which, PhotographStore $store): BinaryFileResponse
    {
        $photograph = $store->ofCase($case, $sha256);
        $ready = $which === 'working' && $photograph->workingCopy === WorkingCopyState::Ready;
        $path = $ready ? $store->workingCopy($sha256) : $store->original($sha256);
        if (!is_file($path)) {
            throw Problem::notFound(
                'Picture not supplied: it is known by its checksum only. Upload the original and it is attached again.',
            );
        }
        $response = new BinaryFileResponse($path, 200, ['Content-Type' => $ready ? 'image/jpeg' : $photograph->mediaType]);
        $response->headers->set('Cache-Control', $ready || $which === 'original' ? 'private, max-age=31536000, immutable' : 'no-cache');

        return $response;
    }

    #[Route('/api/cases/{id}/measures', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/measures', operationId: 'getMeasures', responses: [
        new OA\Response(
            response: 200, description: 'everything drawn on the photographs of the case, measured',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: MeasureView::class)),
        ),
    ])]
    public function measures(CaseRecord $case, Cases $cases): JsonResponse
    {
        return new JsonResponse(Measures::of($cases->file($case)));
    }
}
