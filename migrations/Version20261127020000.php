<?php

declare(strict_types=1);

namespace MuteTapper\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * A row of the queue for each case, searched by SQLite's FTS5; who worked on a case; which pictures are a case's; the order in
 * which calls were signed; when the reading of a log last moved; papers made aside.
 */
final class Version20261127020000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'stored queue, search, order of signing, jobs';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE slot_head ADD COLUMN read_by VARCHAR(16) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE case_file ADD COLUMN set_aside BOOLEAN DEFAULT 0 NOT NULL');
        $this->addSql('ALTER TABLE case_file ADD COLUMN signed_version INTEGER DEFAULT NULL');
        $this->addSql('ALTER TABLE signed_call ADD COLUMN seq INTEGER DEFAULT 0 NOT NULL');
        // Until now only clocks told the order; rows were added in the order of signing.
        $this->addSql(
            'UPDATE signed_call SET seq = (SELECT COUNT(*) FROM signed_call o WHERE o.case_id = signed_call.case_id AND o.rowid <= '.
            'signed_call.rowid)',
        );
        $this->addSql('CREATE UNIQUE INDEX signed_in_order ON signed_call (case_id, seq)');
        $this->addSql('ALTER TABLE log_analysis ADD COLUMN moved_at DATETIME DEFAULT NULL');
        $this->addSql(
            // The content stands last: what is asked of all rows is read without it.
            'CREATE TABLE queue_row (number INTEGER PRIMARY KEY NOT NULL, case_id VARCHAR(36) NOT NULL, signed BOOLEAN NOT NULL, '.
            'set_aside BOOLEAN NOT NULL, away BOOLEAN NOT NULL, overdue_from VARCHAR(10) DEFAULT NULL, made_by VARCHAR(16) NOT NULL, '.
            'unreadable CLOB DEFAULT NULL, content CLOB NOT NULL, CONSTRAINT FK_queue_row_case FOREIGN KEY (case_id) REFERENCES '.
            'case_file (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE TABLE head_plan (hash VARCHAR(16) PRIMARY KEY NOT NULL, content CLOB NOT NULL)');
        $this->addSql('CREATE UNIQUE INDEX queue_row_of_case ON queue_row (case_id)');
        $this->addSql('CREATE INDEX queue_views ON queue_row (set_aside, signed, away, number)');
        $this->addSql('CREATE INDEX queue_overdue ON queue_row (overdue_from, set_aside, number) WHERE overdue_from IS NOT NULL');
        $this->addSql(
            'CREATE TABLE worked_on (person VARCHAR(80) NOT NULL, number INTEGER NOT NULL, PRIMARY KEY (person, number)) WITHOUT ROWID',
        );
        $this->addSql(
            'INSERT INTO worked_on SELECT DISTINCT a.done_by, c.number FROM audit a JOIN case_file c ON c.id = a.case_id',
        );
        $this->addSql(
            'CREATE VIRTUAL TABLE case_search USING fts5(number, name, customer, words, notes, parts, signs, causes, calls, '.
            "tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3')",
        );
        $this->addSql(
            'CREATE TABLE picture_of_case (case_id VARCHAR(36) NOT NULL, sha256 VARCHAR(64) NOT NULL, PRIMARY KEY (case_id, sha256), '.
            'CONSTRAINT FK_picture_of_case FOREIGN KEY (case_id) REFERENCES case_file (id) NOT DEFERRABLE INITIALLY IMMEDIATE) WITHOUT '.
            'ROWID',
        );
        $this->addSql(
            "INSERT OR IGNORE INTO picture_of_case SELECT case_id, json_extract(data, '$.sha256') FROM entry WHERE kind = 'photograph' ".
            "AND json_valid(data) AND json_extract(data, '$.sha256') IS NOT NULL",
        );
        $this->addSql(
            'CREATE TABLE paper (id VARCHAR(64) NOT NULL, kind VARCHAR(10) NOT NULL, options CLOB NOT NULL, state VARCHAR(10) NOT NULL, '.
            'done DOUBLE PRECISION NOT NULL, message CLOB DEFAULT NULL, asked_at DATETIME NOT NULL, case_id VARCHAR(36) NOT NULL, '.
            'PRIMARY KEY (id), CONSTRAINT FK_paper_case FOREIGN KEY (case_id) REFERENCES case_file (id) NOT DEFERRABLE INITIALLY '.
            'IMMEDIATE)',
        );
    }

    public function down(Schema $schema): void
    {
        foreach (['paper', 'picture_of_case', 'case_search', 'worked_on', 'queue_row', 'head_plan'] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
        $this->addSql('DROP INDEX signed_in_order');
        $this->addSql('ALTER TABLE signed_call DROP COLUMN seq');
        $this->addSql('ALTER TABLE log_analysis DROP COLUMN moved_at');
        $this->addSql('ALTER TABLE case_file DROP COLUMN signed_version');
        $this->addSql('ALTER TABLE case_file DROP COLUMN set_aside');
        $this->addSql('ALTER TABLE slot_head DROP COLUMN read_by');
    }
}
