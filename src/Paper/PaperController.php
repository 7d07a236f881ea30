<?php

declare(strict_types=1);

namespace MuteTapper\App\Paper;

use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Document\Node;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Papers of a case, made aside: asked for, followed, cancelled, fetched. */
#[Route('/api/cases/{id}/papers')]
final class PaperController
{
    #[Route('', methods: ['POST'])]
    #[OA\Post(
        path: '/api/cases/{id}/papers', operationId: 'askForPaper',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['kind'], properties: [
            new OA\Property('kind', type: 'string', enum: ['report', 'tags', 'package']),
            new OA\Property('options', type: 'object', properties: [
                new OA\Property('stations', type: 'array', items: new OA\Items(type: 'string')),
                new OA\Property('parts', type: 'array', items: new OA\Items(type: 'string')),
                new OA\Property(
                    'for', description: 'of a report: whom it is for', type: 'string', enum: ['customer', 'supplier', 'insurer'],
                ),
            ]),
        ], type: 'object')), responses: [
            new OA\Response(
                response: 202, description: 'being made, or made already', content: new OA\JsonContent(ref: PaperView::class),
            ),
        ])]
    public function ask(CaseRecord $case, Request $request, Papers $papers): JsonResponse
    {
        $input = JsonBody::of($request);
        $paper = $papers->ask($case, $input->get('kind')->word(20), $input->maybe('options') ?? Node::root([]));

        return new JsonResponse(PaperView::of($paper), 202);
    }

    #[Route('/{paper}', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/papers/{paper}', operationId: 'getPaper', responses: [
        new OA\Response(response: 200, description: 'how far it is', content: new OA\JsonContent(ref: PaperView::class)),
    ])]
    public function state(CaseRecord $case, string $paper, Papers $papers): JsonResponse
    {
        return new JsonResponse(PaperView::of($papers->of($case, $paper)));
    }

    #[Route('/{paper}', methods: ['DELETE'])]
    #[OA\Delete(path: '/api/cases/{id}/papers/{paper}', operationId: 'cancelPaper', responses: [
        new OA\Response(response: 200, description: 'cancelled', content: new OA\JsonContent(ref: PaperView::class)),
    ])]
    public function cancel(CaseRecord $case, string $paper, Papers $papers): JsonResponse
    {
        $one = $papers->of($case, $paper);
        if ($one->state !== PaperState::Ready) {
            $papers->report($one, PaperState::Cancelled, $one->done);
        }

        return new JsonResponse(PaperView::of($one));
    }

    #[Route('/{paper}/file', methods: ['GET'])]
    public function file(CaseRecord $case, string $paper, Papers $papers, PaperMakers $makers): BinaryFileResponse
    {
        $one = $papers->of($case, $paper);
        if ($one->state !== PaperState::Ready || !is_file($papers->path($one))) {
            throw Problem::notFound('This paper is not made yet.');
        }

        return new BinaryFileResponse($papers->path($one), 200, [
            'Content-Type' => $makers->get($one->kind)->mediaType(),
            'Content-Disposition' => sprintf(
                'attachment; filename="%s-%04d.%s"', $one->kind, $case->number, $makers->get($one->kind)->extension(),
            ),
        ]);
    }
}
