<?php

declare(strict_types=1);

namespace MuteTapper\App\Reassembly;

use Doctrine\DBAL\Connection;
use MuteTapper\App\Record\Cases;
use MuteTapper\Core\CaseFile\Call;
use MuteTapper\Core\CaseFile\SignedContent;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Reassembly\Outcome;

/** The shop's record of calls that held: what came of every signed call whose engine came back. */
final readonly class CallRecord
{
    public function __construct(private Connection $connection, private Cases $cases)
    {
    }

    public function ofShop(): CallRecordView
    {
        /** @var list<string> $cases */
        $cases = $this->connection->fetchFirstColumn('SELECT DISTINCT case_id FROM signed_call');
        $bySureness = [];
        $held = $failed = 0;
        foreach ($cases as $id) {
            $outcome = $this->outcomeOf($id);
            $signed = $outcome === null ? null : $this->cases->signedCall($this->cases->get($id));
            if ($outcome === null || $signed === null) {
                continue;
            }
            $held += $outcome->held() === true ? 1 : 0;
            $failed += $outcome->held() === false ? 1 : 0;
            $sure = Call::sure(SignedContent::fromNode(Node::root($signed->content))->call->confidence);
            [$followed, $ofThem] = $bySureness[$sure] ?? [0, 0];
            $bySureness[$sure] = [$followed + 1, $ofThem + ($outcome->held() === true ? 1 : 0)];
        }
        $rows = [];
        foreach (Call::SURE as $words) {
            if (isset($bySureness[$words])) {
                $rows[] = new SurenessRecordView($words, ...$bySureness[$words]);
            }
        }

        return new CallRecordView(
            count($cases), array_sum(array_map(static fn (SurenessRecordView $row): int => $row->followed, $rows)), $held, $failed, $rows,
        );
    }

    /** What the last return of the engine says. */
    private function outcomeOf(string $case): ?Outcome
    {
        $has = $this->connection->fetchOne(
            'SELECT 1 FROM slot_head WHERE case_id = ? AND slot_key LIKE ?', [$case, 'engine/'.Outcome::PART.'/'.Outcome::ITEM.'/%'],
        );

        return $has === false ? null : Outcome::last($this->cases->file($this->cases->get($case))->log);
    }
}
