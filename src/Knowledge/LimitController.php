<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Verdict\Side;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** The limits, school by school. */
final readonly class LimitController
{
    public function __construct(private KnowledgeFiles $files)
    {
    }

    #[Route('/api/limits', methods: ['GET'])]
    #[OA\Get(path: '/api/limits', operationId: 'listLimits', responses: [
        new OA\Response(
            response: 200, description: 'by title',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: LimitView::class)),
        ),
    ])]
    public function list(): JsonResponse
    {
        $limits = Node::root($this->files->content())->get('limits');
        $views = [];
        foreach ($limits->get('limits')->members() as $code => $limit) {
            $shipped = Node::root($this->files->shippedOf('limits', (string) $code));
            $views[] = $this->view((string) $code, $limit, $shipped, $limits->get('schools'));
        }
        usort($views, static fn (LimitView $a, LimitView $b): int => $a->title <=> $b->title);

        return new JsonResponse($views);
    }

    private function view(string $code, Node $limit, Node $shipped, Node $schools): LimitView
    {
        $side = $limit->get('side')->choice(Side::class);
        $figures = [];
        foreach (self::tables($limit) as $kind => $table) {
            foreach ($table->members() as $school => $figure) {
                [$least, $most] = self::ends($figure, $side);
                $asShipped = self::tables($shipped)[$kind] ?? null;
                [$shippedLeast, $shippedMost] = self::ends($asShipped?->maybe($school), $side);
                $label = $schools->maybe($school)?->get('label')->word() ?? $school;
                $figures[] = new LimitFigureView($school, $label, $kind, $least, $most, $shippedLeast, $shippedMost);
            }
        }

        return new LimitView(
            $code, $limit->get('title')->word(), self::partOf($code), $side->value, $limit->get('unit')->word(), $figures,
            $limit->get('default')->word(),
            $limit->get('mark')->word(), $limit->get('source')->word(1000), $limit->raw() !== $shipped->raw(),
        );
    }

    private static function partOf(string $code): string
    {
        $sheets = AllSheets::get();
        $columns = isset($sheets->judged[$code]) ? $sheets->sheetOf($code)->columns : [];

        return ($columns[0]->part ?? Part::Valve)->value;
    }

    /** @return array<string, Node> figures by school: for all valves under the empty name, then by kind */
    private static function tables(Node $limit): array
    {
        return ['' => $limit->get('schools')] + ($limit->maybe('by_kind')?->members() ?? []);
    }

    /** @return array{?float, ?float} */
    private static function ends(?Node $figure, Side $side): array
    {
        return match (true) {
            $figure === null => [null, null],
            $side === Side::Between => [$figure->get('least')->number(), $figure->get('most')->number()],
            $side === Side::AtLeast => [$figure->number(), null],
            default => [null, $figure->number()],
        };
    }
}
