<?php

declare(strict_types=1);

namespace MuteTapper\App\Simulated;

use MuteTapper\App\Shared\Problem;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The simulated bench camera: what it can show, and one picture. */
#[Route('/api/simulated/camera')]
final class BenchCameraController
{
    #[Route('', methods: ['GET'])]
    #[OA\Get(path: '/api/simulated/camera', operationId: 'listSimulatedPictures', responses: [
        new OA\Response(
            response: 200, description: 'pictures it can take',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: SimulatedPictureView::class)),
        ),
    ])]
    public function list(): JsonResponse
    {
        return new JsonResponse(
            array_map(
                static fn (PartPicture $picture): SimulatedPictureView => new SimulatedPictureView(
                    $picture->value, $picture->label(), $picture->part()->value, $picture->sign(),
                ),
                PartPicture::cases(),
            ),
        );
    }

    #[Route('/{kind}.png', methods: ['GET'])]
    public function take(string $kind, Request $request, BenchCamera $camera): Response
    {
        $picture = PartPicture::tryFrom($kind) ?? throw Problem::notFound(sprintf('The simulated camera has no picture “%s”.', $kind));
        $severity = $request->query->getInt('severity', 2);
        if ($severity < 0 || $severity > 4) {
            throw Problem::invalid('How bad goes from 0 to 4.', ['pointer' => '/severity']);
        }

        $width = $request->query->getBoolean('preview') ? BenchCamera::PREVIEW_WIDTH : BenchCamera::WIDTH;
        $image = $camera->take($picture, $severity, $request->query->getInt('seed', 1), $request->query->getBoolean('borescope'), $width);

        return new Response($image, 200, ['Content-Type' => 'image/png', 'Cache-Control' => 'private, max-age=3600']);
    }
}
