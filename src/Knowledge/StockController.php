<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use MuteTapper\Core\Document\Node;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** What the shop keeps in stock. */
final readonly class StockController
{
    public function __construct(private KnowledgeFiles $files)
    {
    }

    #[Route('/api/stock', methods: ['GET'])]
    #[OA\Get(path: '/api/stock', operationId: 'listStock', responses: [
        new OA\Response(
            response: 200, description: 'by title',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: StockView::class)),
        ),
    ])]
    public function list(): JsonResponse
    {
        $views = [];
        foreach (Node::root($this->files->content())->get('stock')->get('stock')->members() as $code => $stock) {
            $shipped = Node::root($this->files->shippedOf('stock', (string) $code));
            $views[] = new StockView(
                (string) $code, $stock->get('title')->word(), $stock->get('unit')->word(), self::figures($stock), self::figures($shipped),
                $stock->get('tolerance')->number(), $stock->get('most')->whole(1, 100), $stock->get('mark')->word(),
                $stock->get('source')->word(1000), $stock->raw() !== $shipped->raw(),
            );
        }

        return new JsonResponse($views);
    }

    /** @return list<float> */
    private static function figures(Node $stock): array
    {
        return array_map(static fn (Node $one): float => $one->number(), $stock->get('thicknesses')->items());
    }
}
