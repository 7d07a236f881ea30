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
use MuteTapper\Core\Entry\EntryLog;

/** Finds cases and turns what is stored into what the core computes on. */
final readonly class Cases
{
    public function __construct(private EntityManagerInterface $entities, private StoredEntries $entries)
    {
    }

    public function find(string $id): ?CaseRecord
    {
        return $this->entities->find(CaseRecord::class, $id);
    }

    public function get(string $id): CaseRecord
    {
        return $this->find($id) ?? throw Problem::notFound('There is no case with this id here.');
    }

    /** By the number that it has in this shop, or by its id. */
    public function wanted(string $numberOrId): CaseRecord
    {
        return $this->entities->getRepository(CaseRecord::class)->findOneBy(
            ctype_digit($numberOrId) ? ['number' => (int) $numberOrId] : ['id' => $numberOrId],
        ) ?? throw Problem::notFound(sprintf('There is no case “%s” here.', $numberOrId));
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

    /** The case as it stands: heads only, which is all that computing needs. What cannot be read is left out. */
    public function file(CaseRecord $case): CaseFile
    {
        return $this->fileOf($case, $this->heads($case));
    }

    public function fileOf(CaseRecord $case, StoredLog $heads): CaseFile
    {
        return new CaseFile(
            $this->engine($case), $this->settings($case), EntryLog::ofHeads($heads->entries), $this->story($case)->failed,
        );
    }

    public function heads(CaseRecord $case): StoredLog
    {
        return $this->entries->heads($case, $this->engine($case));
    }

    /** The call that holds: the last in the order of signing, whatever clocks say. */
    public function signedCall(CaseRecord $case): ?SignedCall
    {
        return $this->signedCalls($case)[0] ?? null;
    }

    /** @return list<SignedCall> the last first */
    public function signedCalls(CaseRecord $case): array
    {
        return $this->entities->getRepository(SignedCall::class)->findBy(['case' => $case], ['seq' => 'DESC']);
    }
}
