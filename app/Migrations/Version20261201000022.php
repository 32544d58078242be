<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201000022 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Gyms offer each other combinations, themes, programmes, numberings and house rules';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(<<<'SQL'
            CREATE TABLE offering (
                id INT AUTO_INCREMENT NOT NULL,
                kind VARCHAR(12) NOT NULL,
                subject VARCHAR(40) NOT NULL,
                user_id INT NOT NULL,
                created_at DATETIME NOT NULL,
                UNIQUE INDEX once (kind, subject),
                INDEX by_user (user_id),
                PRIMARY KEY(id),
                CONSTRAINT offering_by FOREIGN KEY (user_id) REFERENCES user (id)
            ) DEFAULT CHARACTER SET utf8mb4
            SQL);
        $this->addSql(<<<'SQL'
            CREATE TABLE offer_link (
                id INT AUTO_INCREMENT NOT NULL,
                link_key CHAR(32) NOT NULL,
                name VARCHAR(80) NOT NULL,
                creator_id INT NOT NULL,
                created_at DATETIME NOT NULL,
                revoked_at DATETIME DEFAULT NULL,
                UNIQUE INDEX by_link_key (link_key),
                INDEX by_creator (creator_id),
                PRIMARY KEY(id),
                CONSTRAINT offer_link_by FOREIGN KEY (creator_id) REFERENCES user (id)
            ) DEFAULT CHARACTER SET utf8mb4
            SQL);
        $this->addSql(<<<'SQL'
            CREATE TABLE followed_gym (
                id INT AUTO_INCREMENT NOT NULL,
                address VARCHAR(190) NOT NULL,
                name VARCHAR(120) NOT NULL,
                etag VARCHAR(120) DEFAULT NULL,
                document MEDIUMTEXT NOT NULL,
                read_at DATETIME NOT NULL,
                problem VARCHAR(200) DEFAULT NULL,
                user_id INT NOT NULL,
                UNIQUE INDEX once (address),
                INDEX by_user (user_id),
                PRIMARY KEY(id),
                CONSTRAINT followed_gym_by FOREIGN KEY (user_id) REFERENCES user (id)
            ) DEFAULT CHARACTER SET utf8mb4
            SQL);
        $this->addSql(<<<'SQL'
            CREATE TABLE answered_offer (
                id INT AUTO_INCREMENT NOT NULL,
                source VARCHAR(40) NOT NULL,
                gym VARCHAR(120) NOT NULL,
                kind VARCHAR(12) NOT NULL,
                item VARCHAR(40) NOT NULL,
                digest CHAR(32) NOT NULL,
                answer VARCHAR(10) NOT NULL,
                content JSON DEFAULT NULL,
                proposal_id INT DEFAULT NULL,
                subject VARCHAR(40) DEFAULT NULL,
                user_id INT NOT NULL,
                created_at DATETIME NOT NULL,
                UNIQUE INDEX once (source, kind, item, digest),
                INDEX by_proposal (proposal_id),
                INDEX by_user (user_id),
                PRIMARY KEY(id),
                CONSTRAINT answered_offer_proposal FOREIGN KEY (proposal_id) REFERENCES proposal (id),
                CONSTRAINT answered_offer_by FOREIGN KEY (user_id) REFERENCES user (id)
            ) DEFAULT CHARACTER SET utf8mb4
            SQL);
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE answered_offer');
        $this->addSql('DROP TABLE followed_gym');
        $this->addSql('DROP TABLE offer_link');
        $this->addSql('DROP TABLE offering');
    }
}
