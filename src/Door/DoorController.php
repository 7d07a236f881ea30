<?php

declare(strict_types=1);

namespace MuteTapper\App\Door;

use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Problem;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** The porch of the shop: says whether a device is known, and takes the shop word. */
#[Route('/api/door')]
final class DoorController
{
    private const KNOWN_FOR = '+400 days';

    #[Route('', methods: ['GET'])]
    #[OA\Get(path: '/api/door', operationId: 'getDoor', responses: [
        new OA\Response(response: 200, description: 'who can come in', content: new OA\JsonContent(ref: DoorView::class)),
    ])]
    public function door(Request $request, Door $door): JsonResponse
    {
        return new JsonResponse(self::view($request, $door, $door->isOpenTo($request)));
    }

    #[Route('', methods: ['POST'])]
    #[OA\Post(
        path: '/api/door', operationId: 'tellShopWord',
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\JsonContent(required: ['word'], properties: [new OA\Property('word', type: 'string')], type: 'object'),
        ),
        responses: [
            new OA\Response(response: 200, description: 'this device is known now', content: new OA\JsonContent(ref: DoorView::class)),
        ],
    )]
    public function tell(Request $request, Door $door, ShopKeys $keys): JsonResponse
    {
        $told = strtolower(JsonBody::of($request)->get('word')->word(80));
        if (!hash_equals(self::letters($keys->shopWord()), self::letters($told))) {
            throw Problem::unknownDevice('This is not the shop word. It stands in the window that started the shop.');
        }
        $response = new JsonResponse(self::view($request, $door, true));
        $response->headers->setCookie(
            Cookie::create(Door::COOKIE, $keys->mark(), new \DateTimeImmutable(self::KNOWN_FOR))
                ->withHttpOnly()->withSameSite(Cookie::SAMESITE_STRICT),
        );

        return $response;
    }

    /** Hyphens and spaces are for the eye. */
    private static function letters(string $word): string
    {
        return preg_replace('/[^a-z]/', '', $word) ?? '';
    }

    private static function view(Request $request, Door $door, bool $open): DoorView
    {
        return new DoorView($open, $door->isOnNetwork() ? $request->server->getString('MUTE_TAPPER_ADDRESS') : '');
    }
}
