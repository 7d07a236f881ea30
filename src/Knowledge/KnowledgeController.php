<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use MuteTapper\Core\Before\TestColumn;
use MuteTapper\Core\CaseFile\Story;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Gauge;
use MuteTapper\Core\Knowledge\Sign;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\Columns;
use MuteTapper\Core\Spring\SheetColumn;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** The catalogue that screens offer choices from. */
final class KnowledgeController
{
    #[Route('/api/catalogue', methods: ['GET'])]
    #[OA\Get(path: '/api/catalogue', operationId: 'getCatalogue', responses: [
        new OA\Response(response: 200, description: 'signs, columns, schools', content: new OA\JsonContent(ref: CatalogueView::class)),
    ])]
    public function catalogue(Request $request, KnowledgeFiles $files): JsonResponse
    {
        $knowledge = $files->current();
        $signs = array_map(static fn (Sign $sign): SignView => new SignView(
            $sign->code, $sign->name, array_map(static fn (Part $part): string => $part->value, $sign->parts), $sign->site->value, $sign->seenBy->value,
            $sign->lookFor, $sign->photograph, $sign->lookAlike, $sign->severity, $sign->words, $sign->gross, $sign->requires, $sign->bench !== null, $sign->needsFill,
        ), array_values($knowledge->signs));
        $columns = array_map(static fn (Column $column): ColumnView => new ColumnView(
            $column->code(), $column->label(), $column->short(), $column->part()->value, $column->site()->value, match (true) {
                $column instanceof SheetColumn => 'spring',
                $column instanceof TestColumn => 'before',
                default => 'build',
            }, array_map(static fn (UnitSystem $units): string => trim($units->unitOf($column->range()->dimension())->value, '1'), UnitSystem::cases()), $column->range()->dimension()->value,
            $column->isByCoil(), $column->isAtHeight(), $column->isClaimable(), $column->gauge(), $knowledge->gauges[$column->gauge()]->label, $knowledge->gauges[$column->gauge()]->stated,
        ), Columns::all());
        $gauges = array_map(static fn (Gauge $gauge): GaugeView => new GaugeView($gauge->code, $gauge->label, $gauge->unit->dimension()->value, $gauge->stated), array_values($knowledge->gauges));
        $schools = [];
        foreach ($knowledge->limits->schools as $code => $school) {
            $schools[] = new SchoolView($code, $school['label'], $school['meaning']);
        }
        $questions = [];
        foreach (Story::QUESTIONS as $field => $ask) {
            $questions[] = new QuestionView($field, $ask);
        }
        $response = new JsonResponse(new CatalogueView($knowledge->hash, $signs, $columns, $gauges, $schools, $questions, array_map(AskedView::of(...), array_values($knowledge->questions))));
        $response->setEtag($knowledge->hash);
        $response->isNotModified($request);

        return $response;
    }
}
