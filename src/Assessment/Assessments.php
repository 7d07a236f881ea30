<?php

declare(strict_types=1);

namespace MuteTapper\App\Assessment;

use Doctrine\DBAL\Connection;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Chain\ChainEdit;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Reassembly\Outcome;
use MuteTapper\Core\Reassembly\Tightening;
use MuteTapper\Core\Remedy\Remedy;
use MuteTapper\Core\Remedy\Reuse;
use MuteTapper\Core\Report\Issue;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Cache\ItemInterface;

/**
 * Assesses cases, and keeps what was derived under what it was derived from: the case's content, the knowledge, and the code
 * of the core. Open cases follow a changed knowledge; nothing computed by another build is shown.
 */
final class Assessments
{
    private const KEPT_SECONDS = 86400;
    /** Beginnings and parts of the slots that the judgement never reads, as SQL patterns. */
    private const UNHEARD = [
        'engine/'.ChainEdit::PART.'/%', 'engine/'.Remedy::PART.'/%', 'engine/'.Outcome::PART.'/%', '%/'.Tightening::PART.'/%',
        '%/'.Reuse::ITEM.'/%', '%/'.Slot::BUILT.'%', 'engine/'.Issue::PART.'/'.Issue::ITEM.'/%',
    ];

    /** @var array<string, Assessment> by content and revision */
    private array $assessments = [];

    public function __construct(
        private readonly Cases $cases,
        private readonly KnowledgeFiles $knowledge,
        private readonly CacheInterface $cache,
        private readonly Connection $connection,
        private readonly KeptSolutions $solutions,
        private readonly string $coreHash,
    ) {
    }

    public function of(CaseRecord $case): Assessment
    {
        return $this->assessments[$this->content($case).$case->revision] ??= Assessment::of(
            $this->cases->file($case), $this->knowledge->current(), $this->solutions,
        );
    }

    /**
     * What was derived of a case under this name, derived once for one content.
     *
     * @template T
     *
     * @param \Closure(Assessment): T $derive
     *
     * @return T
     */
    public function kept(string $name, CaseRecord $case, \Closure $derive): mixed
    {
        return $this->cache->get($name.'.'.$this->content($case), function (ItemInterface $item) use ($case, $derive): mixed {
            $item->expiresAfter(self::KEPT_SECONDS);

            return $derive($this->of($case));
        });
    }

    /** What was derived under this name of a content that a case had; null where it is not kept any more. */
    public function keptOf(string $name, string $content): mixed
    {
        if (preg_match('/^[0-9a-f]{64}$/D', $content) !== 1) {
            return null;
        }

        return $this->cache->get($name.'.'.$content, static function (ItemInterface $item, bool &$save): null {
            $save = false;

            return null;
        });
    }

    public function coreHash(): string
    {
        return $this->coreHash;
    }

    /**
     * Names all that is derived of a case as it stands: the heads of its entries, its descriptions, the knowledge, the core, and how much
     * of what takes long is solved. What people changed on the chain of damage, what could be changed on the engine, and how it went back
     * together are laid over what is derived, and change none of it.
     */
    public function content(CaseRecord $case): string
    {
        $heads = $this->connection->fetchFirstColumn(
            sprintf(
                'SELECT entry_id FROM slot_head WHERE case_id = ? %s ORDER BY first_seq',
                str_repeat('AND slot_key NOT LIKE ? ', count(self::UNHEARD)),
            ),
            [$case->id, ...self::UNHEARD],
        );

        $solved = $this->connection->fetchOne(
            "SELECT moved_at FROM solving WHERE case_id = ? AND state NOT IN ('waiting', 'solving')", [$case->id],
        );

        return hash(
            'sha256',
            json_encode(
                [$heads, $case->engine, $case->description, $this->knowledge->current()->hash, $this->coreHash, $solved],
                \JSON_THROW_ON_ERROR,
            ),
        );
    }
}
