<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** The table may be large, so upgrades do not copy it: see swap_in in bin/upgrade.sh. */
final class Version20261201000021 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Several web servers share the files of recordings by the database';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(<<<'SQL'
            CREATE TABLE recording_part (
                file_name CHAR(73) NOT NULL,
                number INT NOT NULL,
                content MEDIUMBLOB NOT NULL,
                PRIMARY KEY(file_name, number)
            ) DEFAULT CHARACTER SET utf8mb4
            SQL);
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE recording_part');
    }
}
