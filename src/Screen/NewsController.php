<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Sheet\DerivedSheets;
use MuteTapper\App\Sheet\MarginsView;
use MuteTapper\App\Sheet\SheetView;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Tells an open screen in one answer what followed from the entries that were made on it. */
final class NewsController
{
    #[Route('/api/cases/{id}/news', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/news', operationId: 'getNews', parameters: [
        new OA\QueryParameter(
            name: 'sheets', description: 'sheets that are shown, separated by commas, each with what is known of it: springs@3f…',
            schema: new OA\Schema(type: 'string'),
        ),
        new OA\QueryParameter(
            name: 'margins', description: 'the same for quantities; those shown together are joined by a plus',
            schema: new OA\Schema(type: 'string'),
        ),
    ], responses: [
        new OA\Response(response: 200, description: 'what followed', content: new OA\JsonContent(ref: NewsView::class)),
    ])]
    public function news(
        CaseRecord $case, Request $request, Assessments $assessments, DerivedSheets $derived, CasePresenter $presenter,
    ): JsonResponse {
        $sheets = $margins = [];
        foreach (self::asked($request, 'sheets') as [$code, $known]) {
            $before = $derived->sheetBefore($known, $code);
            $sheets[] = FollowedView::between($code, $before instanceof SheetView ? $before : null, $derived->sheet($case, $code));
        }
        foreach (self::asked($request, 'margins') as [$name, $known]) {
            $quantities = explode('+', $name);
            $before = $derived->marginsBefore($known, $quantities);
            $now = $derived->margins($case, null, $quantities);
            $margins[] = FollowedView::between($name, $before instanceof MarginsView ? $before : null, $now);
        }
        [$steps, $next, $days] = $presenter->progressOf($case, $assessments->of($case)->case);

        return new JsonResponse(new NewsView($case->revision, $assessments->content($case), $steps, $next, $days, $sheets, $margins));
    }

    /** @return list<array{string, string}> names with the content that is known of each, '' for none */
    private static function asked(Request $request, string $what): array
    {
        $asked = [];
        foreach (array_filter(explode(',', $request->query->getString($what)), static fn (string $one): bool => $one !== '') as $one) {
            [$name, $known] = [...explode('@', $one, 2), ''];
            $asked[] = [$name, $known];
        }

        return $asked;
    }
}
