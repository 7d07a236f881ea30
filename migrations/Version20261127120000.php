<?php

declare(strict_types=1);

namespace MuteTapper\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Shelves of the library, each state of a thing kept; the saved engines move there. Lines that gauges sent by cable. */
final class Version20261127120000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'shelves of the library, lines of gauges';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE library_version (shelf VARCHAR(16) NOT NULL, code VARCHAR(80) NOT NULL, version INTEGER NOT NULL, '.
            'name VARCHAR(120) NOT NULL, content CLOB DEFAULT NULL, kept_by VARCHAR(80) NOT NULL, kept_at DATETIME NOT NULL, '.
            'PRIMARY KEY (shelf, code, version))',
        );
        $this->addSql(
            "INSERT INTO library_version SELECT 'engines', id, 1, name, engine, saved_by, saved_at FROM saved_engine",
        );
        $this->addSql('DROP TABLE saved_engine');
        $this->addSql(
            'CREATE TABLE gauge_line (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, gauge VARCHAR(80) NOT NULL, number INTEGER NOT NULL, '.
            'value VARCHAR(40) NOT NULL, unit VARCHAR(12) NOT NULL, height VARCHAR(40) DEFAULT NULL, simulated BOOLEAN NOT NULL, '.
            'received_at DATETIME NOT NULL)',
        );
        $this->addSql('CREATE INDEX gauge_line_of ON gauge_line (gauge, id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE gauge_line');
        $this->addSql(
            'CREATE TABLE saved_engine (id VARCHAR(36) NOT NULL, name VARCHAR(120) NOT NULL, engine CLOB NOT NULL, '.
            'saved_by VARCHAR(80) NOT NULL, saved_at DATETIME NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE UNIQUE INDEX saved_engine_name ON saved_engine (name)');
        $this->addSql(
            'INSERT OR IGNORE INTO saved_engine SELECT code, name, content, kept_by, kept_at FROM library_version v WHERE '.
            "shelf = 'engines' AND content IS NOT NULL ".
            'AND version = (SELECT MAX(version) FROM library_version w WHERE w.shelf = v.shelf AND w.code = v.code)',
        );
        $this->addSql('DROP TABLE library_version');
    }
}
