<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\CaseFile\Call;
use MuteTapper\Core\CaseFile\Story;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Gauge;
use MuteTapper\Core\Knowledge\Sign;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\Axis;
use OpenApi\Attributes as OA;
use Psr\Clock\ClockInterface;
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
    public function catalogue(Request $request, KnowledgeFiles $files, ClockInterface $clock): JsonResponse
    {
        $knowledge = $files->current();
        $signs = array_map(static fn (Sign $sign): SignView => new SignView(
            $sign->code, $sign->name, array_map(static fn (Part $part): string => $part->value, $sign->parts), $sign->site->value,
            $sign->seenBy->value,
            $sign->lookFor, $sign->photograph, $sign->lookAlike, $sign->severity, $sign->words, $sign->gross, $sign->requires,
            $sign->isFromBench(), $sign->needsFill,
        ), array_values($knowledge->signs));
        $columns = [];
        foreach (AllSheets::get()->sheets as $sheet) {
            foreach ($sheet->columns as $column) {
                $gauge = $knowledge->gauges[$column->gauge];
                $columns[] = new ColumnView(
                    $column->code, $column->label, $column->short, $column->part->value, $column->site, $sheet->code, $sheet->step,
                    array_map(
                        static fn (UnitSystem $units): string => $units->unitOf($column->dimension())->symbol(),
                        UnitSystem::cases(),
                    ),
                    $column->dimension()->value, $column->index->has(Axis::Coil), $column->isOfPair, $column->isAtHeight,
                    $column->isClaimable, $column->isReadable, $column->gauge, $gauge->label, $gauge->stated,
                );
            }
        }
        $gauges = array_map(
            static fn (Gauge $gauge): GaugeView => new GaugeView(
                $gauge->code, $gauge->label, $gauge->unit->dimension()->value, $gauge->unit->value, $gauge->stated, $gauge->isOnCable, null,
                false,
            ),
            array_values($knowledge->gauges),
        );
        foreach ($files->registered() as $own) {
            $gauges[] = new GaugeView(
                $own->gauge->code, $own->gauge->label, $own->gauge->unit->dimension()->value, $own->gauge->unit->value, $own->gauge->stated,
                $own->gauge->isOnCable, $own->kind, $own->isOverdue($clock->now()),
            );
        }
        $schools = [];
        foreach ($knowledge->limits->schools as $code => $school) {
            $schools[] = new SchoolView($code, $school['label'], $school['meaning']);
        }
        $questions = [];
        foreach (Story::QUESTIONS as $field => $ask) {
            $questions[] = new QuestionView($field, $ask);
        }
        $response = new JsonResponse(
            new CatalogueView(
                $knowledge->hash, $signs, $columns, $gauges, $schools, $questions,
                array_map(AskedView::of(...), array_values($knowledge->questions)),
                array_map(
                    static fn (int $least, string $words): SureView => new SureView($least, $words), array_keys(Call::SURE), Call::SURE,
                ),
            ),
        );
        $response->setEtag($files->tag());
        $response->isNotModified($request);

        return $response;
    }
}
