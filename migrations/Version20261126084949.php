<?php

declare(strict_types=1);

namespace MuteTapper\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Auto-generated Migration: Please modify to your needs!
 */
final class Version20261126084949 extends AbstractMigration
{
    public function getDescription(): string
    {
        return '';
    }

    public function up(Schema $schema): void
    {
        // this up() migration is auto-generated, please modify it to your needs
        $this->addSql(
            'CREATE TABLE log_analysis (state VARCHAR(10) NOT NULL, rows_read INTEGER NOT NULL, bytes_read BIGINT NOT NULL, message '.
            'CLOB DEFAULT NULL, id VARCHAR(64) NOT NULL, format CLOB NOT NULL, thresholds CLOB NOT NULL, file_id VARCHAR(64) NOT NULL, '.
            'PRIMARY KEY (id), CONSTRAINT FK_6E600CEF93CB796C FOREIGN KEY (file_id) REFERENCES log_file (sha256) NOT DEFERRABLE '.
            'INITIALLY IMMEDIATE)',
        );
        $this->addSql('CREATE INDEX IDX_6E600CEF93CB796C ON log_analysis (file_id)');
        $this->addSql(
            'CREATE TABLE log_file (sha256 VARCHAR(64) NOT NULL, bytes BIGINT NOT NULL, file_name VARCHAR(200) NOT NULL, received_at '.
            'DATETIME NOT NULL, PRIMARY KEY (sha256))',
        );
        $this->addSql(
            'CREATE TABLE saved_engine (id VARCHAR(36) NOT NULL, name VARCHAR(120) NOT NULL, engine CLOB NOT NULL, saved_by '.
            'VARCHAR(80) NOT NULL, saved_at DATETIME NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql('CREATE UNIQUE INDEX UNIQ_8CAE61965E237E06 ON saved_engine (name)');
    }

    public function down(Schema $schema): void
    {
        // this down() migration is auto-generated, please modify it to your needs
        $this->addSql('DROP TABLE log_analysis');
        $this->addSql('DROP TABLE log_file');
        $this->addSql('DROP TABLE saved_engine');
    }
}
