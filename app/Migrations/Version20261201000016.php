<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201000016 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The gym has a list of faults, and a link that fell apart can say which one was seen';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("INSERT IGNORE INTO advice (id) VALUES ('faults')");
        $this->addSql('ALTER TABLE log_fallen_link ADD fault VARCHAR(60) DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE log_fallen_link DROP fault');
        $this->addSql("DELETE FROM advice WHERE id = 'faults'");
    }
}
