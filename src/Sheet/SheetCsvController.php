<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Problem;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Sheets as tables that spreadsheets read and write. */
#[Route('/api/cases/{id}/sheets/{sheet}')]
final class SheetCsvController
{
    private const LARGEST = 1_000_000;

    public function __construct(private readonly DerivedSheets $derived, private readonly Assessments $assessments)
    {
    }

    #[Route('/readings.csv', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/sheets/{sheet}/readings.csv', operationId: 'exportSheet', responses: [
        new OA\Response(response: 200, description: 'the readings', content: new OA\MediaType('text/csv')),
    ])]
    public function csv(CaseRecord $case, string $sheet): Response
    {
        $writer = new SheetCsvWriter($this->layout($case, $sheet), $this->assessments->of($case)->bench);

        return new Response($writer->csv(), 200, [
            'Content-Type' => 'text/csv; charset=utf-8; header=present',
            'Content-Disposition' => sprintf('attachment; filename="%04d-%s.csv"', $case->number, $sheet),
            'Link' => sprintf('<%s>; rel="describedby"; type="application/csvm+json"', 'readings.csv-metadata.json'),
        ]);
    }

    #[Route('/readings.csv-metadata.json', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/sheets/{sheet}/readings.csv-metadata.json', operationId: 'describeSheet', responses: [
        new OA\Response(response: 200, description: 'units and names of its columns, CSVW', content: new OA\JsonContent(type: 'object')),
    ])]
    public function metadata(CaseRecord $case, string $sheet): JsonResponse
    {
        $writer = new SheetCsvWriter($this->layout($case, $sheet), $this->assessments->of($case)->bench);

        return new JsonResponse($writer->metadata('readings.csv'), 200, ['Content-Type' => 'application/csvm+json']);
    }

    #[Route('/csv', methods: ['POST'])]
    #[OA\Post(
        path: '/api/cases/{id}/sheets/{sheet}/csv', operationId: 'readCsv',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['text'], properties: [
            new OA\Property('text', description: 'the file', type: 'string'),
            new OA\Property('mapping', description: 'what each column is, where it was said', type: 'array', items: new OA\Items(
                type: 'string',
            )),
        ], type: 'object')),
        responses: [new OA\Response(
            response: 200, description: 'what would be recorded; nothing was', content: new OA\JsonContent(ref: SheetCsvView::class),
        )])]
    public function read(CaseRecord $case, string $sheet, Request $request): JsonResponse
    {
        $body = JsonBody::of($request);
        $text = $body->get('text')->raw();
        if (!is_string($text) || strlen($text) > self::LARGEST || !mb_check_encoding($text, 'UTF-8')) {
            throw Problem::invalid('A table of at most 1 MB in UTF-8 is taken.', ['pointer' => '/text']);
        }
        $mapping = [];
        foreach ($body->maybe('mapping')?->items(500) ?? [] as $one) {
            $code = $one->raw();
            $mapping[] = is_string($code) ? $code : '';
        }
        $reader = new SheetCsvReader($this->layout($case, $sheet), $this->assessments->of($case)->case->settings->units);

        return new JsonResponse($reader->read($text, $mapping === [] ? null : $mapping));
    }

    private function layout(CaseRecord $case, string $sheet): SheetLayoutView
    {
        foreach ($this->derived->layouts($case) as $layout) {
            if ($layout->code === $sheet) {
                return $layout;
            }
        }
        throw Problem::notFound(sprintf('This engine has no sheet “%s”.', $sheet));
    }
}
