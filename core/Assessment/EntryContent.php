<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\Chain\ChainEdit;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Answer;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\MeasuredLift;
use MuteTapper\Core\Entry\PartTag;
use MuteTapper\Core\Entry\SweptCurve;
use MuteTapper\Core\Photograph\Annotation;
use MuteTapper\Core\Reassembly\LineRecord;
use MuteTapper\Core\Reassembly\Outcome;
use MuteTapper\Core\Reassembly\Tightening;
use MuteTapper\Core\Remedy\Remedy;
use MuteTapper\Core\Remedy\Reuse;
use MuteTapper\Core\Remedy\Taken;
use MuteTapper\Core\Report\Issue;
use MuteTapper\Core\RunLog\LogUse;
use MuteTapper\Core\Schedule\LaboratoryReport;
use MuteTapper\Core\Schedule\Promise;
use MuteTapper\Core\Schedule\Task;
use MuteTapper\Core\Teardown\Custody;
use MuteTapper\Core\Teardown\Pieces;
use MuteTapper\Core\Teardown\StepOrder;
use MuteTapper\Core\Teardown\StepRecord;
use MuteTapper\Core\Timeline\Carry;
use MuteTapper\Core\Timeline\Event;

/** The content of entries whose kind alone says how it is read. */
final class EntryContent
{
    /**
     * The content in its stored shape, or null for a kind that is read with more than its own content.
     *
     * @return array<string, mixed>|null
     *
     * @throws BadDocument with the path inside the content
     */
    public static function normal(EntryKind $kind, Node $data): ?array
    {
        return match ($kind) {
            EntryKind::Answer => Answer::fromNode($data)->toArray(),
            EntryKind::Event => Event::fromNode($data)->toArray(),
            EntryKind::Carry => Carry::fromNode($data)->toArray(),
            EntryKind::Log => LogUse::fromNode($data)->toArray(),
            EntryKind::Step => StepRecord::fromNode($data)->toArray(),
            EntryKind::Order => StepOrder::fromNode($data)->toArray(),
            EntryKind::Pieces => Pieces::fromNode($data)->toArray(),
            EntryKind::Sweep => SweptCurve::fromNode($data)->toArray(),
            EntryKind::Lift => MeasuredLift::fromNode($data)->toArray(),
            EntryKind::Tag => PartTag::fromNode($data)->toArray(),
            EntryKind::Custody => Custody::fromNode($data)->toArray(),
            EntryKind::Annotation => Annotation::fromNode($data)->toArray(),
            EntryKind::Task => Task::fromNode($data)->toArray(),
            EntryKind::Promise => Promise::fromNode($data)->toArray(),
            EntryKind::Report => LaboratoryReport::fromNode($data)->toArray(),
            EntryKind::Issue => Issue::fromNode($data)->toArray(),
            EntryKind::Chain => ChainEdit::fromNode($data)->toArray(),
            EntryKind::Remedy => Remedy::fromNode($data)->toArray(),
            EntryKind::Taken => Taken::fromNode($data)->toArray(),
            EntryKind::Reuse => Reuse::fromNode($data)->toArray(),
            EntryKind::Tightening => Tightening::fromNode($data)->toArray(),
            EntryKind::Line => LineRecord::fromNode($data)->toArray(),
            EntryKind::Outcome => Outcome::fromNode($data)->toArray(),
            EntryKind::Reading, EntryKind::Claim, EntryKind::Finding, EntryKind::Look, EntryKind::Photograph, EntryKind::Withdrawal => null,
        };
    }
}
