<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\Record\CaseRecord;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The report as a page, as it will print. */
#[Route('/api/cases/{id}')]
final class ReportController
{
    #[Route('/report.html', methods: ['GET'])]
    public function page(CaseRecord $case, Request $request, ReportMaker $maker): Response
    {
        return new Response($maker->html($case, ReportMaker::audience($request->query->getString('for'))));
    }
}
