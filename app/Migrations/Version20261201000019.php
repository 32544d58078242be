<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201000019 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Coaches keep recordings of combinations and techniques';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(<<<'SQL'
            CREATE TABLE recording (
                id INT AUTO_INCREMENT NOT NULL,
                combination_id INT DEFAULT NULL,
                coach_id INT NOT NULL,
                technique VARCHAR(40) DEFAULT NULL,
                file_name CHAR(73) NOT NULL,
                bytes INT NOT NULL,
                format VARCHAR(8) NOT NULL,
                kind VARCHAR(8) NOT NULL,
                length_ms INT NOT NULL,
                notation TEXT DEFAULT NULL,
                recorded_at DATETIME NOT NULL,
                UNIQUE INDEX by_combination (combination_id),
                UNIQUE INDEX by_technique (technique),
                INDEX by_coach (coach_id),
                PRIMARY KEY(id)
            ) DEFAULT CHARACTER SET utf8mb4
            SQL);
        $this->addSql(<<<'SQL'
            ALTER TABLE recording
                ADD CONSTRAINT recording_combination
                    FOREIGN KEY (combination_id) REFERENCES combination (id) ON DELETE CASCADE,
                ADD CONSTRAINT recording_coach FOREIGN KEY (coach_id) REFERENCES user (id)
            SQL);
        $this->addSql('ALTER TABLE gym ADD backs_up_recordings TINYINT(1) DEFAULT 0 NOT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE gym DROP backs_up_recordings');
        $this->addSql('DROP TABLE recording');
    }
}
