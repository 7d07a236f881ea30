<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\Record\CaseRecord;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The report as a page and as a PDF. */
#[Route('/api/cases/{id}')]
final class ReportController
{
    #[Route('/report.html', methods: ['GET'])]
    public function page(CaseRecord $case, ReportMaker $maker): Response
    {
        return new Response($maker->html($case));
    }

    #[Route('/report.pdf', methods: ['GET'])]
    public function pdf(CaseRecord $case, ReportMaker $maker): Response
    {
        return new Response(
            $maker->pdf($case), 200,
            [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => sprintf('attachment; filename="report-%04d.pdf"', $case->number),
            ],
        );
    }
}
