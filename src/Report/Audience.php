<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

/** Whom a report is for: the same facts to everyone, in the sections that each of them needs. */
enum Audience: string
{
    case Customer = 'customer';
    case Supplier = 'supplier';
    case Insurer = 'insurer';

    /** @return list<ReportSection> */
    public function leftOut(): array
    {
        return match ($this) {
            self::Customer => [
                ReportSection::Measurements, ReportSection::Teardown, ReportSection::Laboratory, ReportSection::Ledgers,
                ReportSection::Gauges, ReportSection::Limits,
            ],
            self::Supplier => [ReportSection::Parts, ReportSection::Rebuild, ReportSection::Returns],
            self::Insurer => [],
        };
    }

    public function shows(ReportSection $section): bool
    {
        return !in_array($section, $this->leftOut(), true);
    }
}
