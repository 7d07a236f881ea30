<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Settings;
use MuteTapper\Core\CaseFile\Story;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryLog;

/** Finds cases and turns what is stored into what the core computes on. */
final readonly class Cases
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function get(string $id): CaseRecord
    {
        return $this->entities->find(CaseRecord::class, $id) ?? throw Problem::notFound('There is no case with this id here.');
    }

    /** @return list<CaseRecord> newest first */
    public function all(): array
    {
        return array_values($this->entities->getRepository(CaseRecord::class)->findBy([], ['number' => 'DESC']));
    }

    public function nextNumber(): int
    {
        $last = $this->entities->getConnection()->fetchOne('SELECT MAX(number) FROM case_file');

        return (is_numeric($last) ? (int) $last : 0) + 1;
    }

    public function engine(CaseRecord $case): Engine
    {
        return Engine::fromNode(Node::root($case->engine));
    }

    public function story(CaseRecord $case): Story
    {
        return Story::fromNode(Node::root($case->description)->maybe('story'), $this->engine($case));
    }

    public function settings(CaseRecord $case): Settings
    {
        return Settings::fromNode(Node::root($case->description)->maybe('settings'));
    }

    /** The case as it stands: heads only, which is all that computing needs. */
    public function file(CaseRecord $case): CaseFile
    {
        return new CaseFile($this->engine($case), $this->settings($case), EntryLog::ofHeads($this->heads($case)));
    }

    /** @return list<Entry> the newest entry of every slot, in the order in which the slots were first used */
    public function heads(CaseRecord $case): array
    {
        /** @var list<EntryRecord> $records */
        $records = $this->entities->createQuery(
            'SELECT e FROM '.EntryRecord::class.' e JOIN '.SlotHead::class.' h WITH h.entry = e WHERE h.case = :case ORDER BY h.firstSeq',
        )->setParameter('case', $case)->getResult();

        return array_map(static fn (EntryRecord $record): Entry => $record->entry(), $records);
    }

    /** @return list<Entry> every entry ever made, in the order of recording */
    public function entries(CaseRecord $case): array
    {
        return array_map(
            static fn (EntryRecord $record): Entry => $record->entry(),
            array_values($this->entities->getRepository(EntryRecord::class)->findBy(['case' => $case], ['seq' => 'ASC'])),
        );
    }

    public function lastEntryId(CaseRecord $case): ?string
    {
        $id = $this->entities->getConnection()->fetchOne('SELECT id FROM entry WHERE case_id = ? ORDER BY seq DESC LIMIT 1', [$case->id]);

        return is_string($id) ? $id : null;
    }

    public function signedCall(CaseRecord $case): ?SignedCall
    {
        return $this->entities->getRepository(SignedCall::class)->findOneBy(['case' => $case], ['at' => 'DESC']);
    }
}
