<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261130000013 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The audit log keeps what changes of the whole gym have replaced; previews of rules count findings';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE audit_log ADD previous JSON DEFAULT NULL');
        $this->addSql(
            'ALTER TABLE rule_preview_result ADD findings_added SMALLINT DEFAULT 0 NOT NULL, '
                .'ADD findings_removed SMALLINT DEFAULT 0 NOT NULL',
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE rule_preview_result DROP findings_added, DROP findings_removed');
        $this->addSql('ALTER TABLE audit_log DROP previous');
    }
}
