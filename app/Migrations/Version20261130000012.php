<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261130000012 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A logbook entry names the planned session that took place';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'ALTER TABLE log_entry ADD plan_id INT DEFAULT NULL, ADD CONSTRAINT FK_B5F762DE899029B '
                .'FOREIGN KEY (plan_id) REFERENCES plan (id) ON DELETE SET NULL, ADD INDEX by_plan (plan_id)',
        );
        $this->addSql('UPDATE log_entry e JOIN run r ON r.id = e.run_id SET e.plan_id = r.plan_id');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE log_entry DROP FOREIGN KEY FK_B5F762DE899029B, DROP INDEX by_plan, DROP plan_id');
    }
}
