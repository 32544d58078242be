<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261124000002 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'House rules of the gym, and passes over the library under changed ones';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE house_rules (id VARCHAR(20) NOT NULL, version INT DEFAULT 1 NOT NULL, content JSON DEFAULT NULL, updated_at DATETIME DEFAULT NULL, editor_id INT DEFAULT NULL, INDEX IDX_FA5C0CEC6995AC4C (editor_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('ALTER TABLE house_rules ADD CONSTRAINT FK_FA5C0CEC6995AC4C FOREIGN KEY (editor_id) REFERENCES user (id)');
        $this->addSql("INSERT INTO house_rules (id) VALUES ('boxing'), ('kickboxing'), ('all-limbs')");
        $this->addSql('CREATE TABLE recheck (id INT AUTO_INCREMENT NOT NULL, rules VARCHAR(20) NOT NULL, rules_version INT NOT NULL, content JSON NOT NULL, state VARCHAR(10) NOT NULL, total INT NOT NULL, done INT NOT NULL, last_combination INT NOT NULL, started_at DATETIME NOT NULL, starter_id INT NOT NULL, INDEX IDX_70F2B3B1B2F7A1E3 (starter_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('ALTER TABLE recheck ADD CONSTRAINT FK_70F2B3B1B2F7A1E3 FOREIGN KEY (starter_id) REFERENCES user (id)');
        $this->addSql('CREATE TABLE recheck_result (recheck_id INT NOT NULL, combination_id INT NOT NULL, combination_version INT NOT NULL, verdict_before VARCHAR(10) NOT NULL, verdict VARCHAR(10) NOT NULL, length_ms INT NOT NULL, PRIMARY KEY (recheck_id, combination_id)) DEFAULT CHARACTER SET utf8mb4');
        $this->addSql('ALTER TABLE recheck_result ADD CONSTRAINT recheck_of FOREIGN KEY (recheck_id) REFERENCES recheck (id) ON DELETE CASCADE');
        $this->addSql('CREATE INDEX by_rules ON combination (rules, id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP INDEX by_rules ON combination');
        $this->addSql('DROP TABLE recheck_result');
        $this->addSql('DROP TABLE recheck');
        $this->addSql('DROP TABLE house_rules');
    }
}
