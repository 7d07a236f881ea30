<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\StoredEntries;
use MuteTapper\Core\Engine\Place;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** A part by its tag, over all engines and cases. */
final class PartController
{
    #[Route('/api/parts/{tag}', requirements: ['tag' => '[a-z0-9][a-z0-9-]{0,39}'], methods: ['GET'])]
    #[OA\Get(path: '/api/parts/{tag}', operationId: 'getPart', responses: [
        new OA\Response(
            response: 200, description: 'every place where it stands or was read off the engine',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: PartPlaceView::class)),
        ),
    ])]
    public function places(string $tag, StoredEntries $entries, Cases $cases): JsonResponse
    {
        $places = array_map(static fn (array $one): array => [$one['case'], $one['entry']->slot->place], $entries->tagged($tag));
        foreach ($entries->casesWithLoose($tag) as $case) {
            $places[] = [$case, Place::loose($tag)];
        }

        return new JsonResponse(array_map(static function (array $one) use ($cases): PartPlaceView {
            $case = $cases->get($one[0]);

            return new PartPlaceView(
                $case->id, $case->number, $case->name, $one[1], $cases->engine($case)->placeLabel($one[1]) ?? $one[1],
                Place::asLoose($one[1]) !== null,
            );
        }, $places));
    }
}
