<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201000017 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Links to sessions that athletes do alone';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE session_link (id INT AUTO_INCREMENT NOT NULL, link_key CHAR(32) NOT NULL, finished INT DEFAULT 0 NOT NULL, revoked_at DATETIME DEFAULT NULL, name VARCHAR(120) NOT NULL, content JSON NOT NULL, length_ms INT NOT NULL, ends_on DATE NOT NULL, creator_id INT NOT NULL, created_at DATETIME NOT NULL, UNIQUE INDEX by_link_key (link_key), INDEX by_creator (creator_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('ALTER TABLE session_link ADD CONSTRAINT session_link_creator FOREIGN KEY (creator_id) REFERENCES user (id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE session_link');
    }
}
