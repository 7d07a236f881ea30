<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

/** A section that a report may be without; it is never without the call, the story, margins, what was seen, the chain, what must change, and what is open. */
enum ReportSection: string
{
    case Measurements = 'measurements';
    case Teardown = 'teardown and custody';
    case Laboratory = 'laboratory reports';
    case Ledgers = 'the evidence line by line';
    case Parts = 'what goes back in';
    case Rebuild = 'how it went back together';
    case Returns = 'how it came back';
    case Gauges = 'gauges';
    case Limits = 'limits and their sources';
}
