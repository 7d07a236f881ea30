<?php

declare(strict_types=1);

namespace MuteTapper\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Auto-generated Migration: Please modify to your needs!
 */
final class Version20261125033315 extends AbstractMigration
{
    public function getDescription(): string
    {
        return '';
    }

    public function up(Schema $schema): void
    {
        // this up() migration is auto-generated, please modify it to your needs
        $this->addSql(
            'CREATE TABLE audit (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, revision INTEGER NOT NULL, "action" VARCHAR(40) NOT '.
            'NULL, done_by VARCHAR(80) NOT NULL, done_at DATETIME NOT NULL, detail CLOB NOT NULL, case_id VARCHAR(36) NOT NULL, '.
            'CONSTRAINT FK_9218FF79CF10D4F5 FOREIGN KEY (case_id) REFERENCES case_file (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_9218FF79CF10D4F5 ON audit (case_id)');
        $this->addSql(
            'CREATE TABLE case_file (revision INTEGER NOT NULL, description_version INTEGER NOT NULL, engine_version INTEGER NOT NULL, '.
            'call_document CLOB DEFAULT NULL, call_version INTEGER NOT NULL, id VARCHAR(36) NOT NULL, number INTEGER NOT NULL, name '.
            'VARCHAR(200) NOT NULL, engine CLOB NOT NULL, description CLOB NOT NULL, created_at DATETIME NOT NULL, copied_from '.
            'VARCHAR(36) DEFAULT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE UNIQUE INDEX UNIQ_D87ECA396901F54 ON case_file (number)');
        $this->addSql(
            'CREATE TABLE entry (id VARCHAR(36) NOT NULL, seq INTEGER NOT NULL, kind VARCHAR(20) NOT NULL, place VARCHAR(80) NOT NULL, '.
            'part VARCHAR(80) NOT NULL, item VARCHAR(80) NOT NULL, slot_index VARCHAR(80) DEFAULT NULL, supersedes VARCHAR(36) DEFAULT '.
            'NULL, reason VARCHAR(20) DEFAULT NULL, recorded_by VARCHAR(80) NOT NULL, recorded_at VARCHAR(24) NOT NULL, knowledge '.
            'VARCHAR(64) DEFAULT NULL, data CLOB NOT NULL, case_id VARCHAR(36) NOT NULL, PRIMARY KEY (id), CONSTRAINT '.
            'FK_2B219D70CF10D4F5 FOREIGN KEY (case_id) REFERENCES case_file (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_2B219D70CF10D4F5967ED153 ON entry (case_id, seq)');
        $this->addSql('CREATE INDEX IDX_2B219D70CF10D4F5 ON entry (case_id)');
        $this->addSql(
            'CREATE TABLE knowledge_version (hash VARCHAR(64) NOT NULL, content CLOB NOT NULL, first_used_at DATETIME NOT NULL, '.
            'PRIMARY KEY (hash))',
        );
        $this->addSql(
            'CREATE TABLE photograph (working_copy VARCHAR(10) NOT NULL, sha256 VARCHAR(64) NOT NULL, media_type VARCHAR(20) NOT NULL, '.
            'bytes INTEGER NOT NULL, width INTEGER NOT NULL, height INTEGER NOT NULL, file_name VARCHAR(200) NOT NULL, received_at '.
            'DATETIME NOT NULL, PRIMARY KEY (sha256))',
        );
        $this->addSql(
            'CREATE TABLE signed_call (id VARCHAR(36) NOT NULL, signed_by VARCHAR(80) NOT NULL, signed_at DATETIME NOT NULL, content '.
            'CLOB NOT NULL, case_id VARCHAR(36) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_C1B47276CF10D4F5 FOREIGN KEY (case_id) '.
            'REFERENCES case_file (id) NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_C1B47276CF10D4F5 ON signed_call (case_id)');
        $this->addSql(
            'CREATE TABLE slot_head (slot_key VARCHAR(330) NOT NULL, case_id VARCHAR(36) NOT NULL, entry_id VARCHAR(36) NOT NULL, '.
            'PRIMARY KEY (case_id, slot_key), CONSTRAINT FK_79DA5C0BCF10D4F5 FOREIGN KEY (case_id) REFERENCES case_file (id) NOT '.
            'DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_79DA5C0BBA364942 FOREIGN KEY (entry_id) REFERENCES entry (id) NOT '.
            'DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_79DA5C0BCF10D4F5 ON slot_head (case_id)');
        $this->addSql('CREATE INDEX IDX_79DA5C0BBA364942 ON slot_head (entry_id)');
        $this->addSql(
            'CREATE TABLE work_queue (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, body CLOB NOT NULL, headers CLOB NOT NULL, '.
            'queue_name VARCHAR(190) NOT NULL, created_at DATETIME NOT NULL, available_at DATETIME NOT NULL, delivered_at DATETIME '.
            'DEFAULT NULL)',
        );
        $this->addSql(
            'CREATE INDEX IDX_5706044CFB7336F0E3BD61CE16BA31DBBF396750 ON work_queue (queue_name, available_at, delivered_at, id)',
        );
    }

    public function down(Schema $schema): void
    {
        // this down() migration is auto-generated, please modify it to your needs
        $this->addSql('DROP TABLE audit');
        $this->addSql('DROP TABLE case_file');
        $this->addSql('DROP TABLE entry');
        $this->addSql('DROP TABLE knowledge_version');
        $this->addSql('DROP TABLE photograph');
        $this->addSql('DROP TABLE signed_call');
        $this->addSql('DROP TABLE slot_head');
        $this->addSql('DROP TABLE work_queue');
    }
}
