<?php

declare(strict_types=1);

namespace MuteTapper\App\Likeness;

use Doctrine\DBAL\Connection;
use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Cause\SignedWith;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\Core\CaseFile\SignedContent;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Likeness\CaseTraits;
use MuteTapper\Core\Likeness\Likeness;
use MuteTapper\Core\Reassembly\Outcome;

/** Signed cases of the shop that are like one. A signed call keeps by what its case is compared: no past case is worked out again. */
final readonly class PastCases implements SignedWith
{
    private const MOST = 5;

    public function __construct(private Connection $connection, private Cases $cases, private Assessments $assessments)
    {
    }

    public function name(): string
    {
        return 'traits';
    }

    /** @return array<string, mixed> */
    public function shown(CaseRecord $case): array
    {
        $assessment = $this->assessments->of($case);

        return CaseTraits::of($assessment->model(), $assessment->case->engine)->toArray();
    }

    /** @return list<PastCaseView> likest first */
    public function like(CaseRecord $case): array
    {
        $assessment = $this->assessments->of($case);
        $past = $this->traits($case->id);
        $likest = array_slice(Likeness::among(CaseTraits::of($assessment->model(), $assessment->case->engine), $past), 0, self::MOST);
        $signs = $assessment->knowledge->signs;
        $views = [];
        foreach ($likest as $one) {
            $other = $this->cases->get($one->case);
            $signed = $this->cases->signedCall($other);
            if ($signed === null) {
                continue;
            }
            $call = SignedContent::fromNode(Node::root($signed->content))->call;
            $views[] = new PastCaseView(
                $other->id, $other->number, $other->name, $one->degree,
                array_map(static fn (string $sign): string => $signs[$sign]->name ?? $sign, $one->shared), count($one->alike),
                array_map($assessment->knowledge->network->nameOf(...), $call->causes), $call->words, $call->confidence, $signed->by,
                $signed->at->format(\DATE_ATOM), $this->outcome($other),
            );
        }

        return $views;
    }

    /** What its last return says, in words. */
    private function outcome(CaseRecord $case): ?string
    {
        $outcome = Outcome::last($this->cases->file($case)->log);

        return $outcome === null ? null : sprintf('%s after %s %s', $outcome->symptom->words(), $outcome->amount, $outcome->unit->value);
    }

    /** @return array<string, CaseTraits> of the other cases, as they were when they were signed last */
    private function traits(string $but): array
    {
        /** @var array<string, string> $rows */
        $rows = $this->connection->fetchAllKeyValue(
            "SELECT case_id, json_extract(content, '$.traits') AS traits FROM signed_call s WHERE case_id <> ? AND traits IS NOT NULL ".
            'AND seq = (SELECT MAX(seq) FROM signed_call WHERE case_id = s.case_id)', [$but],
        );

        return array_map(
            static fn (string $traits): CaseTraits => CaseTraits::fromNode(
                Node::root(json_decode($traits, true, 16, \JSON_THROW_ON_ERROR)),
            ), $rows,
        );
    }
}
