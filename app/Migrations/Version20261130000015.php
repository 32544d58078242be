<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261130000015 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'More kinds of bags and pads in the logbook, with longer names';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE log_drilled CHANGE medium medium VARCHAR(16) NOT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE log_drilled CHANGE medium medium VARCHAR(10) NOT NULL');
    }
}
