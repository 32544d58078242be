<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** What is stored in the old signs is written anew by gym:recheck, which every upgrade runs. */
final class Version20261126000005 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Room for 260 strikes and 260 moves in stored sequences';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE combination CHANGE sequence sequence VARBINARY(384) NOT NULL, CHANGE stem stem VARBINARY(384) NOT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE combination CHANGE sequence sequence VARBINARY(320) NOT NULL, CHANGE stem stem VARBINARY(320) NOT NULL');
    }
}
