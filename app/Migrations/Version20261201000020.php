<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201000020 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Slow work knows when it last went on';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE import_run ADD proceeded_at DATETIME DEFAULT NULL');
        $this->addSql('ALTER TABLE rule_preview ADD proceeded_at DATETIME DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE import_run DROP proceeded_at');
        $this->addSql('ALTER TABLE rule_preview DROP proceeded_at');
    }
}
