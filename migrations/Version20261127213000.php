<?php

declare(strict_types=1);

namespace MuteTapper\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** What takes long is solved outside the request, and kept by its figures. */
final class Version20261127213000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'solutions of long calculations';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE kept_solution (id VARCHAR(64) NOT NULL, content CLOB NOT NULL, made_at DATETIME NOT NULL, PRIMARY KEY (id))',
        );
        $this->addSql(
            'CREATE TABLE solving (case_id VARCHAR(36) NOT NULL, state VARCHAR(10) NOT NULL, done INTEGER NOT NULL, '.
            'total INTEGER NOT NULL, message CLOB DEFAULT NULL, moved_at DATETIME NOT NULL, PRIMARY KEY (case_id))',
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE solving');
        $this->addSql('DROP TABLE kept_solution');
    }
}
