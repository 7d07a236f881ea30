<?php

declare(strict_types=1);

namespace MuteTapper\App\Package;

use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Screen\CasePresenter;
use MuteTapper\App\Screen\CaseView;
use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Shared\Query;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Packages of other shops come in. */
final class PackageController
{
    private const MOST_BYTES = 2 * 1024 ** 3;

    #[Route('/api/cases/unpack', methods: ['POST'], priority: 1)]
    #[OA\Post(
        path: '/api/cases/unpack', operationId: 'unpackCase',
        parameters: [
            new OA\QueryParameter(name: 'copy', schema: new OA\Schema(type: 'boolean')),
            new OA\QueryParameter(name: 'by', required: true, schema: new OA\Schema(type: 'string')),
            new OA\QueryParameter(name: 'file', schema: new OA\Schema(type: 'string')),
        ],
        requestBody: new OA\RequestBody(
            required: true, content: new OA\MediaType('application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary')),
        ), responses: [
            new OA\Response(
                response: 201, description: 'taken in with its pictures and logs', content: new OA\JsonContent(ref: CaseView::class),
            ),
        ])]
    public function unpack(Request $request, CasePackage $package, CasePresenter $presenter): JsonResponse
    {
        $by = Query::word($request, 'by', 'import', 80);
        $path = (string) tempnam(sys_get_temp_dir(), 'package');
        try {
            $file = fopen($path, 'w');
            $bytes = $file === false ? 0 : (int) stream_copy_to_stream($request->getContent(true), $file, self::MOST_BYTES + 1);
            if ($bytes > self::MOST_BYTES) {
                throw Problem::tooLarge('The package has more than 2 GB.');
            }
            $view = $presenter->viewOf(static fn (): CaseRecord => $package->unpack(
                $path, $request->query->getBoolean('copy'), $by, Query::word($request, 'file', 'The package'),
            ));

            return new JsonResponse($view, 201);
        } finally {
            @unlink($path);
        }
    }
}
