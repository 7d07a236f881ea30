<?php

declare(strict_types=1);

namespace MuteTapper\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Parts are found by their tags over all cases without reading every entry. */
final class Version20261127180000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'index of tags of parts';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("CREATE INDEX entry_part_tag ON entry (json_extract(data, '$.tag')) WHERE kind = 'tag'");
        $this->addSql("CREATE INDEX entry_loose ON entry (place) WHERE place LIKE 'loose-%'");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP INDEX entry_loose');
        $this->addSql('DROP INDEX entry_part_tag');
    }
}
