<?php

declare(strict_types=1);

namespace MuteTapper\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** A slot remembers when it was first used: the heads alone then tell the same order as the whole log. */
final class Version20261126230000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'when a slot was first used';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE slot_head ADD COLUMN first_seq INTEGER DEFAULT 0 NOT NULL');
        // Each entry names the one it supersedes: the chain of a slot ends at its first.
        $this->addSql('UPDATE slot_head SET first_seq = (
            WITH RECURSIVE chain (id, supersedes, seq) AS (
                SELECT id, supersedes, seq FROM entry WHERE id = slot_head.entry_id
                UNION ALL
                SELECT e.id, e.supersedes, e.seq FROM entry e JOIN chain ON e.id = chain.supersedes
            ) SELECT MIN(seq) FROM chain
        )');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE slot_head DROP COLUMN first_seq');
    }
}
