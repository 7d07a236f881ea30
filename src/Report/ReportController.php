<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\CaseFile\Cases;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The report as a page and as a PDF. */
#[Route('/api/cases/{id}')]
final class ReportController
{
    #[Route('/report.html', methods: ['GET'])]
    public function page(string $id, Cases $cases, ReportMaker $maker): Response
    {
        return new Response($maker->html($cases->get($id)));
    }

    #[Route('/report.pdf', methods: ['GET'])]
    public function pdf(string $id, Cases $cases, ReportMaker $maker): Response
    {
        $case = $cases->get($id);

        return new Response($maker->pdf($case), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => sprintf('attachment; filename="report-%04d.pdf"', $case->number)]);
    }
}
